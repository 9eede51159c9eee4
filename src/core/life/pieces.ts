import { flatMap } from '../flat-map';
import { PARTS, type Part } from '../reading';
import { cannotBe, nearestOf, wornOf } from './is-other';
import {
  lookKey,
  namedBy,
  pieceId,
  type Ending,
  type InTurn,
  type FirstKnown,
  type Move,
  type OtherBecause,
  type Piece,
  type Said,
  type SawPast,
  type Visit,
} from './piece';

/** What happened to pieces, in its order: a job came, a job went, a piece was put on another saw, some go in turn. */
type Happened = { readonly at: string } & (
  | { readonly what: 'came' | 'went'; readonly saw: string; readonly visit: Visit }
  | { readonly what: 'moved'; readonly move: Move }
  | { readonly what: 'turned'; readonly turn: InTurn }
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

/** Why the part that a job found is another than the piece that was there; null where nothing says so. */
function isOther(piece: Piece, visit: Visit, { isSame }: Said): OtherBecause | null {
  const { part } = piece;
  const said = isSame.get(lookKey(part, visit.jobId));
  if (said !== undefined) return said ? null : { code: 'said' };
  return visit.facts.others.includes(part) ? { code: 'said' } : cannotBe(piece, visit);
}

/** Pieces that go in turn on a saw by any of some sayings. */
const turningFrom = (saw: string, inTurn: readonly InTurn[]): Set<string> =>
  new Set(flatMap(inTurn, (turn) => (turn.saw === saw ? turn.pieces : [])));

/** The pieces of one part on some saws, as one thing after another happened to them. */
class Pieces {
  readonly all: Piece[] = [];
  /** Where in the list the piece stands that is on a saw now. */
  private readonly on = new Map<string, number>();
  /** Of each saw the pieces that go in turn on it: by what is said from now on, and what took the place of these. */
  private readonly turning = new Map<string, Set<string>>();

  constructor(
    private readonly part: Part,
    private readonly said: Said,
  ) {
    for (const { saw } of said.inTurn) this.turning.set(saw, turningFrom(saw, said.inTurn));
  }

  /** What took the place of a piece at the bench. */
  private readonly heirs = new Map<string, string>();

  private isTurning(saw: string, id: string): boolean {
    return this.turning.get(saw)?.has(id) ?? false;
  }

  /** How many go in turn on a saw with a piece, it among them. */
  private turnsWith({ saw, id }: Piece): number {
    if (!this.isTurning(saw, id)) return 1;
    return this.all.filter((each) => each.saw === saw && each.ended === null && this.isTurning(saw, each.id)).length;
  }

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
    this.change(saw, { ended, turns: this.turnsWith(this.there(saw)!) });
    this.on.delete(saw);
  }

  private know(saw: string, began: FirstKnown): void {
    const { part } = this;
    const id = pieceId(part, began);
    this.begin({ id, part, saw, since: began.at, began, ended: null, rests: false, turns: 1, seen: [] });
  }

  /** Pieces that rest while another is on the saw. */
  private resting(saw: string): readonly Piece[] {
    return this.all.filter((piece) => piece.saw === saw && piece.rests && piece.ended === null);
  }

  /** What is on the saw makes room: one that goes in turn rests, any other is gone. */
  private makeRoom(saw: string, ended: Ending): void {
    const there = this.there(saw);
    if (!there) return;
    if (!this.isTurning(saw, there.id)) this.end(saw, ended);
    else {
      this.change(saw, { rests: true });
      this.on.delete(saw);
    }
  }

  private takeUp(piece: Piece): void {
    this.on.set(piece.saw, this.all.indexOf(piece));
    this.change(piece.saw, { rests: false });
  }

  /** Which of what is on the saw and what rests a job found; null where it is none of them. */
  private found(there: Piece | null, because: OtherBecause | null, saw: string, visit: Visit): Piece | null {
    const look = lookKey(this.part, visit.jobId);
    const [told, itself] = [this.said.which.get(look), pieceId(this.part, { how: 'found', jobId: visit.jobId })];
    // One that was told apart from the others stays apart.
    if (told === itself || (told === undefined && this.isTurning(saw, itself))) return null;
    const resting = this.resting(saw);
    const named = [there, ...resting].find((piece) => piece && piece.id === told);
    if (named) return named;
    if (there && this.said.isSame.get(look)) return there;
    const fits = resting.filter((piece) => !cannotBe(piece, visit));
    return nearestOf(there && !because ? [there, ...fits] : fits, visit);
  }

  came(saw: string, visit: Visit): void {
    const { part } = this;
    const { jobId, came: at, facts } = visit;
    if (!facts.brought.includes(part)) return;
    const there = this.there(saw);
    const because = there && isOther(there, visit, this.said);
    const found = this.found(there, because, saw, visit);
    if (!found || found !== there) {
      this.makeRoom(saw, { how: 'gone', jobId, at, because: because ?? { code: 'said' } });
      if (found) this.takeUp(found);
      else this.know(saw, { how: 'found', jobId, at, because });
    }
    const worked = facts.worked[part] ?? [];
    const look = { visit, came: wornOf(part, facts.came), went: wornOf(part, facts.went), worked };
    this.change(saw, { seen: [...this.there(saw)!.seen, look] });
  }

  went(saw: string, { jobId, went, facts }: Visit): void {
    if (went === null || !facts.renewed.includes(this.part)) return;
    const there = this.there(saw);
    this.end(saw, { how: 'replaced', jobId, at: went });
    this.know(saw, { how: 'fitted', jobId, at: went });
    if (!there) return;
    const heir = this.there(saw)!.id;
    this.heirs.set(there.id, heir);
    // Whatever takes its place takes its turn.
    if (this.isTurning(saw, there.id)) this.turning.get(saw)!.add(heir);
  }

  /** From now on these go in turn on the saw; what rests and is not among them rests no more. */
  turned(turn: InTurn): void {
    const { saw, at } = turn;
    const pieces = this.withHeirs(turn.pieces);
    this.all.forEach((piece, i) => {
      const isLeftOut = piece.saw === saw && piece.rests && piece.ended === null && !pieces.includes(piece.id);
      if (!isLeftOut) return;
      const turns = this.turnsWith(piece);
      this.all[i] = { ...piece, rests: false, turns, ended: { how: 'out-of-turn', at } };
    });
    const sinceThen = this.said.inTurn.slice(this.said.inTurn.indexOf(turn));
    this.turning.set(saw, new Set(this.withHeirs([...turningFrom(saw, sinceThen)])));
  }

  private withHeirs(pieces: readonly string[]): readonly string[] {
    const heirs = flatMap(pieces, (piece) => this.heirs.get(piece) ?? []);
    return heirs.length === 0 ? pieces : [...pieces, ...this.withHeirs(heirs)];
  }

  /**
   * Puts what is on a saw, or rests beside it, on another.
   * @param piece which it must be; of one that is no longer there, what was said says nothing
   * @returns whether it went over
   */
  moved({ from, to, at }: Omit<Move, 'piece'>, piece: string | null): boolean {
    const there = this.there(from);
    const resting = this.resting(from).find(({ id }) => id === piece);
    const goes = resting ?? (piece === null || there?.id === piece ? there : null);
    if (!goes || from === to) return false;
    const turns = this.turnsWith(goes);
    this.all[this.all.indexOf(goes)] = { ...goes, rests: false, turns, ended: { how: 'moved', to, at } };
    if (!resting) this.on.delete(from);
    this.end(to, { how: 'displaced', by: goes.id, at });
    this.begin({ ...goes, saw: to, began: { how: 'moved', from, at }, ended: null, rests: false });
    return true;
  }

  /** How they stand in the end, each with how many go in turn with it, or went when it ended. */
  told(): readonly Piece[] {
    return this.all.map((piece) => (piece.ended === null ? { ...piece, turns: this.turnsWith(piece) } : piece));
  }
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
  const turns = said.inTurn.map((turn): Happened => ({ what: 'turned', at: turn.at, turn }));
  const happened = [...flatMap(pasts, happenedOn), ...moves, ...turns].sort(inOrder);
  const of = Object.fromEntries(PARTS.map((part) => [part, new Pieces(part, said)])) as Record<Part, Pieces>;
  for (const one of happened) {
    if (one.what === 'turned') of.chain.turned(one.turn);
    else if (one.what !== 'moved') for (const part of PARTS) of[part][one.what](one.saw, one.visit);
    else {
      const part = namedBy(one.move.piece)?.part;
      // A bar takes its nose along.
      if (part && of[part].moved(one.move, one.move.piece) && part === 'bar') of.nose.moved(one.move, null);
    }
  }
  return flatMap(PARTS, (part) => of[part].told());
}
