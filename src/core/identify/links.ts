import { concluded, contradiction, markEvidence, ranked, type Evidence } from './combine';
import type { Identified, IdentityReason, Sequence } from './reasons';

/** How a careful count errs: mostly not, sometimes by one link, seldom by two (shop's figure). */
const SLIP: readonly number[] = [1, 0.05, 0.005];
const WILD = 1e-5;
/** An unmarked number on a bar may well be something else. */
const BARE_DOUBT = 0.25;

/** Drive links per cutter. */
export const LINKS_PER_CUTTER: Record<Sequence, number> = { 'full-complement': 2, 'semi-skip': 2.5, 'full-skip': 3 };

/**
 * Cutters that a loop of n links carries: n/2, n/2.5 or n/3, rounded either way where the sequence does not come out even
 * and one pair stands out of order at the join.
 * @example cuttersExpected(72, 'full-complement') // [36]
 */
export function cuttersExpected(links: number, sequence: Sequence): readonly number[] {
  const exact = links / LINKS_PER_CUTTER[sequence];
  return Number.isInteger(exact) ? [exact] : [Math.floor(exact), Math.ceil(exact)];
}

/** Links of loops that carry this many cutters. */
function linksFor(cutters: number, sequence: Sequence): number[] {
  const centre = Math.round(cutters * LINKS_PER_CUTTER[sequence]);
  return [-3, -2, -1, 0, 1, 2, 3]
    .map((step) => centre + step)
    .filter((links) => cuttersExpected(links, sequence).includes(cutters));
}

/** True, false, or null when the count, the cutters or the sequence is not known. */
export function sequenceAgrees(
  links: number | null,
  cutters: number | undefined,
  sequence: Sequence | undefined,
): boolean | null {
  if (links === null || cutters === undefined || sequence === undefined) return null;
  return cuttersExpected(links, sequence).includes(cutters);
}

const countEvidence = (value: number): Evidence<number> => ({
  reason: { code: 'count', value },
  weightOf: (links) => SLIP[Math.abs(links - value)] ?? WILD,
});

/** What speaks of a loop's drive links. */
export interface LinksEvidence {
  /** Recounts, in order. */
  readonly counts: readonly number[];
  readonly cutters?: number | undefined;
  readonly sequence?: Sequence | undefined;
}

/**
 * Drive links of a chain. Two equal counts settle it; one count or unequal ones leave it open; a count that the cutters
 * cannot carry is a conflict.
 */
export function identifyChainLinks({ counts, cutters, sequence }: LinksEvidence): Identified<number> {
  const evidence = counts.map(countEvidence);
  const crossCheck = cutters !== undefined && sequence !== undefined ? linksFor(cutters, sequence) : [];
  if (crossCheck.length > 0)
    evidence.push(
      markEvidence(crossCheck, { code: 'cutters', cutters: cutters!, sequence: sequence!, links: crossCheck }),
    );
  if (evidence.length === 0) return concluded<number>([], [], null);
  const values = [
    ...new Set([...counts.flatMap((count) => [-2, -1, 0, 1, 2].map((slip) => count + slip)), ...crossCheck]),
  ].sort((a, b) => a - b);
  const candidates = ranked(
    values.map((value) => ({ value, weight: evidence.reduce((weight, item) => weight * item.weightOf(value), 1) })),
  );
  const clash = contradiction(values, evidence, (a, b) => a.reason.code !== 'count' || b.reason.code !== 'count');
  const repeated = counts.some((count, i) => counts.indexOf(count) !== i);
  const reasons: IdentityReason[] = evidence.map(({ reason }) => reason);
  const equal = new Set(counts).size === 1 && counts.length > 1;
  return concluded(candidates, equal ? reasons : [...reasons, { code: 'count-again', counts }], clash, repeated);
}

/** Drive links a bar is stamped for. The stamp settles what the bar says of itself; whether that suits the saw, a count must show. */
export function identifyBarLinks(
  marks: readonly { readonly value: number; readonly text: string; readonly marked: boolean }[],
): Identified<number> {
  const values = [...new Set(marks.map(({ value }) => value))];
  const evidence = marks.map(({ value, text, marked }): Evidence<number> => {
    const reason: IdentityReason = { code: 'links-mark', value, text, marked };
    return marked ? markEvidence([value], reason) : { reason, weightOf: (links) => (links === value ? 1 : BARE_DOUBT) };
  });
  if (evidence.length === 0) return concluded<number>([], [], null);
  const unread = evidence.reduce((weight, item) => weight * item.weightOf(-1), 1);
  const weights = values.map((value) => ({
    value,
    weight: evidence.reduce((weight, item) => weight * item.weightOf(value), 1),
  }));
  const total = weights.reduce((sum, { weight }) => sum + weight, unread);
  const candidates = weights
    .map(({ value, weight }) => ({ value, weight: weight / total }))
    .sort((a, b) => b.weight - a.weight);
  const reasons: IdentityReason[] = [...evidence.map(({ reason }) => reason), { code: 'stamp-is-not-a-count' }];
  return concluded(candidates, reasons, contradiction(values, evidence));
}
