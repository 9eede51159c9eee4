import { useState } from 'react';
import type { BackupView } from '../../../contract';
import { Dialog } from '../../../ui/parts/Dialog';
import { Empty, Notice } from '../../../ui/parts/Notice';
import { fileSize, shopMoment } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import * as texts from '#language/screens/shop-backup';

/** Why a backup is there. */
const WHY: Readonly<Record<BackupView['kind'], string>> = {
  daily: texts.madeByItself,
  'by-hand': texts.savedByHand,
  migration: texts.beforeANewVersion,
  brought: texts.broughtFromElsewhere,
  before: texts.stoodHereUntilAnother,
};

/** The backups kept beside the store, newest first. Each can be carried elsewhere or put back. */
export function Kept({ backups }: { backups: readonly BackupView[] }) {
  const { shop } = useFrame();
  const [asked, setAsked] = useState<BackupView | null>(null);
  if (backups.length === 0) return <Empty title={texts.noBackupIsKeptYet}>{texts.firstIsMadeSoon}</Empty>;
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">{texts.keptBesideTheStore}</h2>
      <ul aria-label={texts.backups} className="border-t-2 border-ink">
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
              {texts.download}
            </a>
            <button type="button" className="quiet" onClick={() => setAsked(backup)}>
              {texts.putBack}
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 max-w-prose text-sm text-ink-soft">{texts.ofTheDailyOnes}</p>
      <Dialog title={texts.putThisBackupBack} open={asked !== null} onClose={() => setAsked(null)}>
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
      setTrouble(failure(error, texts.itWasNotPutBack));
      setBusy(false);
    }
  };
  return (
    <div className="grid gap-3">
      <p>
        {texts.shopWillStand} <strong>{shopMoment(backup.at, shop)}</strong>
        {texts.writtenSinceIsKept}
      </p>
      <p className="text-ink-soft">{texts.everybodyWithAPageOpen}</p>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <p>
        <button type="button" className="act" disabled={busy} onClick={() => void putBack()}>
          {busy ? texts.puttingItBack : texts.putItBack}
        </button>
      </p>
    </div>
  );
}
