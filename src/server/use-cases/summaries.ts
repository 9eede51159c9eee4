import type { Rules } from '../../core/assess';
import { currentReadings, findJob, keepAtOnce, type JobRecord } from '../../data/repositories';
import { troubleOf } from '../../data/trouble';
import { letOthers } from '../../data/turn';
import type { JobSummary } from '../../contract';
import type { Context } from '../context';
import { complained } from '../log';
import { courseOf } from './course';
import { jobRules } from './job-rules';
import { rulesInForce } from './shop';
import { isTrueStill, keep, summarise, summaryKey, writtenOf, type Kept } from './summary';

/** A summary made afresh, and the key of the rules that it was made with. */
interface Made {
  readonly job: JobRecord;
  readonly kept: Kept;
  readonly key: string;
}

/**
 * Summaries of jobs: stored ones where they are still true, made afresh where they are not.
 * @param rules in force
 */
export async function summaries(
  context: Context,
  jobs: readonly JobRecord[],
  rules: Rules,
): Promise<ReadonlyMap<string, JobSummary>> {
  const key = summaryKey(rules);
  const { db } = context.store;
  const stale = jobs.filter((job) => !isTrueStill(job, key));
  const readings = await currentReadings(
    db,
    stale.map(({ id }) => id),
  );
  const made: Made[] = [];
  for (const job of stale) {
    await letOthers();
    const entries = readings.filter(({ jobId }) => jobId === job.id);
    const its = job.state === 'handed-over' ? (await jobRules(db, job)).rules : rules;
    made.push({ job, kept: summarise(entries, its, await courseOf(db, job)), key: summaryKey(its) });
  }
  if (made.length > 0 && !context.looksOnly) keepSummaries(context, made);
  const fresh = new Map(made.map(({ job, kept }) => [job.id, kept.summary]));
  return new Map(jobs.map((job) => [job.id, fresh.get(job.id) ?? (job.summary as JobSummary)]));
}

/** Jobs whose summaries are being made aside, each with whether it has changed again meanwhile. */
const underWay = new WeakMap<Context['store'], Map<string, boolean>>();

/** Makes the stale summary of a job afresh, and again where the job changes meanwhile. Nobody waits for it. */
export function summariseAside(context: Context, jobId: string): void {
  const { store } = context;
  const jobs = underWay.get(store) ?? new Map<string, boolean>();
  underWay.set(store, jobs);
  if (jobs.has(jobId)) return void jobs.set(jobId, true);
  jobs.set(jobId, false);
  const made = async (): Promise<void> => {
    const [job, rules] = await Promise.all([findJob(store.db, jobId), rulesInForce(context)]);
    if (job) await summaries(context, [job], rules);
  };
  made()
    // It stays marked as stale, and the next look makes it.
    .catch(complainUnlessTrouble)
    .finally(() => {
      const isStale = jobs.get(jobId);
      jobs.delete(jobId);
      if (isStale) summariseAside(context, jobId);
    });
}

/** A store that is in trouble tells so elsewhere. */
function complainUnlessTrouble(error: unknown): void {
  if (!troubleOf(error)) complained(error);
}

/** Keeps summaries for the next look. Nobody waits for it, and a store that takes nothing in can still be looked at. */
function keepSummaries({ store }: Context, made: readonly Made[]): void {
  // What became of a job meanwhile was kept with it: an older look is not written over it.
  const kept = store.isElsewhere
    ? keepAtOnce(
        store,
        made.map(({ job, kept: its, key }) => ({
          id: job.id,
          madeOf: job.summaryKey,
          kept: writtenOf(job, its, key),
        })),
      )
    : store.write(async (tx) => {
        for (const { job, kept: its, key } of made)
          if ((await findJob(tx, job.id))?.summaryKey === job.summaryKey) await keep(tx, job, its, key);
      });
  kept.catch(complainUnlessTrouble);
}
