import { addDays } from 'date-fns';
import type { Rules } from '../../core/assess';
import {
  countJobs,
  countWaiting,
  dueVisits,
  findCustomer,
  findSaw,
  listJobs,
  shopStanding,
  type JobFilter,
  type ListedJob,
} from '../../data/repositories';
import { WAITS, type Waits } from '../../core/reading';
import type { BenchView, JobRow } from '../../contract';
import { calendarDay } from '../../wording';
import type { Context } from '../context';
import { paging } from '../paging';
import { isNewShop } from './set-up-items';
import { rulesOf, shopOf } from './shop';
import { summaries } from './summaries';
import * as texts from '#language/server';

const PAGE = 24;

async function rows(context: Context, jobs: readonly ListedJob[], rules: Rules): Promise<readonly JobRow[]> {
  const made = await summaries(context, jobs, rules);
  return jobs.map((job) => {
    const { why: _why, visit: _visit, causes: _causes, ...summary } = made.get(job.id)!;
    return {
      id: job.id,
      tag: job.tag,
      state: job.state,
      promisedFor: job.promisedFor,
      customer: job.customer.name,
      saw: job.saw && [job.saw.label, job.saw.tag].filter(Boolean).join(', '),
      complaint: job.complaint,
      summary,
    };
  });
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

/**
 * The Bench: jobs by what they wait for and the day they are promised for, or the jobs of one customer or saw; and who
 * is due.
 */
export async function benchView(context: Context, wanted: BenchWanted): Promise<BenchView> {
  const { db } = context.store;
  const filter = jobFilter(wanted);
  const [waiting, standing, listed] = await Promise.all([
    countWaiting(db),
    shopStanding(db),
    filter.show === 'bench' ? 0 : countJobs(db, filter),
  ]);
  const [shop, rules] = [shopOf(standing), rulesOf(standing)];
  const total = filter.show === 'bench' ? waitingFor(filter.waits, waiting) : listed;
  const { page, pages, limit, offset } = paging(wanted.page, total, PAGE);
  const day = (days: number) => calendarDay(addDays(context.now(), days), shop.timeZone);
  const [jobs, title, due] = await Promise.all([
    listJobs(db, filter, { limit, offset }),
    titleOf(context, filter),
    dueVisits(db, day(-DUE_SINCE), day(DUE_WITHIN), DUE_SHOWN),
  ]);
  return {
    shop,
    today: day(0),
    waits: filter.show === 'bench' ? filter.waits : null,
    waiting: Object.fromEntries(waiting),
    isNew: isNewShop(standing) && total === 0,
    due,
    title,
    jobs: await rows(context, jobs, rules),
    total,
    page,
    pages,
  };
}

/** The Bench as the query of its address asks for it. */
export const benchOf = (context: Context, params: URLSearchParams): Promise<BenchView> =>
  benchView(context, {
    page: params.get('page'),
    customerId: params.get('customer') ?? undefined,
    sawId: params.get('saw') ?? undefined,
    done: params.get('show') === 'done',
    waits: params.get('waits') ?? undefined,
  });

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
  return filter.show === 'gone' ? texts.handedOver : null;
}
