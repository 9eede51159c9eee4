import { useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { useChangedHere } from '../../frame/server-data';
import * as texts from '#language/screens/shop-backup';

/** Takes in a backup that was kept on another machine. */
export function Bring() {
  const changedHere = useChangedHere();
  const [said, setSaid] = useState<{ readonly kind: 'good' | 'error' | 'info'; readonly text: string } | null>(null);
  const bring = async (input: HTMLInputElement) => {
    const file = input.files?.[0];
    if (!file) return;
    setSaid({ kind: 'info', text: texts.lookingThrough(file.name) });
    try {
      await api.send('/api/backups/bring', new Blob([file], { type: 'application/octet-stream' }));
      setSaid({ kind: 'good', text: texts.broughtIsWhole(file.name) });
      await changedHere();
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, texts.couldNotBeRead(file.name)) });
    }
    input.value = '';
  };
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">{texts.bringOneFromElsewhere}</h2>
      <label className="grid gap-1">
        <span className="text-sm text-ink-soft">{texts.aBackupOrAnArchive}</span>
        <input
          type="file"
          aria-label={texts.aBackupFromElsewhere}
          className="entry py-2"
          onChange={({ target }) => void bring(target)}
        />
      </label>
      {said && (
        <div className="mt-2">
          <Notice kind={said.kind}>{said.text}</Notice>
        </div>
      )}
    </section>
  );
}
