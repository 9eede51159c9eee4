import type { FamilyId, Limit, Provenance } from '../families';
import {
  boundsOf,
  estimate,
  measured,
  mm,
  outcomeWithin,
  placingUncertainty,
  probabilityWithin,
  readingWithin,
  standardUncertainty,
  type Estimate,
  type InstrumentId,
  type LengthReading,
  type LimitKind,
  type Outcome,
  type Unit,
  type Within,
} from '../quantity';
import type { Askable, Part } from '../sheet';
import type { Edge, Rail } from '../bar';

/** Where on a bar a check was made. */
export interface Place {
  readonly edge: Edge;
  readonly station?: number;
  readonly rail?: Rail;
}

/** All checks by name. */
export const CHECK_IDS = [
  'bar.crack',
  'bar.slot',
  'bar.bow',
  'bar.depth',
  'bar.depth-after',
  'bar.floor-clearance',
  'bar.floor-clearance-after',
  'bar.play',
  'bar.play-after',
  'bar.straight-edge',
  'bar.step',
  'bar.burr',
  'bar.oil-holes',
  'bar.groove',
  'bar.blueing',
  'bar.twist',
  'bar.holes',
  'bar.dents',
  'bar.tail',
  'bar.ruts',
  'bar.groove-shape',
  'bar.resin',
  'bar.chip',
  'bar.marker',
  'bar.square',
  'bar.stands',
  'bar.nose',
  'nose.turns',
  'nose.tip-play',
  'nose.teeth',
  'nose.hard-wear',
  'nose.pinch',
  'nose.dirt',
  'chain.crack',
  'chain.cutter',
  'chain.elongation',
  'chain.uneven',
  'chain.straps',
  'chain.tangs',
  'chain.tight-joints',
  'chain.resin',
  'sprocket.wear',
  'sprocket.chains',
  'sprocket.turns',
] as const;
export type CheckId = (typeof CHECK_IDS)[number];

/** What may have made a bar run so hot that it went blue. */
export type BlueingCause =
  'no-oil' | 'groove-packed' | 'link-on-floor' | 'pinched' | 'nose-stiff' | 'ran-tight-or-blunt';

/** What must be said beside a check's figures. */
export type CheckNote =
  | { readonly code: 'needs'; readonly readings: readonly Askable[] }
  | { readonly code: 'depends-on-pitch'; readonly families: readonly FamilyId[] }
  | { readonly code: 'pinches' }
  /** The mouth alone says only that there is no more play than this. */
  | { readonly code: 'mouth-alone'; readonly lifted: boolean }
  /** The width near the floor alone says only that there is no less. */
  | { readonly code: 'floor-alone' }
  /** The chain that was on is thinner than the bar's own: a test with it tells of the chain. */
  | { readonly code: 'thin-chain' }
  /** Rails are level, but so low in places that levelling takes more than a step's limit. */
  | { readonly code: 'dressing-takes' }
  /** Closed came out longer than pulled. */
  | { readonly code: 'closed-longer' }
  | { readonly code: 'damage-not-placed'; readonly side: 'left' | 'right' }
  | { readonly code: 'test-disagrees'; readonly observed: string; readonly predicted: string }
  | { readonly code: 'causes'; readonly causes: readonly BlueingCause[] }
  | { readonly code: 'ask-replaceable' };

/** A reading to take again, and what one more of it is worth. */
export interface Repeat {
  readonly measure: Askable;
  readonly u: number;
  readonly tool: InstrumentId;
}

/** One judgement of one value or observation against one limit. Sentences are made of it in the wording. */
export interface Check {
  readonly id: CheckId;
  readonly part: Part;
  readonly at: Place | null;
  readonly value: number | null;
  readonly unit: 'mm' | '%' | 'count' | null;
  /** Standard uncertainty of the value. */
  readonly uncertainty: number | null;
  readonly limit: number | null;
  readonly watch: number | null;
  readonly kind: LimitKind | 'observation';
  /** Probability that the true value is on the good side. */
  readonly probability: number | null;
  readonly outcome: Outcome;
  readonly provenance: Provenance;
  /** Where the limit stands, when somebody has named it. */
  readonly source: string | null;
  /** Where one mark alone is known: the value is a bound, from below or from above. */
  readonly bound: 'at-least' | 'at-most' | null;
  /** The reading it hangs on most, and the standard uncertainty that one more such reading would have, in the unit of the value. */
  readonly repeat: Repeat | null;
  /** True when failing it condemns the part; false when it only calls for work or watching. */
  readonly condemns: boolean;
  /** The observed word, for observations. */
  readonly observed: string | null;
  readonly note: CheckNote | null;
}

type Head = Pick<Check, 'id' | 'part'> & Partial<Pick<Check, 'at' | 'condemns' | 'note' | 'repeat'>>;

/** What the kinds of check differ in. */
type Judged = Pick<Check, 'kind' | 'outcome' | 'provenance' | 'condemns'> &
  Partial<
    Pick<Check, 'value' | 'unit' | 'uncertainty' | 'limit' | 'watch' | 'probability' | 'observed' | 'bound'> & {
      source: string | undefined;
    }
  >;

/** Puts a check together. All keys are written out in one order: hundreds are made at each keystroke. */
function make(head: Head, judged: Judged): Check {
  return {
    id: head.id,
    part: head.part,
    at: head.at ?? null,
    value: judged.value ?? null,
    unit: judged.unit ?? null,
    uncertainty: judged.uncertainty ?? null,
    limit: judged.limit ?? null,
    watch: judged.watch ?? null,
    kind: judged.kind,
    probability: judged.probability ?? null,
    outcome: judged.outcome,
    provenance: judged.provenance,
    source: judged.source ?? null,
    bound: judged.bound ?? null,
    repeat: head.repeat ?? null,
    condemns: head.condemns ?? judged.condemns,
    observed: judged.observed ?? null,
    note: head.note ?? null,
  };
}

/** Exact decimals typed by people differ by rounding after subtraction: 8.1 − 8.0 is not over 0.1. */
export const ROUNDING = 1e-9;

const beyond = (value: number, limit: number, kind: LimitKind): boolean =>
  kind === 'min' ? value < limit - ROUNDING : value > limit + ROUNDING;

/** What a judgement of a value is made of beside its limit. */
export interface JudgedValue<U extends Unit = 'mm'> {
  readonly value: Estimate<U>;
  readonly within: Within;
  readonly bound?: Check['bound'];
}

const kindOf = ({ role }: Limit): LimitKind => (role === 'min' ? 'min' : 'max');

/** A value against a condemning limit, judged by what can be said of its probability: `watch` inside the warning band. */
export function judgedCheck<U extends Unit>(
  head: Head,
  { value, within, bound = null }: JudgedValue<U>,
  limit: Limit<U>,
  watch: Limit<U> | null,
): Check {
  const kind = kindOf(limit);
  const warned = watch !== null && beyond(value.value, watch.value, kind);
  return make(head, {
    condemns: true,
    value: value.value,
    unit: limit.unit,
    uncertainty: value.u,
    limit: limit.value,
    watch: watch?.value ?? null,
    kind,
    probability: probabilityOf(within),
    outcome: outcomeWithin(within, warned),
    provenance: limit.provenance,
    source: limit.source,
    bound,
  });
}

/** The one probability that is told: of a bound, the end that decides; none where it leaves the question open. */
function probabilityOf(within: Within): number | null {
  if (within.least === within.most) return asProbability(within.least);
  const outcome = outcomeWithin(within);
  if (outcome === 'undecided') return null;
  return asProbability(outcome === 'fail' ? within.most : within.least);
}

/** Sums of shares come out a rounding beyond one. */
const asProbability = (sum: number): number => Math.min(1, Math.max(0, sum));

/** A reading as it stands against a condemning limit: measured, between two marks, or a bound from one mark alone. */
export function readingCheck(head: Head, reading: LengthReading, limit: Limit<'mm'>, watch: Limit<'mm'> | null): Check {
  const kind = kindOf(limit);
  const within = readingWithin(reading, limit.value, kind);
  const whole = estimate(reading);
  if (whole) return judgedCheck(head, { value: whole, within }, limit, watch);
  const { lo, hi } = boundsOf(reading);
  return judgedCheck(head, { value: (lo ?? hi)!, within, bound: lo ? 'at-least' : 'at-most' }, limit, watch);
}

/** A value against a limit that only calls for work: it does when that is more likely than not. */
export function workCheck<U extends Unit>(head: Head, value: Estimate<U>, limit: Limit<U>): Check {
  const kind = kindOf(limit);
  return make(head, {
    condemns: false,
    value: value.value,
    unit: limit.unit,
    uncertainty: value.u,
    limit: limit.value,
    kind,
    probability: probabilityWithin(value, limit.value, kind),
    outcome: beyond(value.value, limit.value, kind) ? 'fail' : 'ok',
    provenance: limit.provenance,
    source: limit.source,
  });
}

/** An observation with the outcome that its word means. Not observed is `not-measured`. */
export function observedCheck<W extends string>(
  head: Head,
  word: W | undefined,
  outcomes: Readonly<Record<W, Outcome>>,
): Check {
  return make(head, {
    condemns: false,
    kind: 'observation',
    outcome: word === undefined ? 'not-measured' : outcomes[word],
    provenance: 'practice',
    observed: word ?? null,
  });
}

/** A check that could not be made, with the readings it waits for. */
export function missingCheck(head: Head, provenance: Provenance, note: CheckNote): Check {
  return make({ ...head, note }, { condemns: true, kind: 'observation', outcome: 'not-measured', provenance });
}

/** The finer of two tools by what one placing of it is worth. */
const finer = (a: InstrumentId, b: InstrumentId): InstrumentId =>
  standardUncertainty(measured([mm(0)], a)) <= standardUncertainty(measured([mm(0)], b)) ? a : b;

/**
 * The reading to take again for a check, with the tool it was made with or the usual one where that is finer.
 * @param usual the tool a place is usually measured with
 */
export function repeatOf(
  measure: Askable,
  reading: LengthReading | undefined,
  usual: InstrumentId | null = null,
): Repeat | null {
  const used = reading?.kind === 'measured' ? reading.instrument : usual;
  if (!used) return null;
  const tool = usual ? finer(usual, used) : used;
  const placing = reading?.kind === 'measured' && tool === reading.instrument ? reading : { instrument: tool };
  return { measure, tool, u: placingUncertainty(placing) };
}
