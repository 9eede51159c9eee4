import { useCallback, useEffect, useState } from 'react';
import { api } from '../../frame/api';
import { useChanges } from '../../frame/live';
import { isSaved, useJob, useOfStore } from './JobContext';

/** What the server says of a job beside its readings. */
export interface JobData<T> {
  readonly data: T | 'failed' | null;
  /** Puts in its place what the server answered to an act. */
  readonly put: (data: T) => void;
}

/**
 * Asks for something of this job once everything that was typed is stored, and anew with every reading and every change
 * of the rules, of the job or of the shelf; an answer to what no longer stands is dropped.
 * @param name of the answer, behind the job's own address
 */
export function useJobData<T>(name: string): JobData<T> {
  const { view } = useJob();
  const changes = useChanges([{ job: view.job.id }, 'stock', 'gear']);
  const lastReading = useOfStore((readings) => readings.lastReading);
  const [data, setData] = useState<T | 'failed' | null>(null);
  const isStored = useOfStore(isSaved);
  const { id } = view.job;
  useEffect(() => {
    if (!isStored) return;
    let isStale = false;
    api.get<T>(`/api/jobs/${id}/${name}`).then(
      (answer) => !isStale && setData(answer),
      () => !isStale && setData('failed'),
    );
    return () => {
      isStale = true;
    };
  }, [id, name, isStored, lastReading, view.rulesMark, changes]);
  return { data, put: useCallback((answer: T) => setData(answer), []) };
}
