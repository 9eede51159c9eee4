import { addDays } from 'date-fns';
import {
  firstReached,
  lifeOf,
  marksOfPiece,
  piecesOf,
  type Marks,
  type Piece,
  type PieceLife,
  type Reach,
  type WearLife,
} from '../../../core/life';
import type { Limits } from '../../../core/limits';
import { PART_OF_KIND } from '../../../core/stock';
import { chainsOfNumbers, partsBySku, type SawRecord } from '../../../data/repositories';
import type { Queryable } from '../../../data/store';
import type { FirstLimitView, NumbersView, PieceLine, SawGear, SawView } from '../../../contract';
import { calendarDay } from '../../../wording';
import type { Past } from './past';

export const sawView = ({ id, label, tag, mount, maxRpm }: SawRecord): SawView => ({ id, label, tag, mount, maxRpm });

/** Beyond so many days nobody plans ahead: a day there would be none. */
const FURTHEST_DAYS = 3650;

/** A limit that is reached, with the days in the shop's calendar. */
export function reachView(life: WearLife, timeZone: string): FirstLimitView | null {
  const { wear, points, limit, reach, days, line } = life;
  if (limit === null || reach === null || days === null) return null;
  const last = new Date(points.at(-1)!.at);
  const day = (ahead: number | null) =>
    ahead === null || ahead > FURTHEST_DAYS ? null : calendarDay(addDays(last, ahead), timeZone);
  const on = (it: Reach) => ({ middle: day(it.middle), from: day(it.from), until: day(it.until) });
  const isByFigures = points.filter(({ after }) => !after).length === 1;
  return { wear, now: line.now, limit, isByFigures, hours: reach, on: on(days) };
}

/** What of a saw's past went on new, by the part of its kind. */
async function soldOf(db: Queryable, pieces: readonly Piece[], { gone }: Past) {
  const fittedBy = (piece: Piece) => (piece.began.how === 'fitted' ? (gone.get(piece.began.jobId)?.fitted ?? []) : []);
  const skus = [...new Set(pieces.flatMap(fittedBy).map(({ sku }) => sku))];
  const kinds = new Map((await partsBySku(db, skus)).map(({ sku, kind }) => [sku, PART_OF_KIND[kind]]));
  return (piece: Piece) => fittedBy(piece).find(({ sku }) => kinds.get(sku) === piece.part) ?? null;
}

export function pieceLine({ piece, hours, ...life }: PieceLife, sold: PieceLine['sold'], timeZone: string): PieceLine {
  const first = piece.ended ? null : firstReached({ piece, hours, ...life });
  return {
    id: piece.id,
    part: piece.part,
    marks: marksOfPiece(piece),
    began: piece.began,
    ended: piece.ended,
    looks: piece.seen.length,
    hours,
    sold,
    first: first && reachView(first, timeZone),
  };
}

/** The pieces of a saw as lists show them, each with its life. */
export async function linesOf(
  db: Queryable,
  past: Past,
  limits: Limits,
  timeZone: string,
): Promise<readonly { readonly line: PieceLine; readonly life: PieceLife }[]> {
  const pieces = piecesOf(past.visits);
  const sold = await soldOf(db, pieces, past);
  return pieces.map((piece) => {
    const life = lifeOf(piece, limits);
    return { line: pieceLine(life, sold(piece), timeZone), life };
  });
}

/** What was last known of a part on this saw, whichever piece it was. */
function lastMarks(past: Past, part: 'chain' | 'bar' | 'driveSprocket'): Marks {
  return past.visits.reduce<Marks>((known, { facts }) => ({ ...known, ...facts.marks[part] }), {});
}

const MOST_CHAINS = 3;

/** The numbers of a saw's set, with chains of the list that answer all three. */
export async function numbersOf(db: Queryable, past: Past): Promise<NumbersView> {
  const marks = { ...lastMarks(past, 'bar'), ...lastMarks(past, 'chain') };
  const { pitch, gauge, driveLinks, kickbackClass } = marks;
  const found = pitch && gauge && driveLinks ? await chainsOfNumbers(db, [{ pitch, gauge, driveLinks }]) : [];
  const suits = (each: (typeof found)[number]) => !kickbackClass || each.kickbackClass === kickbackClass;
  const chains = found
    .filter(suits)
    .toSorted((a, b) => b.quantity - a.quantity || a.sku.localeCompare(b.sku))
    .slice(0, MOST_CHAINS)
    .map(({ sku, name, quantity }) => ({ sku, name, quantity }));
  return { marks, sprocket: lastMarks(past, 'driveSprocket'), chains };
}

/** A saw with what is on it. */
export async function sawGear(
  db: Queryable,
  saw: SawRecord,
  past: Past,
  lines: readonly PieceLine[],
): Promise<SawGear> {
  const last = past.jobs.at(-1) ?? null;
  return {
    saw: sawView(saw),
    numbers: await numbersOf(db, past),
    set: lines.filter(({ ended }) => ended === null),
    visits: past.jobs.length,
    last: last && { jobId: last.id, tag: last.tag, state: last.state, came: last.createdAt },
  };
}
