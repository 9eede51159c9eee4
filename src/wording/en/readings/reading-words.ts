import type { JudgedCheckAt, JudgedId, JudgedLimitsAt, ReadingId, SeenId, WrittenAt } from '../../../core/sheet';

type Yes<T> = T extends boolean ? 'yes' | 'no' : T extends readonly (infer I)[] ? I : T;
/** Readings that are chosen from a few words: those whose values are known by name. */
type ChosenId = {
  [I in ReadingId]: [WrittenAt<I>] extends [string | boolean] ? (string extends WrittenAt<I> ? never : I) : never;
}[ReadingId];

/** These are never chosen on a screen by their words: work, evidence and tools have their own. */
type SaidElsewhere =
  | 'bar.reworkDone'
  | 'chain.reworkDone'
  | 'driveSprocket.reworkDone'
  | 'setAside'
  | 'chain.span.instrument'
  | 'saw.turnLog.came'
  | 'saw.turnLog.went'
  | 'saw.foreseen.of'
  | 'saw.foreseen.edge';

/** Something for each value that may stand at a reading. */
type ForEach<I extends ReadingId> = Readonly<Record<Yes<WrittenAt<I>> & string, string>>;

/** The name of a reading as one points at it in a sentence, and what stands at its field. */
interface Named {
  readonly name: string;
  /** Its short name at a field, where neither its check's heading nor its name will do. */
  readonly field?: string;
  readonly hint?: string;
  /** What might be typed, where it is not plain. */
  readonly example?: string;
  /** What is counted, behind a number that is no length. */
  readonly suffix?: string;
}

/** A reading that is chosen from a few words: its name, and how each word is said on a button. */
interface Chosen<I extends ReadingId> extends Named {
  readonly words: ForEach<I>;
}

/**
 * A finding that makes a check: also the check's heading, a sentence for each word, and one for when nobody has looked.
 */
interface Finding<I extends ReadingId> extends Chosen<I> {
  readonly check: string;
  readonly says: ForEach<I>;
  readonly unseen?: string;
}

/** Says a value, in the unit of the screen, against what it is held against. */
type Say = (value: string, against: string) => string;

/**
 * A length that is judged by itself: also the check's heading, what its limits are for, and a sentence for each way it
 * can come out badly.
 */
type JudgedLength<I extends JudgedId> = Named & {
  readonly check: string;
  /** What its limit is for, in the shop's list of limits. */
  readonly limit: string;
  readonly fail: Say;
} & (JudgedLimitsAt<I> extends JudgedCheckAt<I>
    ? { readonly watch?: never }
    : { readonly watch: { readonly limit: string; readonly says: Say } });

/** What must be said of a reading: its name as one points at it in a sentence, and what its kind asks for beside. */
type WordsOf<I extends ReadingId> = I extends SeenId
  ? Finding<I>
  : I extends Exclude<ChosenId, SaidElsewhere>
    ? Chosen<I>
    : I extends JudgedId
      ? JudgedLength<I>
      : string | Named;

/** The words of every reading: one without does not compile. */
export type ReadingWords = { readonly [I in ReadingId]: WordsOf<I> };
export type SomeReadingWords = Partial<ReadingWords>;
export type FindingWords = Pick<ReadingWords, SeenId>;
export type JudgedWords = Pick<ReadingWords, JudgedId>;
