import { useState } from 'react';
import { Download } from 'lucide-react';
import type { BackupView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { failure } from '../../frame/api';
import { useOfBrowser } from '../../frame/hydrated';
import { save } from '../../frame/save-file';
import { useChangedHere } from '../../frame/server-data';
import { Bring } from './Bring';
import { Kept } from './Kept';
import { madeFile } from './made-file';
import { LookThrough } from './LookThrough';
import * as texts from '#language/screens/shop-backup';

/** What came of saving. */
type Saved = { readonly kind: 'good' | 'error'; readonly text: string };

/** Whether this page was loaded because a backup was put back. */
const isPutBack = (): boolean => new URLSearchParams(window.location.search).get('put') === 'back';

/** Saving all that the shop has written down, and putting it back. */
export function Backup({ backups }: { backups: readonly BackupView[] | null }) {
  return backups === null ? <Elsewhere /> : <Own backups={backups} />;
}

/** A store on another machine: it is backed up there, and carried away from here as an archive, over the wire. */
function Elsewhere() {
  return (
    <div className="grid gap-7">
      <Notice kind="info">{`${texts.theStoreIsKept}. ${texts.itIsSavedThere}`}</Notice>
      <Save ways={['archive']} />
      <LookThrough />
    </div>
  );
}

const EVERY_WAY: readonly Way[] = ['backup', 'archive'];

/** Backups of a store that lies on this machine. */
function Own({ backups }: { backups: readonly BackupView[] }) {
  const wasPutBack = useOfBrowser(isPutBack, false);
  return (
    <div className="grid gap-7">
      {wasPutBack && <Notice kind="good">{texts.theBackupWasPutBack}</Notice>}
      <Save ways={EVERY_WAY} />
      <Kept backups={backups} />
      <div className="grid grid-cols-2 gap-x-10 gap-y-6 max-md:grid-cols-1">
        <Bring />
        <LookThrough />
      </div>
    </div>
  );
}

/** Ways to carry everything away, and what the button says of each. */
const WAYS = {
  backup: { address: '/api/backup', act: texts.saveABackup, done: texts.isWhole },
  archive: { address: '/api/archive', act: texts.saveAnArchive, done: texts.holdsTheWholeShop },
} as const;
type Way = keyof typeof WAYS;

function Save({ ways }: { readonly ways: readonly Way[] }) {
  const [busy, setBusy] = useState<Way | null>(null);
  const [saved, setSaved] = useState<Saved | null>(null);
  const changedHere = useChangedHere();
  const make = async (way: Way) => {
    setBusy(way);
    setSaved(null);
    try {
      const { blob, name } = await madeFile(WAYS[way].address);
      save(blob, name);
      const text = texts.fileIsOnItsWay(name, WAYS[way].done);
      setSaved({ kind: 'good', text });
    } catch (error) {
      setSaved({ kind: 'error', text: failure(error, texts.itBrokeOffTryAgain) });
    }
    setBusy(null);
    await changedHere();
  };
  return (
    <section className="max-w-prose">
      {ways.includes('backup') && <p className="mb-3 text-ink-soft">{texts.aBackupIsOneFile}</p>}
      <div className="mb-3 flex flex-wrap gap-3">
        {ways.map((way) => (
          <button
            key={way}
            type="button"
            className={`inline-flex items-center gap-2 ${way === ways[0] ? 'act' : 'quiet'}`}
            disabled={busy !== null}
            onClick={() => void make(way)}
          >
            <Download size={18} aria-hidden="true" />
            {busy === way ? texts.saving : WAYS[way].act}
          </button>
        ))}
      </div>
      {saved && <Notice kind={saved.kind}>{saved.text}</Notice>}
      <p className="text-sm text-ink-soft">{texts.anArchiveHoldsTheSame}</p>
    </section>
  );
}
