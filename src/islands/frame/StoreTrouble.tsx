import { useEffect, useState } from 'react';
import type { HealthView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { api, IN_VAIN } from './api';
import { live } from './live';
import * as texts from '#language/screens/frame';

/** A store that cannot be written to is asked after this often, ms, until it can. */
const ASK_EVERY = 20_000;

/**
 * What the server says of its store: when a page opens, when something was asked in vain, and when all may have
 * changed. Null until it was asked, and while it cannot be reached.
 */
function useHealth(): HealthView | null {
  const [health, setHealth] = useState<HealthView | null>(null);
  const isInTrouble = health?.store.writable === false;
  useEffect(() => {
    const ask = () => void api.get<HealthView>('/api/health').then(setHealth, () => undefined);
    if (!isInTrouble) ask();
    const timer = isInTrouble ? setInterval(ask, ASK_EVERY) : undefined;
    const leave = live.onChanged((changes) => changes === null && ask());
    window.addEventListener(IN_VAIN, ask);
    return () => {
      clearInterval(timer);
      leave();
      window.removeEventListener(IN_VAIN, ask);
    };
  }, [isInTrouble]);
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
