import { wearsOf, WEARS, type WearId, type Worn } from './wear';
import type { Part } from '../reading';
import type { Marks } from './marks';
import type { OtherBecause, Piece, Seen, Visit } from './piece';

/** Better by more than so many standard uncertainties of the difference is another piece: nothing grows back. */
const CLEARLY = 3;

const isTold = (part: Part, id: string): boolean => WEARS[id as WearId].part === part;
/** What of a job's measurements is of a part. */
export const wornOf = (part: Part, worn: Worn): Worn =>
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

/** Why what a job found cannot be a piece, by what does not wear and by what only wears; null where it can. */
export const cannotBe = (piece: Piece, { facts }: Visit): OtherBecause | null =>
  otherMark(piece, facts.marks[piece.part] ?? {}) ?? betterThan(piece.part, piece.seen, facts.came);

/** Things that grow or fall steadily, by which chains that go in turn are told apart. */
const TOLD_BY: readonly WearId[] = ['chain.cutter', 'chain.elongation'];

/**
 * Of some pieces, each of which a job may have found, the one that changed least since it was last measured. One that
 * was never measured is new, and further off than any that may be it.
 */
export function nearestOf(pieces: readonly Piece[], { facts }: Visit): Piece | null {
  const last = new Map(pieces.map((piece) => [piece, lastOf(piece.seen)]));
  for (const wear of TOLD_BY) {
    const [came, measured] = [facts.came[wear], pieces.filter((piece) => last.get(piece)![wear])];
    if (!came || measured.length === 0) continue;
    const changed = (piece: Piece) => Math.abs(last.get(piece)![wear]!.value - came.value);
    return measured.reduce((nearest, piece) => (changed(piece) < changed(nearest) ? piece : nearest));
  }
  return pieces[0] ?? null;
}
