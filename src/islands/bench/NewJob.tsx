import { useCallback, useState } from 'react';
import { Dialog } from '../../ui/parts/Dialog';
import { NewJobForm, type Draft } from './NewJobForm';
import * as texts from '#language/screens/bench';

const NOTHING_TYPED: Draft = { customer: '', saw: '', mount: '', complaint: '', promisedFor: '', sheet: null };

interface NewJobProps {
  readonly open: boolean;
  readonly onClose: () => void;
}

/**
 * Takes in a job. The form comes with the Bench: who presses `n` types on at once. What is typed is kept while the
 * dialog is closed, so that nothing is lost by a wrong key.
 */
export function NewJob({ open, onClose }: NewJobProps) {
  const [kept, setKept] = useState(NOTHING_TYPED);
  const keep = useCallback((draft: Draft) => setKept(draft), []);
  return (
    <Dialog title={texts.takeInAJob} open={open} onClose={onClose}>
      <NewJobForm kept={kept} onKeep={keep} />
    </Dialog>
  );
}
