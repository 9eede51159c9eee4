import type { Visit } from '../../../core/life';
import type { Rules } from '../../../core/assess';
import { goneOf, listJobs, type Gone, type ListedJob } from '../../../data/repositories';
import type { Context } from '../../context';
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

/** What the jobs of some saws say of their parts, each saw's by its id. */
export async function pastsOf(
  context: Context,
  sawIds: readonly string[],
  rules: Rules,
): Promise<ReadonlyMap<string, Past>> {
  const { db } = context.store;
  const page = { limit: MOST_VISITS, offset: 0 };
  const lists = await Promise.all(
    sawIds.map(async (sawId) => [...(await listJobs(db, { show: 'saw', sawId }, page))].reverse()),
  );
  const all = lists.flat();
  const [made, gone] = await Promise.all([
    summaries(context, all, rules),
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
