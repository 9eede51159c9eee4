import { flatMap } from '../flat-map';
import type { Operation } from '../sheet';
import { PARTS, type Part } from '../reading';
import { WEARS, wearsOf, type WearId, type Worn } from './wear';
import type { Marks } from './marks';
import type { VisitFacts } from './visit';

/** A job on a saw, in the order in which they were taken in. */
export interface Visit {
  readonly jobId: string;
  readonly tag: string;
  /** Moments, ISO 8601. */
  readonly came: string;
  /** Null while it has not gone. */
  readonly went: string | null;
  readonly facts: VisitFacts;
}

/** Why a piece is held to be another than the one before. */
export type OtherBecause =
  /** Somebody said so. */
  | { readonly code: 'said' }
  /** What does not wear differs. */
  | { readonly code: 'marks'; readonly mark: keyof Marks; readonly was: string; readonly is: string }
  /** What wears one way came back better than it went. */
  | { readonly code: 'better'; readonly wear: WearId; readonly was: number; readonly is: number };

/** How a piece came to be known. */
type Known =
  | { readonly how: 'found'; readonly jobId: string; readonly at: string; readonly because: OtherBecause | null }
  | { readonly how: 'fitted'; readonly jobId: string; readonly at: string };

/** How a piece came on a saw, and when. */
export type Beginning = Known | { readonly how: 'moved'; readonly from: string; readonly at: string };

/** How it left the saw. */
export type Ending =
  | { readonly how: 'replaced'; readonly jobId: string; readonly at: string }
  /** Another was on the saw when it came the next time. */
  | { readonly how: 'gone'; readonly jobId: string; readonly at: string; readonly because: OtherBecause }
  /** Somebody said that it went over to another saw, or that one of another saw came in its place. */
  | { readonly how: 'moved'; readonly to: string; readonly at: string }
  | { readonly how: 'displaced'; readonly by: string; readonly at: string };

/** A piece that somebody put on another saw. */
export interface Move {
  readonly piece: string;
  readonly from: string;
  readonly to: string;
  /** A moment, ISO 8601. */
  readonly at: string;
}

/** What people say of pieces beyond what was measured and done. */
export interface Said {
  /** Whether a job found the piece of the job before, by part and job: see {@link lookKey}. */
  readonly isSame: ReadonlyMap<string, boolean>;
  /** In the order in which they were said. */
  readonly moves: readonly Move[];
}

export const NOTHING_SAID: Said = { isSame: new Map(), moves: [] };

/** Names what a job found of a part. */
export const lookKey = (part: Part, jobId: string): string => `${part}.${jobId}`;

/** What a job found of a piece and did with it. */
export interface Seen {
  readonly visit: Visit;
  readonly came: Worn;
  readonly went: Worn;
  readonly worked: readonly Operation[];
}

/** A bar, a chain, a drive sprocket, a nose: one thing on one saw, from one day to another. */
export interface Piece {
  /** The job that it was found at or fitted by, and its part: it stays, whatever comes later, and on another saw. */
  readonly id: string;
  readonly part: Part;
  readonly saw: string;
  /** When it was first known, on whichever saw. */
  readonly since: string;
  readonly began: Beginning;
  /** Null while it is on the saw. */
  readonly ended: Ending | null;
  /** Up to its end on this saw, on others before. */
  readonly seen: readonly Seen[];
}

/** The jobs of a saw, in the order in which they were taken in. */
export interface SawPast {
  readonly saw: string;
  readonly visits: readonly Visit[];
}

/** Better by more than so many standard uncertainties of the difference is another piece: nothing grows back. */
const CLEARLY = 3;

const isTold = (part: Part, id: string): boolean => WEARS[id as WearId].part === part;
const wornOf = (part: Part, worn: Worn): Worn =>
  Object.fromEntries(Object.entries(worn).filter(([id]) => isTold(part, id)));

/** What was last measured of each thing. */
const lastOf = (seen: readonly Seen[]): Worn =>
  seen.reduce<Worn>((last, { came, went }) => ({ ...last, ...came, ...went }), {});

function betterThan(part: Part, seen: readonly Seen[], worn: Worn): OtherBecause | null {
  const last = lastOf(seen);
  // A mouth that flared and was closed, or a chain that was measured otherwise, may come back tighter.
  for (const wear of wearsOf(part).filter((id) => GROWS_NEVER.includes(id))) {
    const [was, is] = [last[wear], worn[wear]];
    if (!was || !is) continue;
    const better = WEARS[wear].side === 'min' ? is.value - was.value : was.value - is.value;
    if (better > CLEARLY * Math.hypot(was.u, is.u)) return { code: 'better', wear, was: was.value, is: is.value };
  }
  return null;
}
const GROWS_NEVER: readonly WearId[] = ['bar.depth', 'chain.cutter', 'sprocket.wear'];

/** What is known of a piece that does not wear, the latest first. */
export const marksOfPiece = ({ part, seen }: Piece): Marks =>
  seen.reduce<Marks>((known, { visit }) => ({ ...known, ...visit.facts.marks[part] }), {});

function otherMark(piece: Piece, marks: Marks): OtherBecause | null {
  const known = marksOfPiece(piece);
  for (const mark of Object.keys(marks) as (keyof Marks)[]) {
    const was = known[mark];
    if (was !== undefined && was !== marks[mark]) return { code: 'marks', mark, was: `${was}`, is: `${marks[mark]}` };
  }
  return null;
}

/** Why the part that a job found is another than the piece that was there; null where nothing says so. */
function isOther(piece: Piece, { jobId, facts }: Visit, { isSame }: Said): OtherBecause | null {
  const { part, seen } = piece;
  const said = isSame.get(lookKey(part, jobId));
  if (said !== undefined) return said ? null : { code: 'said' };
  if (facts.others.includes(part)) return { code: 'said' };
  return otherMark(piece, facts.marks[part] ?? {}) ?? betterThan(part, seen, facts.came);
}

/** What happened to pieces, in its order: a job came, a job went, a piece was put on another saw. */
type Happened = { readonly at: string } & (
  | { readonly what: 'came' | 'went'; readonly saw: string; readonly visit: Visit }
  | { readonly what: 'moved'; readonly move: Move }
);

/** A saw's jobs one after the other, each before the next, whatever the clock said. */
function happenedOn({ saw, visits }: SawPast): readonly Happened[] {
  let last = '';
  const notBefore = (at: string) => (last = at > last ? at : last);
  return flatMap(visits, (visit): readonly Happened[] => [
    { what: 'came', at: notBefore(visit.came), saw, visit },
    ...(visit.went === null ? [] : [{ what: 'went' as const, at: notBefore(visit.went), saw, visit }]),
  ]);
}

const inOrder = (one: Happened, other: Happened): number => (one.at < other.at ? -1 : one.at > other.at ? 1 : 0);

/** The pieces of one part on some saws, as one thing after another happened to them. */
class Pieces {
  readonly all: Piece[] = [];
  /** Where in the list the piece stands that is on a saw now. */
  private readonly on = new Map<string, number>();

  constructor(
    private readonly part: Part,
    private readonly said: Said,
  ) {}

  private there(saw: string): Piece | null {
    const at = this.on.get(saw);
    return at === undefined ? null : this.all[at]!;
  }

  private begin(piece: Piece): void {
    this.on.set(piece.saw, this.all.push(piece) - 1);
  }

  private change(saw: string, to: Partial<Piece>): void {
    const at = this.on.get(saw)!;
    this.all[at] = { ...this.all[at]!, ...to };
  }

  private end(saw: string, ended: Ending): void {
    if (!this.on.has(saw)) return;
    this.change(saw, { ended });
    this.on.delete(saw);
  }

  private know(saw: string, began: Known): void {
    const { part } = this;
    this.begin({ id: pieceId(part, began), part, saw, since: began.at, began, ended: null, seen: [] });
  }

  came(saw: string, visit: Visit): void {
    const { part } = this;
    const { jobId, came: at, facts } = visit;
    if (!facts.brought.includes(part)) return;
    const there = this.there(saw);
    const because = there && isOther(there, visit, this.said);
    if (because) this.end(saw, { how: 'gone', jobId, at, because });
    if (!there || because) this.know(saw, { how: 'found', jobId, at, because });
    const worked = facts.worked[part] ?? [];
    const look = { visit, came: wornOf(part, facts.came), went: wornOf(part, facts.went), worked };
    this.change(saw, { seen: [...this.there(saw)!.seen, look] });
  }

  went(saw: string, { jobId, went, facts }: Visit): void {
    if (went === null || !facts.renewed.includes(this.part)) return;
    this.end(saw, { how: 'replaced', jobId, at: went });
    this.know(saw, { how: 'fitted', jobId, at: went });
  }

  /**
   * Puts what is on a saw on another.
   * @param piece which it must be; of one that is no longer there, what was said says nothing
   * @returns whether it went over
   */
  moved({ from, to, at }: Omit<Move, 'piece'>, piece: string | null): boolean {
    const there = this.there(from);
    if (!there || from === to || (piece !== null && there.id !== piece)) return false;
    this.end(from, { how: 'moved', to, at });
    this.end(to, { how: 'displaced', by: there.id, at });
    this.begin({ ...there, saw: to, began: { how: 'moved', from, at }, ended: null });
    return true;
  }
}

const pieceId = (part: Part, { how, jobId }: Known): string => `${part}.${how}.${jobId}`;

/** What an id of a piece tells: its part, and the job that it was found at or fitted by; null where it is none. */
export function namedBy(
  id: string,
): { readonly part: Part; readonly how: Known['how']; readonly jobId: string } | null {
  const [first, how, ...rest] = id.split('.');
  const part = PARTS.find((each) => each === first);
  const jobId = rest.join('.');
  return part && (how === 'found' || how === 'fitted') && jobId !== '' ? { part, how, jobId } : null;
}

/**
 * The pieces that some saws have had, by their jobs: which were found on them, which went on new, and which were
 * another than the one before. Nobody enters them: they follow from what was measured and done; what people say beyond
 * that is heard. A piece that went from saw to saw is told once for each, by the same id, with all that was seen of it
 * until it left.
 * @param pasts of saws that belong together: every saw that a move names
 */
export function piecesOf(pasts: readonly SawPast[], said: Said): readonly Piece[] {
  const moves = said.moves.map((move): Happened => ({ what: 'moved', at: move.at, move }));
  const happened = [...flatMap(pasts, happenedOn), ...moves].sort(inOrder);
  const of = Object.fromEntries(PARTS.map((part) => [part, new Pieces(part, said)])) as Record<Part, Pieces>;
  for (const one of happened) {
    if (one.what !== 'moved') for (const part of PARTS) of[part][one.what](one.saw, one.visit);
    else {
      const part = namedBy(one.move.piece)?.part;
      // A bar takes its nose along.
      if (part && of[part].moved(one.move, one.move.piece) && part === 'bar') of.nose.moved(one.move, null);
    }
  }
  return flatMap(PARTS, (part) => of[part].all);
}
