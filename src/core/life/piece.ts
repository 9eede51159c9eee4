import type { Operation } from '../sheet';
import { PARTS, type Part } from '../reading';
import type { Marks } from './marks';
import type { VisitFacts } from './visit';
import type { WearId, Worn } from './wear';

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
export type FirstKnown =
  | { readonly how: 'found'; readonly jobId: string; readonly at: string; readonly because: OtherBecause | null }
  | { readonly how: 'fitted'; readonly jobId: string; readonly at: string };

/** How a piece came on a saw, and when. */
export type Beginning = FirstKnown | { readonly how: 'moved'; readonly from: string; readonly at: string };

/** How it left the saw. */
export type Ending =
  | { readonly how: 'replaced'; readonly jobId: string; readonly at: string }
  /** Another was on the saw when it came the next time. */
  | { readonly how: 'gone'; readonly jobId: string; readonly at: string; readonly because: OtherBecause }
  /** Somebody said that it went over to another saw, or that one of another saw came in its place. */
  | { readonly how: 'moved'; readonly to: string; readonly at: string }
  | { readonly how: 'displaced'; readonly by: string; readonly at: string }
  /** It rested, and somebody said that it goes in turn with the others no more. */
  | { readonly how: 'out-of-turn'; readonly at: string };

/** A piece that somebody put on another saw. */
export interface Move {
  readonly piece: string;
  readonly from: string;
  readonly to: string;
  /** A moment, ISO 8601. */
  readonly at: string;
}

/** Chains that somebody says go in turn on a saw, from then on these alone. */
export interface InTurn {
  readonly saw: string;
  readonly pieces: readonly string[];
  /** A moment, ISO 8601. */
  readonly at: string;
}

/** What people say of pieces beyond what was measured and done. */
export interface Said {
  /** Whether a job found the piece of the job before, by part and job: see {@link lookKey}. */
  readonly isSame: ReadonlyMap<string, boolean>;
  /** In the order in which they were said. */
  readonly moves: readonly Move[];
  /** In the order in which they were said. */
  readonly inTurn: readonly InTurn[];
  /** Which piece of those that go in turn a job found, by part and job. */
  readonly which: ReadonlyMap<string, string>;
}

export const NOTHING_SAID: Said = { isSame: new Map(), moves: [], inTurn: [], which: new Map() };

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
  /** Null while it is the saw's. */
  readonly ended: Ending | null;
  /** Whether it goes in turn with what is on the saw, and another is on it now. */
  readonly rests: boolean;
  /** How many of them go in turn on its saw, it among them; 1 of what goes alone. */
  readonly turns: number;
  /** Up to its end on this saw, on others before. */
  readonly seen: readonly Seen[];
}

/** The jobs of a saw, in the order in which they were taken in. */
export interface SawPast {
  readonly saw: string;
  readonly visits: readonly Visit[];
}

/** Names a piece by how it came to be known: it stays, whatever comes later, and on another saw. */
export const pieceId = (part: Part, { how, jobId }: Pick<FirstKnown, 'how' | 'jobId'>): string =>
  `${part}.${how}.${jobId}`;

/** What an id of a piece tells: its part, and the job that it was found at or fitted by; null where it is none. */
export function namedBy(
  id: string,
): { readonly part: Part; readonly how: FirstKnown['how']; readonly jobId: string } | null {
  const [first, how, ...rest] = id.split('.');
  const part = PARTS.find((each) => each === first);
  const jobId = rest.join('.');
  return part && (how === 'found' || how === 'fitted') && jobId !== '' ? { part, how, jobId } : null;
}

/** Whether a chain may go in turn with others of its saw: it is on it, rests, or was held to be gone. */
export const mayTurn = ({ part, ended }: Pick<Piece, 'part' | 'ended'>): boolean =>
  part === 'chain' && (ended === null || ended.how === 'gone' || ended.how === 'out-of-turn');
