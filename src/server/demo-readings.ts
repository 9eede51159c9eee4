import { addSeconds, subSeconds } from 'date-fns';
import { WORK_PLACES } from '../core/judge';
import type { Entry } from '../core/sheet';
import { tickedOneByOne } from '../data/demo';
import type { NewReading } from '../data/repositories';
import type { Context } from './context';

/** The job whose readings these are, and who wrote them. */
interface Whose {
  readonly jobId: string;
  /** What the scatter of the minutes is drawn with. */
  readonly seed: number;
  readonly by: string;
}

const isWorkDone = ({ path }: Entry): boolean => WORK_PLACES.some((place) => place === path);

/**
 * What was written on a job of the demo, with the moment of each: what was read and seen first, then the work, ticked
 * off as it was done until now.
 */
export function demoReadings(context: Context, entries: readonly Entry[], { jobId, seed, by }: Whose) {
  const works = entries.filter(isWorkDone).map(({ path, text }, i) => ({
    path,
    ticks: tickedOneByOne(text, 10 * seed + i),
  }));
  const seconds = works.flatMap(({ ticks }) => ticks.map(({ after }) => Math.round(60 * after)));
  const began = subSeconds(
    context.now(),
    seconds.reduce((sum, each) => sum + each, 0),
  );
  const write = (entry: Entry, at: Date, supersedes: string | null): NewReading => {
    return { ...entry, id: context.newId(), jobId, supersedes, at: at.toISOString(), by };
  };
  const readings = entries.filter((entry) => !isWorkDone(entry)).map((entry) => write(entry, began, null));
  let at = began;
  for (const { path, ticks } of works) {
    let before: string | null = null;
    for (const { text, after } of ticks) {
      at = addSeconds(at, Math.round(60 * after));
      const tick: NewReading = write({ path, text, unit: 'mm' }, at, before);
      readings.push(tick);
      before = tick.id;
    }
  }
  return { began: began.toISOString(), readings };
}
