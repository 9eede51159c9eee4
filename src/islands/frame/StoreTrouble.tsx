import { useEffect, useState } from 'react';
import type { HealthView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { api, IN_VAIN } from './api';
import * as texts from '#language/screens/frame';

/** The store is asked after this often, ms, and whenever something was asked of it in vain. */
const ASK_EVERY = 20_000;

/** What the server says of its store, from time to time; null until it was asked, and while it cannot be reached. */
function useHealth(): HealthView | null {
  const [health, setHealth] = useState<HealthView | null>(null);
  useEffect(() => {
    const ask = () => void api.get<HealthView>('/api/health').then(setHealth, () => undefined);
    ask();
    const timer = setInterval(ask, ASK_EVERY);
    window.addEventListener(IN_VAIN, ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener(IN_VAIN, ask);
    };
  }, []);
  return health;
}

/**
 * Says on every page what is the matter with the store: its disk is full, somebody holds it, or another was put in its
 * place.
 */
export function StoreTrouble() {
  const health = useHealth();
  const [first, setFirst] = useState<string | null>(null);
  if (health && first === null) setFirst(health.store.id);
  const says = health && first !== null && health.store.id !== first ? texts.backupWasPutBack : health?.says;
  if (!says) return null;
  return (
    <div className="no-print">
      <Notice kind={health?.store.writable ? 'caution' : 'error'}>{says}</Notice>
    </div>
  );
}
