import { normalCdf } from '../quantity';
import { lineAt, type WearLine } from './line';

/** When a limit is reached: hours after the last look. */
export interface Reach {
  /** As likely before as after; null where it is not reached within the time looked at. */
  readonly middle: number | null;
  /** Eight times in ten between these two; null as above. */
  readonly from: number | null;
  readonly until: number | null;
  /** Chance that it is reached already. */
  readonly already: number;
}

/** Rather reached than not. */
export const isReached = ({ already }: Pick<Reach, 'already'>): boolean => already > 1 / 2;

/** Whether a limit is a floor that is worn down to, or a ceiling that is worn up to. */
export type LimitSide = 'min' | 'max';

/** Further ahead nobody looks: more than a working life of any part, h. */
export const FURTHEST = 20_000;
const LOW = 0.1;
const HIGH = 0.9;
/** Halvings of the time looked at: to less than a minute. */
const HALVINGS = 40;

/** Chance that a line has reached a limit by an hour. */
export function reachedBy(line: WearLine, limit: number, side: LimitSide, hours: number): number {
  const { value, u } = lineAt(line, hours);
  const beyond = side === 'min' ? limit - value : value - limit;
  return normalCdf(beyond / u);
}

/** The hour by which a limit is reached with this chance; null where not within the time looked at. */
function hourAt(line: WearLine, limit: number, side: LimitSide, chance: number): number | null {
  const by = (hours: number) => reachedBy(line, limit, side, hours);
  if (by(0) >= chance) return 0;
  if (by(FURTHEST) < chance) return null;
  let [early, late] = [0, FURTHEST];
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (early + late) / 2;
    if (by(middle) < chance) early = middle;
    else late = middle;
  }
  return late;
}

/**
 * When a line of wear reaches a limit, with a band that holds it eight times in ten.
 * @example the line of model.md §15 and a limit of 6.0 mm → middle 144, from 117 until 183 h after the last look
 */
export const reachOf = (line: WearLine, limit: number, side: LimitSide): Reach => ({
  middle: hourAt(line, limit, side, 1 / 2),
  from: hourAt(line, limit, side, LOW),
  until: hourAt(line, limit, side, HIGH),
  already: reachedBy(line, limit, side, 0),
});

/** Hours a week that a saw runs, with their spread. */
export interface Use {
  readonly hoursPerWeek: number;
  readonly u: number;
}

const DAYS_PER_WEEK = 7;

/** The same line by days: what an hour costs times the hours of a day, with the doubt of both. */
export function byDay(line: WearLine, { hoursPerWeek, u }: Use): WearLine {
  const [a, ua] = [hoursPerWeek / DAYS_PER_WEEK, u / DAYS_PER_WEEK];
  const { value, u: ur } = line.rate;
  return {
    ...line,
    rate: { value: value * a, u: Math.sqrt((ur * a) ** 2 + (value * ua) ** 2 + (ur * ua) ** 2) },
    covariance: line.covariance * a,
  };
}
