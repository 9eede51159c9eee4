import { useCallback, useEffect, useState } from 'react';
import { api } from '../../frame/api';
import { useAwaySince } from '../../frame/away/use-away';
import { useChanges } from '../../frame/live';
import { isSaved, useJob, useOfStore } from './JobContext';

/** What was answered; null until it is, `away` where the shop cannot be reached and never answered. */
type Answered<T> = T | 'failed' | 'away' | null;

/** What the server says of a job beside its readings. */
export interface JobData<T> {
  readonly data: Answered<T>;
  /** Puts in its place what the server answered to an act. */
  readonly put: (data: T) => void;
}

/** Whether an answer is there. */
export const isTold = <T extends object>(data: Answered<T>): data is T => typeof data === 'object' && data !== null;

/**
 * Asks for something of this job once everything that was typed is stored, and anew with every reading and every change
 * of the rules, of the job or of the shelf; an answer to what no longer stands is dropped.
 * @param name of the answer, behind the job's own address
 */
export function useJobData<T extends object>(name: string): JobData<T> {
  const { view } = useJob();
  const changes = useChanges([{ job: view.job.id }, 'stock', 'gear']);
  const lastReading = useOfStore((readings) => readings.lastReading);
  const isAway = useAwaySince() !== null;
  const [data, setData] = useState<T | 'failed' | null>(null);
  const isStored = useOfStore(isSaved);
  const { id } = view.job;
  useEffect(() => {
    if (!isStored || isAway) return;
    let isStale = false;
    api.get<T>(`/api/jobs/${id}/${name}`).then(
      (answer) => !isStale && setData(answer),
      () => !isStale && setData('failed'),
    );
    return () => {
      isStale = true;
    };
  }, [id, name, isStored, lastReading, view.rulesMark, changes, isAway]);
  return { data: isAway && !isTold(data) ? 'away' : data, put: useCallback((answer: T) => setData(answer), []) };
}
