import { useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';

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
          ? { kind: 'good', text: 'The store is whole.' }
          : { kind: 'error', text: `The store is damaged: put the newest backup back. Found: ${wrong}` },
      );
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, 'It could not be looked through.') });
    }
    setBusy(false);
  };
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">Is the store whole?</h2>
      <p className="mb-2 text-sm text-ink-soft">
        It is looked through at every start, and with every backup. It can be done now too; nobody waits for it.
      </p>
      <button type="button" className="mb-2 quiet" disabled={busy} onClick={() => void look()}>
        {busy ? 'Looking…' : 'Look it through'}
      </button>
      {said && <Notice kind={said.kind}>{said.text}</Notice>}
    </section>
  );
}
