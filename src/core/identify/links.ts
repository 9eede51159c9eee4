import { flatMap } from '../flat-map';
import { quadrature, type Estimate, type Mm } from '../quantity';
import type { EvidenceId } from '../sheet';
import {
  concluded,
  contradiction,
  CROSS_CHECK_ERROR,
  MARK_ERROR,
  misread,
  naming,
  ranked,
  type Evidence,
} from './combine';
import type { Identified, IdentityReason, Sequence } from './reasons';
import { linksFor } from './sequence';

/** How a careful count errs: mostly not, sometimes by one link, seldom by two (shop's figure). */
const SLIP: readonly number[] = [1, 0.05, 0.005];
const WILD = 1e-5;
/** An unmarked number on a bar may well be something else. */
const BARE_DOUBT = 0.25;
/**
 * A tape lies in the groove, not at the rivets, and stretches round the nose: its count is good to this many links
 * (shop's figure).
 */
const TAPE_LINKS_U = 0.7;

/** Evidence on a link count, with the reading it comes from. */
export type LinksStatement = { readonly id: EvidenceId } & (
  { readonly evidence: Evidence<number> } | { readonly note: IdentityReason }
);

const weighed = (statements: readonly LinksStatement[]): readonly Evidence<number>[] =>
  flatMap(statements, (statement) => ('evidence' in statement ? [statement.evidence] : []));
const noted = (statements: readonly LinksStatement[]): readonly IdentityReason[] =>
  flatMap(statements, (statement) => ('note' in statement ? [statement.note] : []));

/** One count of the links. */
export function countEvidence(value: number): Evidence<number> {
  return {
    reason: { code: 'count', value },
    weightOf: (links) => SLIP[Math.abs(links - value)] ?? WILD,
  };
}

/** What the cutters say of the links; nothing when no loop carries so many. */
export function cuttersEvidence(cutters: number, sequence: Sequence): Evidence<number> | null {
  const links = linksFor(cutters, sequence);
  return links.length === 0 ? null : naming(links, { code: 'cutters', cutters, sequence, links }, CROSS_CHECK_ERROR);
}

/** The pitch a length is divided by: between `lo` and `hi`, known to u. */
export interface PitchRange {
  readonly lo: number;
  readonly hi: number;
  readonly u: number;
}

/** The loop pulled straight, once round: n links are two pitches each, L = 2·p·n. */
export function loopLengthEvidence(length: Estimate, pitch: PitchRange): Evidence<number> {
  const weightOf = (links: number): number => {
    const needed = length.value / (2 * links);
    const u = quadrature(length.u / (2 * links), pitch.u);
    const outside = Math.max(0, pitch.lo - needed, needed - pitch.hi) / u;
    return Math.max(CROSS_CHECK_ERROR, Math.exp(-(outside ** 2) / 2));
  };
  const links = Math.round(length.value / (pitch.lo + pitch.hi));
  return { reason: { code: 'loop-length', length: length.value, links }, weightOf };
}

/** A tape round groove, nose and drive sprocket: a second way to the links of a bar on this saw. */
export function tapeEvidence(length: Mm, pitch: number): Evidence<number> {
  const exact = length / (2 * pitch);
  return {
    reason: { code: 'tape', length, links: Math.round(exact) },
    weightOf: (links) => Math.max(WILD, Math.exp(-(((links - exact) / TAPE_LINKS_U) ** 2) / 2)),
  };
}

/** Links whose loop falls inside the tensioner's travel. */
export function centresEvidence(links: readonly number[]): Evidence<number> {
  return naming(links, { code: 'centres', links }, CROSS_CHECK_ERROR);
}

/** A number on the bar's stamp. */
export function linksMarkEvidence(value: number, text: string, marked: boolean): Evidence<number> {
  const reason: IdentityReason = { code: 'links-mark', value, text, marked };
  return marked
    ? naming([value], reason, misread(MARK_ERROR), true)
    : { reason, weightOf: (links) => (links === value ? 1 : BARE_DOUBT) };
}

/** Counts that a piece of evidence makes worth weighing. */
function candidatesOf({ reason }: Evidence<number>): readonly number[] {
  const around = (links: number) => [-2, -1, 0, 1, 2].map((slip) => links + slip).filter((value) => value > 0);
  switch (reason.code) {
    case 'count':
      return around(reason.value);
    case 'loop-length':
    case 'tape':
      return around(reason.links);
    case 'cutters':
    case 'centres':
      return reason.links;
    case 'links-mark':
      return [reason.value];
    case 'learned-code':
      return reason.driveLinks === null ? [] : [reason.driveLinks];
    default:
      return [];
  }
}

const valuesOf = (evidence: readonly Evidence<number>[]): readonly number[] =>
  [...new Set(flatMap(evidence, candidatesOf))].sort((a, b) => a - b);

const product = (evidence: readonly Evidence<number>[], value: number): number =>
  evidence.reduce((weight, item) => weight * item.weightOf(value), 1);

/**
 * Drive links of a chain. Two equal counts settle it; one count or unequal ones leave it open; a count that the cutters
 * or the loop's length cannot carry is a conflict.
 */
export function identifyChainLinks(statements: readonly LinksStatement[]): Identified<number> {
  const evidence = weighed(statements);
  const notes = noted(statements);
  if (evidence.length === 0) return concluded<number>([], notes, null);
  const values = valuesOf(evidence);
  const candidates = ranked(values.map((value) => ({ value, weight: product(evidence, value) })));
  const clash = contradiction(values, evidence, (a, b) => a.reason.code !== 'count' || b.reason.code !== 'count');
  const counts = flatMap(evidence, ({ reason }) => (reason.code === 'count' ? [reason.value] : []));
  const repeated = counts.some((count, i) => counts.indexOf(count) !== i);
  const reasons: IdentityReason[] = [...evidence.map(({ reason }) => reason), ...notes];
  const equal = new Set(counts).size === 1 && counts.length > 1;
  return concluded(candidates, equal ? reasons : [...reasons, { code: 'count-again', counts }], clash, repeated);
}

/**
 * Drive links a bar is for on this saw. The stamp settles what the bar says of itself; whether that suits the saw, a
 * count must show.
 */
export function identifyBarLinks(statements: readonly LinksStatement[]): Identified<number> {
  const evidence = weighed(statements);
  const notes = noted(statements);
  if (evidence.length === 0) return concluded<number>([], notes, null);
  const values = valuesOf(evidence);
  const weights = values.map((value) => ({ value, weight: product(evidence, value) }));
  // What a stamp leaves to some other number: it may be misread, or no count at all.
  const other = product(evidence, -1);
  const total = weights.reduce((sum, { weight }) => sum + weight, other);
  const candidates = weights
    .map(({ value, weight }) => ({ value, weight: weight / total }))
    .filter(({ weight }) => weight >= WILD)
    .sort((a, b) => b.weight - a.weight);
  const stamped = evidence.some(({ reason }) => reason.code === 'links-mark');
  const reasons: IdentityReason[] = [...evidence.map(({ reason }) => reason), ...notes];
  return concluded(
    candidates,
    stamped ? [...reasons, { code: 'stamp-is-not-a-count' }] : reasons,
    contradiction(values, evidence),
  );
}
