import {
  countJobs,
  countWaiting,
  currentReadings,
  dueVisits,
  findCustomer,
  findJob,
  findSaw,
  listCustomers,
  listJobs,
  sawsOf,
  type JobFilter,
  type JobRecord,
} from '../../data/repositories';
import { WAITS, type Waits } from '../../core/reading';
import { troubleOf } from '../../data/trouble';
import type { BenchView, JobRow, JobSummary } from '../../contract';
import { calendarDay } from '../../wording';
import type { Context } from '../context';
import { complained } from '../log';
import { paging } from '../paging';
import { rulesInForce, shopView, type Rules } from './shop';
import { courseOf } from './course';
import { keep, summarise, summaryKey, type Kept } from './summary';

const PAGE = 24;
/** Customers offered for a new job; others are found by typing. */
const OFFERED_CUSTOMERS = 200;

/** Summaries of a page of jobs: stored ones where they are still true, made afresh where they are not. */
async function summaries(
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

async function rows(context: Context, jobs: readonly JobRecord[]): Promise<readonly JobRow[]> {
  const rules = await rulesInForce(context);
  const [made, complaints] = await Promise.all([summaries(context, jobs, rules), complaintsOf(context, jobs)]);
  return jobs.map((job) => ({
    id: job.id,
    tag: job.tag,
    state: job.state,
    promisedFor: job.promisedFor,
    customer: job.customer.name,
    saw: job.saw && [job.saw.label, job.saw.tag].filter(Boolean).join(', '),
    complaint: complaints.get(job.id) ?? '',
    summary: made.get(job.id)!,
  }));
}

async function complaintsOf({ store }: Context, jobs: readonly JobRecord[]): Promise<ReadonlyMap<string, string>> {
  const readings = await currentReadings(
    store.db,
    jobs.map(({ id }) => id),
    ['job.complaint'],
  );
  return new Map(readings.map(({ jobId, text }) => [jobId, text]));
}

/** What of the Bench is asked for. */
export interface BenchWanted {
  readonly page: string | null;
  readonly customerId?: string | undefined;
  readonly sawId?: string | undefined;
  readonly done?: boolean;
  readonly waits?: string | undefined;
}

/** Visits are shown when they fall due within so many days, and so long after. */
const DUE_WITHIN = 14;
const DUE_SINCE = 120;
const DUE_SHOWN = 40;
const DAY_MS = 86_400_000;

/** The Bench: jobs by what they wait for and the day they are promised for, or the jobs of one customer or saw; and who is due. */
export async function benchView(context: Context, wanted: BenchWanted): Promise<BenchView> {
  const { db } = context.store;
  const filter = jobFilter(wanted);
  const waiting = await countWaiting(db);
  const total = filter.show === 'bench' ? waitingFor(filter.waits, waiting) : await countJobs(db, filter);
  const { page, pages, limit, offset } = paging(wanted.page, total, PAGE);
  const shop = await shopView(context);
  const day = (days: number) => calendarDay(new Date(context.now().getTime() + days * DAY_MS), shop.timeZone);
  const [jobs, customers, title, due] = await Promise.all([
    listJobs(db, filter, { limit, offset }),
    listCustomers(db, OFFERED_CUSTOMERS),
    titleOf(context, filter),
    dueVisits(db, day(-DUE_SINCE), day(DUE_WITHIN), DUE_SHOWN),
  ]);
  const saws = await sawsOf(
    db,
    customers.map(({ id }) => id),
  );
  return {
    shop,
    today: day(0),
    waits: filter.show === 'bench' ? filter.waits : null,
    waiting: Object.fromEntries(waiting),
    due,
    title,
    jobs: await rows(context, jobs),
    total,
    page,
    pages,
    customers: customers.map(({ id, name }) => ({
      id,
      name,
      saws: saws
        .filter(({ customerId }) => customerId === id)
        .map((saw) => ({ id: saw.id, label: saw.label, tag: saw.tag })),
    })),
  };
}

/** Jobs that wait for one thing, or all that wait for anything. */
const waitingFor = (waits: Waits | null, waiting: ReadonlyMap<string, number>): number =>
  waits === null ? [...waiting.values()].reduce((sum, each) => sum + each, 0) : (waiting.get(waits) ?? 0);

/** A narrowed Bench, as the list asks for it. */
type BenchFilter = Exclude<JobFilter, { show: 'bench' }> | { readonly show: 'bench'; readonly waits: Waits | null };

function jobFilter({ customerId, sawId, done, waits }: BenchWanted): BenchFilter {
  if (customerId) return { show: 'customer', customerId };
  if (sawId) return { show: 'saw', sawId };
  if (done) return { show: 'gone' };
  return { show: 'bench', waits: WAITS.find((each) => each === waits) ?? null };
}

async function titleOf({ store }: Context, filter: JobFilter): Promise<string | null> {
  if (filter.show === 'customer') return (await findCustomer(store.db, filter.customerId))?.name ?? null;
  if (filter.show === 'saw') return (await findSaw(store.db, filter.sawId))?.label ?? null;
  return filter.show === 'gone' ? 'Handed over' : null;
}
