import { useCallback, useState } from 'react';
import type { BenchView } from '../../contract';
import { Dialog } from '../../ui/parts/Dialog';
import { NewJobForm, type Draft } from './NewJobForm';

const NOTHING_TYPED: Draft = { customer: '', saw: '', mount: '', complaint: '', promisedFor: '', sheet: null };

interface NewJobProps {
  readonly customers: BenchView['customers'];
  readonly open: boolean;
  readonly onClose: () => void;
}

/** Takes in a job. What is typed is kept while the dialog is closed, so that nothing is lost by a wrong key. */
export function NewJob({ customers, open, onClose }: NewJobProps) {
  const [kept, setKept] = useState(NOTHING_TYPED);
  const keep = useCallback((draft: Draft) => setKept(draft), []);
  return (
    <Dialog title="Take in a job" open={open} onClose={onClose}>
      <NewJobForm customers={customers} kept={kept} onKeep={keep} />
    </Dialog>
  );
}
