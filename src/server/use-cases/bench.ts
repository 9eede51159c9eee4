import {
  countJobs,
  currentReadings,
  findCustomer,
  findSaw,
  listCustomers,
  listJobs,
  sawsOf,
  setSummary,
  type JobFilter,
  type JobRecord,
} from '../../data/repositories';
import { troubleOf } from '../../data/trouble';
import type { BenchView, JobRow, JobSummary } from '../../contract';
import { calendarDay } from '../../wording';
import type { Context } from '../context';
import { complained } from '../log';
import { paging } from '../paging';
import { rulesInForce, shopView, type Rules } from './shop';
import { summarise, summaryKey } from './summary';

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
  const stale = jobs.filter((job) => job.summaryKey !== key);
  const readings = await currentReadings(
    context.store.db,
    stale.map(({ id }) => id),
  );
  const made = stale.map((job) => ({
    job,
    summary: summarise(
      readings.filter(({ jobId }) => jobId === job.id),
      rules,
      job.state === 'signed-off',
    ),
  }));
  if (made.length > 0) keepSummaries(context, made, key);
  const fresh = new Map(made.map(({ job, summary }) => [job.id, summary]));
  return new Map(jobs.map((job) => [job.id, fresh.get(job.id) ?? (job.summary as JobSummary)]));
}

/** Keeps summaries for the next look. Nobody waits for it, and a store that takes nothing in can still be looked at. */
function keepSummaries(
  { store }: Context,
  made: readonly { readonly job: JobRecord; readonly summary: JobSummary }[],
  key: string,
): void {
  const kept = store.write(async (tx) => {
    for (const { job, summary } of made) await setSummary(tx, job.id, summary, key);
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

/** The Bench: open jobs by the day they are promised for, or the jobs of one customer or saw. */
export async function benchView(
  context: Context,
  wanted: { page: string | null; customerId?: string | undefined; sawId?: string | undefined; done?: boolean },
): Promise<BenchView> {
  const { db } = context.store;
  const filter = jobFilter(wanted);
  const total = await countJobs(db, filter);
  const { page, pages, limit, offset } = paging(wanted.page, total, PAGE);
  const [shop, jobs, customers, title] = await Promise.all([
    shopView(context),
    listJobs(db, filter, { limit, offset }),
    listCustomers(db, OFFERED_CUSTOMERS),
    titleOf(context, filter),
  ]);
  const saws = await sawsOf(
    db,
    customers.map(({ id }) => id),
  );
  return {
    shop,
    today: calendarDay(context.now(), shop.timeZone),
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

function jobFilter({
  customerId,
  sawId,
  done,
}: {
  customerId?: string | undefined;
  sawId?: string | undefined;
  done?: boolean;
}): JobFilter {
  if (customerId) return { show: 'customer', customerId };
  if (sawId) return { show: 'saw', sawId };
  return { show: done ? 'signed-off' : 'open' };
}

async function titleOf({ store }: Context, filter: JobFilter): Promise<string | null> {
  if (filter.show === 'customer') return (await findCustomer(store.db, filter.customerId))?.name ?? null;
  if (filter.show === 'saw') return (await findSaw(store.db, filter.sawId))?.label ?? null;
  return filter.show === 'signed-off' ? 'Signed off' : null;
}
