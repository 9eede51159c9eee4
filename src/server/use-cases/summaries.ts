import type { Rules } from '../../core/assess';
import { currentReadings, findJob, type JobRecord } from '../../data/repositories';
import { troubleOf } from '../../data/trouble';
import type { JobSummary } from '../../contract';
import type { Context } from '../context';
import { complained } from '../log';
import { courseOf } from './course';
import { keep, summarise, summaryKey, type Kept } from './summary';

/** Summaries of jobs: stored ones where they are still true, made afresh where they are not. */
export async function summaries(
  context: Context,
  jobs: readonly JobRecord[],
  rules: Rules,
): Promise<ReadonlyMap<string, JobSummary>> {
  const key = summaryKey(rules);
  const { db } = context.store;
  const stale = jobs.filter((job) => job.summaryKey !== key);
  const readings = await currentReadings(
    db,
    stale.map(({ id }) => id),
  );
  const made: { readonly job: JobRecord; readonly kept: Kept }[] = [];
  for (const job of stale) {
    const entries = readings.filter(({ jobId }) => jobId === job.id);
    made.push({ job, kept: summarise(entries, rules, await courseOf(db, job)) });
  }
  if (made.length > 0) keepSummaries(context, made, key);
  const fresh = new Map(made.map(({ job, kept }) => [job.id, kept.summary]));
  return new Map(jobs.map((job) => [job.id, fresh.get(job.id) ?? (job.summary as JobSummary)]));
}

/** Keeps summaries for the next look. Nobody waits for it, and a store that takes nothing in can still be looked at. */
function keepSummaries(
  { store }: Context,
  made: readonly { readonly job: JobRecord; readonly kept: Kept }[],
  key: string,
): void {
  const kept = store.write(async (tx) => {
    // What became of a job meanwhile was kept with it: an older look is not written over it.
    for (const { job, kept: its } of made)
      if ((await findJob(tx, job.id))?.summaryKey === job.summaryKey) await keep(tx, job, its, key);
  });
  kept.catch((error: unknown) => {
    if (!troubleOf(error)) complained(error);
  });
}
