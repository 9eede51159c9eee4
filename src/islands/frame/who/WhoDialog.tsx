import { useState } from 'react';
import type { Me } from '../../../contract';
import { Dialog } from '../../../ui/parts/Dialog';
import { Notice } from '../../../ui/parts/Notice';
import { roleWord } from '../../../wording';
import { api, failure } from '../api';
import { wipe } from '../away/keep';
import { OwnSecrets } from './OwnSecrets';
import { TakeOver } from './TakeOver';
import * as texts from '#language/screens/people';

interface WhoDialogProps {
  readonly me: Me;
  readonly open: boolean;
  readonly onClose: () => void;
}

/** Who is signed in: the bench is given over with a PIN, and password and PIN are set. */
export function WhoDialog({ me, open, onClose }: WhoDialogProps) {
  const [setting, setSetting] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const signOut = async () => {
    try {
      await api.delete('/api/session');
      await wipe();
      window.location.assign('/sign-in');
    } catch (error) {
      setTrouble(failure(error, texts.notSignedOut));
    }
  };
  return (
    <Dialog title={texts.signedInAs(me.name, roleWord[me.role])} open={open} onClose={onClose}>
      {setting ? <OwnSecrets hasPin={me.role !== 'reader'} /> : me.role !== 'reader' && <TakeOver me={me} />}
      <div className="mt-5 flex flex-wrap gap-2 border-t border-line pt-4">
        <button type="button" className="quiet" onClick={() => void signOut()}>
          {texts.signOut}
        </button>
        {!setting && (
          <button type="button" className="quiet" onClick={() => setSetting(true)}>
            {texts.passwordAndPin}
          </button>
        )}
      </div>
      {trouble && <Notice kind="error">{trouble}</Notice>}
    </Dialog>
  );
}
