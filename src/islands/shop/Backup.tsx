import { useState } from 'react';
import { Download } from 'lucide-react';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from '../frame/api';
import { save } from '../frame/save-file';

/** What came of saving. */
type Saved = { readonly kind: 'good' | 'error'; readonly text: string };

/** Saving all that the shop has written down. */
export function Backup() {
  const [busy, setBusy] = useState(false);
  const [saved, setSaved] = useState<Saved | null>(null);
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
  };
  return (
    <div className="max-w-prose">
      <p className="mb-3 text-ink-soft">
        One file with everything: jobs, readings, sign-offs, photographs, stock, limits, codes. It is made while the
        shop goes on, and holds what was saved before it began. Keep it on another machine.
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
      <p className="mt-4 text-ink-soft">
        To put one back, stop Serrata and run <code className="figures text-ink">npm run serrata -- restore FILE</code>.
        The file is tried first, and what stood there is kept beside it.
      </p>
    </div>
  );
}
