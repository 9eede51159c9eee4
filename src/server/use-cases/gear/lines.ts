import { addDays } from 'date-fns';
import {
  chainsDuring,
  firstReached,
  lifeOf,
  marksOfPiece,
  namedBy,
  type Marks,
  type Piece,
  type PieceLife,
  type Reach,
  type WearLife,
} from '../../../core/life';
import type { Limits } from '../../../core/limits';
import type { ReadingPath } from '../../../core/sheet';
import { PART_OF_KIND, type StockPart } from '../../../core/stock';
import { chainsOfNumbers, partsBySku, sawMemoryOf, sawsById, type GearSawRecord } from '../../../data/repositories';
import type { Queryable } from '../../../data/store';
import type { FirstLimitView, NumbersView, PieceLine, SawGear, SawView } from '../../../contract';
import { calendarDay } from '../../../wording';
import type { Past } from './past';
import type { GearOfSaws } from './pieces';

export const sawView = ({ retiredAt, id, label, tag, mount, maxRpm }: GearSawRecord): SawView => ({
  ...{ id, label, tag, mount, maxRpm },
  retired: retiredAt !== null,
});

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

/** A part that went on, as the shelf knows it. */
interface Sold {
  readonly part: NonNullable<PieceLine['sold']>;
  readonly marks: Marks;
}

/** What of a part on the list does not wear. */
const marksOnList = ({ pitch, gauge, driveLinks, kickbackClass, teeth, sprocketKind }: StockPart): Marks => ({
  ...(pitch ? { pitch } : {}),
  ...(gauge ? { gauge } : {}),
  ...(driveLinks ? { driveLinks } : {}),
  ...(kickbackClass ? { kickbackClass } : {}),
  ...(teeth ? { teeth } : {}),
  ...(sprocketKind ? { kind: sprocketKind } : {}),
});

/** What of a saw's past went on new, by the part of its kind. */
async function soldOf(db: Queryable, pieces: readonly Piece[], gone: Past['gone']) {
  const fittedBy = ({ id }: Piece) => {
    const named = namedBy(id);
    return named?.how === 'fitted' ? (gone.get(named.jobId)?.fitted ?? []) : [];
  };
  const skus = [...new Set(pieces.flatMap(fittedBy).map(({ sku }) => sku))];
  const onList = new Map((await partsBySku(db, skus)).map((each) => [each.sku, each]));
  return (piece: Piece): Sold | null => {
    const listed = fittedBy(piece).flatMap(({ sku, name }) => {
      const found = onList.get(sku);
      return found && PART_OF_KIND[found.kind] === piece.part
        ? [{ part: { sku, name }, marks: marksOnList(found) }]
        : [];
    });
    return listed[0] ?? null;
  };
}

type SawName = NonNullable<PieceLine['from']>;

/** The saws that pieces came from and went to, by their ids. */
async function sawNames(db: Queryable, pieces: readonly Piece[]): Promise<ReadonlyMap<string, SawName>> {
  const ids = pieces.flatMap(({ began, ended }) => [
    ...(began.how === 'moved' ? [began.from] : []),
    ...(ended?.how === 'moved' ? [ended.to] : []),
  ]);
  const saws = await sawsById(db, [...new Set(ids)]);
  return new Map(saws.map(({ saw: { id, label, tag } }) => [id, { id, label, tag }]));
}

/** What a line tells of a piece beside its life. */
interface Beside {
  readonly sold: Sold | null;
  readonly tag: string;
  readonly names: ReadonlyMap<string, SawName>;
  readonly chains: number | null;
}

function pieceLine(
  { piece, hours, ...life }: PieceLife,
  { sold, tag, names, chains }: Beside,
  timeZone: string,
): PieceLine {
  const { began, ended } = piece;
  const first = ended ? null : firstReached({ piece, hours, ...life });
  return {
    id: piece.id,
    part: piece.part,
    marks: { ...sold?.marks, ...marksOfPiece(piece) },
    tag,
    began,
    from: began.how === 'moved' ? (names.get(began.from) ?? null) : null,
    ended,
    to: ended?.how === 'moved' ? (names.get(ended.to) ?? null) : null,
    rests: piece.rests,
    turns: piece.turns,
    chains,
    looks: piece.seen.length,
    hours,
    sold: sold && sold.part,
    first: first && reachView(first, timeZone),
  };
}

/** The pieces of a saw as lists show them, each with its life. */
export async function linesOf(
  db: Queryable,
  { pasts, pieces, tags }: GearOfSaws,
  sawId: string,
  limits: Limits,
  timeZone: string,
): Promise<readonly { readonly line: PieceLine; readonly life: PieceLife }[]> {
  const its = pieces.filter(({ saw }) => saw === sawId);
  // Every saw that belongs to them tells of all hand-overs.
  const [sold, names] = await Promise.all([soldOf(db, its, pasts.get(sawId)!.gone), sawNames(db, its)]);
  return its.map((piece) => {
    const life = lifeOf(piece, limits);
    const chains = piece.part === 'driveSprocket' ? chainsDuring(piece, its).length : null;
    const beside = { sold: sold(piece), tag: tags.get(piece.id) ?? '', names, chains };
    return { line: pieceLine(life, beside, timeZone), life };
  });
}

const MOST_CHAINS = 3;

const differ = <T>(one: T | undefined, other: T | undefined): boolean =>
  one !== undefined && other !== undefined && one !== other;

/**
 * The numbers of the set that is on a saw, with chains of the list that answer all three: as the chain has them, and
 * what of them it does not tell as the bar does. What another chain had before is not told
 * of this one. Where parts of the set do not belong together nothing is offered by their numbers, as in a job.
 */
async function numbersOf(db: Queryable, set: readonly PieceLine[]): Promise<NumbersView> {
  const of = (part: PieceLine['part']): Marks => set.find((each) => each.part === part)?.marks ?? {};
  const [bar, chain, sprocket] = [of('bar'), of('chain'), of('driveSprocket')];
  const marks = { ...bar, ...chain };
  const { pitch, gauge, driveLinks, kickbackClass } = marks;
  const clashes =
    differ(bar.pitch, chain.pitch) || differ(bar.gauge, chain.gauge) || differ(sprocket.pitch, marks.pitch);
  const found =
    !clashes && pitch && gauge && driveLinks ? await chainsOfNumbers(db, [{ pitch, gauge, driveLinks }]) : [];
  const suits = (each: StockPart) => !kickbackClass || each.kickbackClass === kickbackClass;
  const chains = found
    .filter(suits)
    .toSorted((a, b) => b.quantity - a.quantity || a.sku.localeCompare(b.sku))
    .slice(0, MOST_CHAINS)
    .map((each) => ({
      sku: each.sku,
      name: each.name,
      quantity: each.quantity,
      kickbackClass: each.kickbackClass,
    }));
  return { marks, sprocket, clashes, told: '', chains };
}

/** Where what is told of a saw stands: as it is punched on its bar or its chain. */
const STAMPS: readonly ReadingPath[] = ['bar.stamp', 'chain.stamp'];

/** What a caller or a list told of a saw. */
async function toldOf(db: Queryable, sawId: string): Promise<string> {
  const memory = await sawMemoryOf(db, sawId);
  return memory?.entries.find(({ path }) => STAMPS.some((stamp) => stamp === path))?.text ?? '';
}

/** A saw with what is on it. */
export async function sawGear(
  db: Queryable,
  saw: GearSawRecord,
  past: Past,
  lines: readonly PieceLine[],
): Promise<SawGear> {
  const last = past.jobs.at(-1) ?? null;
  const its = lines.filter(({ ended }) => ended === null);
  const set = its.filter(({ rests }) => !rests);
  const [numbers, told] = await Promise.all([numbersOf(db, set), toldOf(db, saw.id)]);
  const isKnown = Object.keys({ ...numbers.marks, ...numbers.sprocket }).length > 0;
  return {
    saw: sawView(saw),
    numbers: isKnown ? numbers : { ...numbers, told },
    set,
    resting: its.filter(({ rests }) => rests),
    visits: past.jobs.length,
    last: last && { jobId: last.id, tag: last.tag, state: last.state, came: last.createdAt },
  };
}
