import { useEffect, useState } from 'react';
import { Download } from 'lucide-react';
import type { BackupView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { save } from '../../frame/save-file';
import { useChangedHere } from '../../frame/server-data';
import { Bring } from './Bring';
import { Kept } from './Kept';
import { LookThrough } from './LookThrough';

/** What came of saving. */
type Saved = { readonly kind: 'good' | 'error'; readonly text: string };

/** Saving all that the shop has written down, and putting it back. */
export function Backup({ backups }: { backups: readonly BackupView[] }) {
  const [wasPutBack, setWasPutBack] = useState(false);
  useEffect(() => setWasPutBack(new URLSearchParams(window.location.search).get('put') === 'back'), []);
  return (
    <div className="grid gap-7">
      {wasPutBack && <Notice kind="good">The backup was put back. What stood here until now heads the list.</Notice>}
      <Save />
      <Kept backups={backups} />
      <div className="grid grid-cols-2 gap-x-10 gap-y-6 max-md:grid-cols-1">
        <Bring />
        <LookThrough />
      </div>
    </div>
  );
}

function Save() {
  const [busy, setBusy] = useState(false);
  const [saved, setSaved] = useState<Saved | null>(null);
  const changedHere = useChangedHere();
  const make = async () => {
    setBusy(true);
    setSaved(null);
    try {
      const { blob, name } = await api.file('/api/backup');
      save(blob, name);
      setSaved({ kind: 'good', text: `${name} is whole, and on its way to where this browser keeps its downloads.` });
    } catch (error) {
      setSaved({ kind: 'error', text: failure(error, 'The backup broke off. Try again.') });
    }
    setBusy(false);
    await changedHere();
  };
  return (
    <section className="max-w-prose">
      <p className="mb-3 text-ink-soft">
        One file with everything: jobs, readings, sign-offs, photographs, stock, limits, codes. It is made while the
        shop goes on, and holds what was saved before it began. One a day is made by itself and kept beside the store; a
        disk can fail, so keep one on another machine too.
      </p>
      <button
        type="button"
        className="mb-3 inline-flex act items-center gap-2"
        disabled={busy}
        onClick={() => void make()}
      >
        <Download size={18} aria-hidden="true" />
        {busy ? 'Saving…' : 'Save a backup'}
      </button>
      {saved && <Notice kind={saved.kind}>{saved.text}</Notice>}
    </section>
  );
}
