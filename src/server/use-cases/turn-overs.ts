import { type Entry } from '../../core/sheet';
import { MOST_SERVICES } from '../../core/declared';
import { currentReadingsOfSaw, listJobs } from '../../data/repositories';
import type { TurnOverView } from '../../contract';
import type { Context } from '../context';
import { inEachShop, type BeenIn } from './sister-shops';

/** The jobs of a saw in one shop, and what was noted there of how its bar lay. */
async function turnedIn({ context, tagOf }: BeenIn, sawId: string) {
  const { db } = context.store;
  const [jobs, noted] = await Promise.all([
    listJobs(db, { show: 'saw', sawId }, { limit: MOST_SERVICES, offset: 0 }),
    currentReadingsOfSaw(db, sawId, ['bar.edgeDown', 'bar.edgeDownNow', 'saw.sameBar'], MOST_SERVICES),
  ]);
  return { jobs: jobs.map((job) => ({ ...job, tag: tagOf(job.tag) })), noted };
}

/** How the bar of a saw was turned from job to job, newest first, back to the job that found another bar on it. */
export async function turnOversOf(context: Context, sawId: string): Promise<readonly TurnOverView[]> {
  const found = await inEachShop(context, [sawId], (shop) => turnedIn(shop, sawId));
  const jobs = found
    .flatMap((each) => each.jobs)
    .toSorted((one, other) => (one.createdAt < other.createdAt ? 1 : -1))
    .slice(0, MOST_SERVICES);
  const noted = found.flatMap((each) => each.noted);
  const changed = jobs.findIndex(({ id }) =>
    noted.some(({ jobId, path, text }) => jobId === id && path === 'saw.sameBar' && text === 'no'),
  );
  const ofThisBar = changed === -1 ? jobs : jobs.slice(0, changed + 1);
  return ofThisBar.flatMap((job): TurnOverView[] => {
    const of = (edge: string) =>
      noted.find(({ jobId, path, text }) => jobId === job.id && path === edge && text !== '') ?? null;
    const [first, last] = [of('bar.edgeDown'), of('bar.edgeDownNow')];
    const newest = last ?? first;
    if (!newest) return [];
    return [{ tag: job.tag, at: newest.at, by: newest.by, came: first?.text ?? null, went: last?.text ?? null }];
  });
}

/**
 * The log as first entries of the next job's sheet, oldest first: with it the sheet tells the same wherever it is read.
 */
export async function turnLogEntries(context: Context, sawId: string): Promise<readonly Entry[]> {
  const log = [...(await turnOversOf(context, sawId))].reverse();
  return log.flatMap(({ came, went }, i) =>
    Object.entries({ came, went }).flatMap(([name, edge]) =>
      edge === null ? [] : [{ path: `saw.turnLog.${i}.${name}`, text: edge, unit: 'mm' as const }],
    ),
  );
}
