import { useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import * as texts from '#language/screens/shop-backup';

type Said = { readonly kind: 'good' | 'error'; readonly text: string };

/** Looks the whole store through, as it is done at every start and with every backup. */
export function LookThrough() {
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<Said | null>(null);
  const look = async () => {
    setBusy(true);
    try {
      const { wrong } = await api.post<{ wrong: string | null }>('/api/store/inspect', {});
      setSaid(
        wrong === null
          ? { kind: 'good', text: texts.theStoreIsWhole }
          : { kind: 'error', text: texts.storeIsDamaged(wrong) },
      );
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, texts.notLookedThrough) });
    }
    setBusy(false);
  };
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">{texts.isTheStoreWhole}</h2>
      <p className="mb-2 text-sm text-ink-soft">{texts.itIsLookedThrough}</p>
      <button type="button" className="mb-2 quiet" disabled={busy} onClick={() => void look()}>
        {busy ? texts.looking : texts.lookItThrough}
      </button>
      {said && <Notice kind={said.kind}>{said.text}</Notice>}
    </section>
  );
}
