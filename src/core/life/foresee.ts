import { FORESEEN, type ForeseenId } from '../declared';
import { flatMap } from '../flat-map';
import { lineAt } from './line';
import { weeksBetween, type PieceLife } from './life';
import type { WornValue } from './wear';

/** What the next job may expect of one thing on a piece. */
export interface ForeseenWear extends WornValue {
  readonly wear: ForeseenId;
  /** The job that measured it last. */
  readonly tag: string;
  /** The moment of that look, ISO 8601. */
  readonly at: string;
}

/**
 * What a job may expect of a piece that comes again: each line of wear gone on to that moment, with the doubt of the
 * line and of the hours since.
 * @param now the moment of the job, ISO 8601; before the last look it counts as then
 * @see model.md §15, "What the next job gains"
 */
export function foreseeAt({ piece, wears, hours, use }: PieceLife, now: string): readonly ForeseenWear[] {
  const last = piece.seen.at(-1)?.visit;
  if (!last) return [];
  const since = weeksBetween(last.went ?? last.came, now) * use.hoursPerWeek;
  return flatMap(wears, ({ wear: any, line, points }) => {
    const wear = FORESEEN.find((each) => each === any);
    if (!wear) return [];
    const look = points.at(-1)!;
    const ahead = hours.value - look.hours + since;
    const { value, u } = lineAt(line, ahead);
    const byHours = line.rate.value * ahead * (use.u / use.hoursPerWeek);
    const where = look.where ? { where: look.where } : {};
    return [{ wear, value, u: Math.hypot(u, byHours), ...where, tag: look.tag, at: look.at }];
  });
}
