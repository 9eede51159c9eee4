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

/** How a piece came to be known, and when. */
export type Beginning =
  | { readonly how: 'found'; readonly jobId: string; readonly at: string; readonly because: OtherBecause | null }
  | { readonly how: 'fitted'; readonly jobId: string; readonly at: string };

/** How it left the saw. */
export type Ending =
  | { readonly how: 'replaced'; readonly jobId: string; readonly at: string }
  /** Another was on the saw when it came the next time. */
  | { readonly how: 'gone'; readonly jobId: string; readonly at: string; readonly because: OtherBecause };

/** What a job found of a piece and did with it. */
export interface Seen {
  readonly visit: Visit;
  readonly came: Worn;
  readonly went: Worn;
  readonly worked: readonly Operation[];
}

/** A bar, a chain, a drive sprocket, a nose: one thing on one saw, from one day to another. */
export interface Piece {
  /** The job that it was found at or fitted by, and its part: it stays, whatever comes later. */
  readonly id: string;
  readonly part: Part;
  readonly began: Beginning;
  /** Null while it is on the saw. */
  readonly ended: Ending | null;
  readonly seen: readonly Seen[];
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
function isOther(piece: Piece, { facts }: Visit): OtherBecause | null {
  const { part, seen } = piece;
  if (facts.sameBar === false && (part === 'bar' || part === 'nose')) return { code: 'said' };
  return otherMark(piece, facts.marks[part] ?? {}) ?? betterThan(part, seen, facts.came);
}

/** The pieces of one part that a saw has had, by its jobs in their order. */
function piecesOfPart(part: Part, visits: readonly Visit[]): readonly Piece[] {
  const pieces: Piece[] = [];
  const current = () => {
    const last = pieces.at(-1);
    return last && last.ended === null ? last : null;
  };
  const change = (piece: Piece, to: Partial<Piece>) => pieces.splice(pieces.indexOf(piece), 1, { ...piece, ...to });
  for (const visit of visits) {
    const { jobId, came, went, facts } = visit;
    if (facts.brought.includes(part)) {
      const there = current();
      const because = there && isOther(there, visit);
      if (there && because) change(there, { ended: { how: 'gone', jobId, at: came, because } });
      if (!there || because) {
        const began: Beginning = { how: 'found', jobId, at: came, because };
        pieces.push({ id: pieceId(part, began), part, began, ended: null, seen: [] });
      }
      const here = current()!;
      const look = {
        visit,
        came: wornOf(part, facts.came),
        went: wornOf(part, facts.went),
        worked: facts.worked[part] ?? [],
      };
      change(here, { seen: [...here.seen, look] });
    }
    if (went !== null && facts.renewed.includes(part)) {
      const there = current();
      if (there) change(there, { ended: { how: 'replaced', jobId, at: went } });
      const began: Beginning = { how: 'fitted', jobId, at: went };
      pieces.push({ id: pieceId(part, began), part, began, ended: null, seen: [] });
    }
  }
  return pieces;
}

const pieceId = (part: Part, { how, jobId }: Beginning): string => `${part}.${how}.${jobId}`;

/** The part and the job that an id names; null where it names none. */
export function namedBy(id: string): { readonly part: Part; readonly jobId: string } | null {
  const [first, how, ...rest] = id.split('.');
  const part = PARTS.find((each) => each === first);
  const jobId = rest.join('.');
  return part && (how === 'found' || how === 'fitted') && jobId !== '' ? { part, jobId } : null;
}

/**
 * The pieces that a saw has had, by its jobs: which were found on it, which went on new, and which were another than
 * the one before. Nobody enters them: they follow from what was measured and done.
 * @param visits in the order in which they were taken in
 */
export const piecesOf = (visits: readonly Visit[]): readonly Piece[] =>
  flatMap(PARTS, (part) => piecesOfPart(part, visits));
