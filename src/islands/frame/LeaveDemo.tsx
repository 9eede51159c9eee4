import { useState } from 'react';
import { Dialog } from '../../ui/parts/Dialog';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from './api';
import * as texts from '#language/screens/set-up';

/** What a demo shop is, and one press that leaves it for an empty one. */
export function LeaveDemo({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const leave = async () => {
    setBusy(true);
    try {
      await api.post('/api/set-up/leave-demo', {});
      window.location.assign('/set-up');
    } catch (error) {
      setTrouble(failure(error, texts.notLeft));
      setBusy(false);
    }
  };
  return (
    <Dialog title={texts.thisIsADemo} open={open} onClose={onClose}>
      <p className="mb-4 max-w-prose">{texts.everythingIsInvented}</p>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <button type="button" className="act" disabled={busy} onClick={() => void leave()}>
        {busy ? texts.leaving : texts.leaveTheDemo}
      </button>
    </Dialog>
  );
}
