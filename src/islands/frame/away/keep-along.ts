import type { BenchView, JobView, RowsView, ShelvedPartView } from '../../../contract';
import { keepView, keptViews, keptView } from '../../../offline/kept';
import { api } from '../api';
import { dropOldJobs, KEPT } from './keep';

/** A shelf that was seen within so long is not fetched anew, ms. */
const FRESH_MS = 5 * 60_000;
/** Blocks of the stock list that are kept. */
const MOST_BLOCKS = 10;

async function keepShelf(): Promise<void> {
  const before = await keptView(KEPT.stock);
  if (before && Date.now() - Date.parse(before.at) < FRESH_MS) return;
  const parts: ShelvedPartView[] = [];
  let from: string | number | null = 0;
  for (let block = 0; block < MOST_BLOCKS && from !== null; block += 1) {
    const view: RowsView<ShelvedPartView> = await api.get(`/api/stock/rows?from=${from}`);
    parts.push(...view.rows);
    from = view.next;
  }
  await keepView(KEPT.stock, parts);
}

/** Whether all that the Bench knows of a job is as it was kept. */
const isAsKept = (summary: BenchView['jobs'][number]['summary'], { kept }: JobView): boolean =>
  Object.entries(summary).every(
    ([name, value]) => JSON.stringify(value) === JSON.stringify(kept[name as keyof typeof summary]),
  );

/**
 * Keeps what stands on the Bench for when the shop cannot be reached: each job that is not kept as it stands, one after
 * the other, and the shelf.
 */
export async function keepAlong({ jobs, shop }: Pick<BenchView, 'jobs' | 'shop'>): Promise<void> {
  await keepView(KEPT.shop, shop);
  const kept = new Map((await keptViews<JobView>(KEPT.job)).map(({ key, value }) => [key, value]));
  for (const { id, summary } of jobs) {
    const key = `${KEPT.job}${id}`;
    const before = kept.get(key);
    if (before && isAsKept(summary, before)) continue;
    await keepView(key, await api.get<JobView>(`/api/jobs/${id}`));
  }
  await dropOldJobs();
  await keepShelf();
}
