import { EVIDENCE_IDS, type BenchSheet, type EvidenceId } from '../sheet';
import type { Sequence } from './reasons';

/** Drive links per cutter (common practice, no source). */
export const LINKS_PER_CUTTER: Record<Sequence, number> = { 'full-complement': 2, 'semi-skip': 2.5, 'full-skip': 3 };

/** Sequences, the one with the most cutters first. */
export const SEQUENCES = ['full-complement', 'semi-skip', 'full-skip'] as const satisfies readonly Sequence[];

/**
 * Cutters that a loop of n links carries: n/2, n/2.5 or n/3, rounded either way where the sequence does not come out
 * even and one pair stands out of order at the join.
 * @example cuttersExpected(72, 'full-complement') // [36]
 */
export function cuttersExpected(links: number, sequence: Sequence): readonly number[] {
  const exact = links / LINKS_PER_CUTTER[sequence];
  return Number.isInteger(exact) ? [exact] : [Math.floor(exact), Math.ceil(exact)];
}

/** Links of loops that carry this many cutters. */
export function linksFor(cutters: number, sequence: Sequence): number[] {
  const centre = Math.round(cutters * LINKS_PER_CUTTER[sequence]);
  return [-3, -2, -1, 0, 1, 2, 3]
    .map((step) => centre + step)
    .filter((links) => cuttersExpected(links, sequence).includes(cutters));
}

/** True, false, or null when the count, the cutters or the sequence is not known. */
export function sequenceAgrees(
  links: number | null | undefined,
  cutters: number | undefined,
  sequence: Sequence | undefined,
): boolean | null {
  if (links === null || links === undefined || cutters === undefined || sequence === undefined) return null;
  return cuttersExpected(links, sequence).includes(cutters);
}

/** A sequence, or that the counts fit none. */
export type CountedSequence = Sequence | 'irregular';

/**
 * The sequence that two counts give: the one whose cutters they are; of several that a short loop leaves, the nearest.
 * @example sequenceByCount(72, 24) // 'full-skip'
 */
export function sequenceByCount(links: number, cutters: number): CountedSequence {
  const off = (sequence: Sequence) => Math.abs(links / LINKS_PER_CUTTER[sequence] - cutters);
  const [nearest] = SEQUENCES.filter((sequence) => cuttersExpected(links, sequence).includes(cutters)).sort(
    (a, b) => off(a) - off(b),
  );
  return nearest ?? 'irregular';
}

/** Each count of the links as evidence. */
export const countId = (i: number): EvidenceId =>
  EVIDENCE_IDS.find((id) => id === `chain.driveLinks.${i}`) ?? 'chain.driveLinks.4';

/** Counts of the links that nobody has set aside. */
export const standingCounts = ({ chain, setAside = [] }: BenchSheet): readonly number[] =>
  (chain?.driveLinks ?? []).filter((_, i) => !setAside.includes(countId(i)));

/** The count that two recounts of the links agree on; null where none do. */
export function countedTwice(counts: readonly number[] | undefined): number | null {
  return counts?.find((count, i) => counts.indexOf(count) !== i) ?? null;
}

/** What is known of the order in which cutters follow one another. */
export interface SequenceJudgement {
  readonly cutters: number | null;
  readonly driveLinks: number | null;
  /** By the two counts; null where one of them is missing. */
  readonly says: CountedSequence | null;
  /** Whether what was ticked agrees with the counts; null where there is nothing to compare. */
  readonly agrees: boolean | null;
  /** What a chain is ordered with: by the counts, else as ticked; null where neither says it. */
  readonly ordered: Sequence | null;
}

/** What a sheet says of it. */
interface SequenceSheet {
  readonly cutters?: number | undefined;
  readonly driveLinks?: readonly number[] | undefined;
  readonly sequence?: Sequence | undefined;
}

/**
 * Judges the sequence of a sheet's chain by the counts that stand.
 * @param settled the links as identifying settled them, where they were not counted twice
 */
export const sequenceOf = (sheet: BenchSheet, settled: number | null): SequenceJudgement =>
  judgeSequence({ ...sheet.chain, driveLinks: standingCounts(sheet) }, settled);

/** The same of counts and a word. */
export function judgeSequence(chain: SequenceSheet, settled: number | null): SequenceJudgement {
  const { cutters, driveLinks: counts = [], sequence } = chain;
  const sole = new Set(counts).size === 1 ? counts[0]! : null;
  const driveLinks = countedTwice(counts) ?? settled ?? sole;
  const says = driveLinks === null || cutters === undefined ? null : sequenceByCount(driveLinks, cutters);
  const agrees = sequenceAgrees(driveLinks, cutters, sequence);
  // A short loop may leave several: of these the one that was ticked.
  const byCount = agrees === true ? sequence! : says;
  return {
    cutters: cutters ?? null,
    driveLinks,
    says: byCount,
    agrees,
    ordered: byCount === 'irregular' ? null : (byCount ?? sequence ?? null),
  };
}
