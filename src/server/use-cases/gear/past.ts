import type { Visit } from '../../../core/life';
import type { Rules } from '../../../core/assess';
import { goneOf, listJobs, type Gone, type ListedJob } from '../../../data/repositories';
import type { Context } from '../../context';
import { rulesInForce } from '../shop';
import { inEachShop, type BeenIn } from '../sister-shops';
import { summaries } from '../summaries';

/** Jobs of one saw that are looked at, the newest: ten years of a busy one. */
export const MOST_VISITS = 60;

/** What the jobs of a saw say of its parts. */
export interface Past {
  /** In the order in which they were taken in. */
  readonly jobs: readonly ListedJob[];
  readonly visits: readonly Visit[];
  readonly gone: ReadonlyMap<string, Gone>;
}

/** What the jobs of some saws say of their parts, each saw's by its id, whichever shop they were done in. */
export async function pastsOf(
  context: Context,
  sawIds: readonly string[],
  rules: Rules | Promise<Rules>,
): Promise<ReadonlyMap<string, Past>> {
  const found = await inEachShop(context, sawIds, (shop) =>
    pastsIn(shop, sawIds, shop.context === context ? rules : rulesInForce(shop.context)),
  );
  return found.length === 1 ? found[0] : new Map(sawIds.map((id) => [id, joined(found.map((each) => each.get(id)!))]));
}

/** What was in several shops, as one past. */
function joined(pasts: readonly Past[]): Past {
  const visits = new Map(pasts.flatMap((past) => past.visits.map((visit) => [visit.jobId, visit] as const)));
  const jobs = pasts
    .flatMap((past) => past.jobs)
    .toSorted((one, other) => (one.createdAt < other.createdAt ? -1 : 1))
    .slice(-MOST_VISITS);
  return {
    jobs,
    visits: jobs.map(({ id }) => visits.get(id)!),
    gone: new Map(pasts.flatMap(({ gone }) => [...gone])),
  };
}

/** What the jobs of one shop say of some saws. @param rules in force there */
async function pastsIn(
  { context, tagOf }: BeenIn,
  sawIds: readonly string[],
  rules: Rules | Promise<Rules>,
): Promise<ReadonlyMap<string, Past>> {
  const { db } = context.store;
  const page = { limit: MOST_VISITS, offset: 0 };
  // The rules are waited for at once: where the store is away, nobody else would hear that they could not be had.
  const [its, ...lists] = await Promise.all([
    rules,
    ...sawIds.map(async (sawId) =>
      (await listJobs(db, { show: 'saw', sawId }, page)).map((job) => ({ ...job, tag: tagOf(job.tag) })).reverse(),
    ),
  ]);
  const all = lists.flat();
  const [made, gone] = await Promise.all([
    summaries(context, all, its),
    goneOf(
      db,
      all.filter(({ state }) => state === 'handed-over').map(({ id }) => id),
    ),
  ]);
  const visitOf = ({ id, tag, createdAt }: ListedJob): Visit => ({
    jobId: id,
    tag,
    came: createdAt,
    went: gone.get(id)?.at ?? null,
    facts: made.get(id)!.visit,
  });
  return new Map(sawIds.map((id, i) => [id, { jobs: lists[i]!, visits: lists[i]!.map(visitOf), gone }]));
}
