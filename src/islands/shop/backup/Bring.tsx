import { useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { useChangedHere } from '../../frame/server-data';

/** Takes in a backup that was kept on another machine. */
export function Bring() {
  const changedHere = useChangedHere();
  const [said, setSaid] = useState<{ readonly kind: 'good' | 'error' | 'info'; readonly text: string } | null>(null);
  const bring = async (input: HTMLInputElement) => {
    const file = input.files?.[0];
    if (!file) return;
    setSaid({ kind: 'info', text: `Looking ${file.name} through…` });
    try {
      await api.send('/api/backups/bring', new Blob([file], { type: 'application/octet-stream' }));
      setSaid({ kind: 'good', text: `${file.name} is whole. It stands in the list above, to be put back.` });
      await changedHere();
    } catch (error) {
      setSaid({ kind: 'error', text: failure(error, `${file.name} could not be read.`) });
    }
    input.value = '';
  };
  return (
    <section>
      <h2 className="mb-1 text-lg font-bold">Bring one from elsewhere</h2>
      <label className="grid gap-1">
        <span className="text-sm text-ink-soft">
          A backup, or an archive of a shop. It is tried first, and changes nothing until it is put back.
        </span>
        <input
          type="file"
          aria-label="A backup from elsewhere"
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
