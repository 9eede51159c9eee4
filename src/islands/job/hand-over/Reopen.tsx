import { useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { useIsJudging } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-hand-over';

/** Opens a job again that was handed over: what it went with stays as it was given. */
export function Reopen() {
  const { view } = useJob();
  const isJudging = useIsJudging();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const reopen = async () => {
    setBusy(true);
    try {
      await api.post(`/api/jobs/${view.job.id}/reopen`, {});
      window.location.reload();
    } catch (error) {
      setRefused(failure(error, texts.itWasNotOpenedTry));
      setBusy(false);
    }
  };
  if (!isJudging) return null;
  return (
    <>
      {refused && <Notice kind="error">{refused}</Notice>}
      <button type="button" className="quiet" disabled={busy} onClick={() => void reopen()}>
        {texts.openAgain}
      </button>
    </>
  );
}

/** Above every other step of a job that has gone: nothing is written to it until it is open again. */
export function Gone() {
  return (
    <Notice kind="info">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <p className="flex-1">{texts.goneWritesNothing}</p>
        <Reopen />
      </div>
    </Notice>
  );
}
