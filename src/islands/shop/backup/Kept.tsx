import { useState } from 'react';
import type { BackupView } from '../../../contract';
import { Dialog } from '../../../ui/parts/Dialog';
import { Empty, Notice } from '../../../ui/parts/Notice';
import { fileSize, shopMoment } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';

/** Why a backup is there. */
const WHY: Readonly<Record<BackupView['kind'], string>> = {
  daily: 'made by itself',
  'by-hand': 'saved by hand',
  migration: 'before a new version',
  brought: 'brought from elsewhere',
  before: 'stood here until another was put back',
};

/** The backups kept beside the store, newest first. Each can be carried elsewhere or put back. */
export function Kept({ backups }: { backups: readonly BackupView[] }) {
  const { shop } = useFrame();
  const [asked, setAsked] = useState<BackupView | null>(null);
  if (backups.length === 0) return <Empty title="No backup is kept yet">The first is made within a minute.</Empty>;
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">Kept beside the store</h2>
      <ul aria-label="Backups" className="border-t-2 border-ink">
        {backups.map((backup) => (
          <li key={backup.name} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-line py-1.5">
            <span className="w-44 font-semibold">{shopMoment(backup.at, shop)}</span>
            <span className="min-w-40 flex-1 text-ink-soft">{WHY[backup.kind]}</span>
            <span className="figures text-sm">{fileSize(backup.bytes)}</span>
            <a
              className="grid quiet place-items-center"
              href={`/api/backups/${encodeURIComponent(backup.name)}`}
              download={backup.name}
            >
              Download
            </a>
            <button type="button" className="quiet" onClick={() => setAsked(backup)}>
              Put back…
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 max-w-prose text-sm text-ink-soft">
        Of the daily ones the last seven days, five weeks and twelve months stay; of the others the last ten of each
        kind.
      </p>
      <Dialog title="Put this backup back?" open={asked !== null} onClose={() => setAsked(null)}>
        {asked && <PutBack backup={asked} />}
      </Dialog>
    </section>
  );
}

function PutBack({ backup }: { backup: BackupView }) {
  const { shop } = useFrame();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const putBack = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      await api.post('/api/backups/put-back', { name: backup.name });
      // Everything on this page is of the store that stood here before.
      window.location.assign('/shop?view=backup&put=back');
    } catch (error) {
      setTrouble(failure(error, 'It was not put back. What stood there stands.'));
      setBusy(false);
    }
  };
  return (
    <div className="grid gap-3">
      <p>
        The shop will stand as it did on <strong>{shopMoment(backup.at, shop)}</strong>. What was written since is not
        in it; it is kept as a backup of its own in this list, and can be put back in turn.
      </p>
      <p className="text-ink-soft">
        Everybody with a page open is told to load it again. What they have typed and not sent stays in their browser.
      </p>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <p>
        <button type="button" className="act" disabled={busy} onClick={() => void putBack()}>
          {busy ? 'Putting it back…' : 'Put it back'}
        </button>
      </p>
    </div>
  );
}
