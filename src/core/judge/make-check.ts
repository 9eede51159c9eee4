import { valueWay } from '../belief';
import type { Provenance } from '../families';
import type { Limit } from '../limits';
import {
  boundsOf,
  estimate,
  outcomeWithin,
  probabilityWithin,
  readingWithin,
  type Estimate,
  type LengthReading,
  type LimitKind,
  type Outcome,
  type Unit,
  type Within,
} from '../quantity';
import type { Operation } from '../sheet';
import type { Check, CheckNote, Work } from './check';

/** What is said of a check before it is judged. */
export type Head = Pick<Check, 'id' | 'part'> &
  Partial<Pick<Check, 'at' | 'condemns' | 'note' | 'repeat' | 'again'>> & { readonly work?: Work };

/** What the kinds of check differ in. */
type Judged = Pick<Check, 'kind' | 'outcome' | 'provenance' | 'condemns'> &
  Partial<
    Pick<
      Check,
      'value' | 'unit' | 'uncertainty' | 'limit' | 'watch' | 'probability' | 'observed' | 'bound' | 'work' | 'ways'
    > & {
      source: string | undefined;
    }
  >;

/** A condemning failure calls for no work: the part goes. */
function workOf({ work }: Head, outcome: Outcome, condemns: boolean): Operation | null {
  if (!work) return null;
  const isCalledFor = outcome === 'fail' ? !condemns : outcome === 'watch' && work.from === 'watch';
  return isCalledFor ? work.operation : null;
}

/** The same check with another outcome than its figures alone would give, and the work that goes with it. */
export const withOutcome = (check: Check, outcome: Outcome, work: Operation | null = null): Check => ({
  ...check,
  outcome,
  work,
});

/** Puts a check together. All keys are written out in one order: hundreds are made at each keystroke. */
export function make(head: Head, judged: Judged): Check {
  const condemns = head.condemns ?? judged.condemns;
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
    again: head.again ?? null,
    condemns,
    work: judged.work ?? workOf(head, judged.outcome, condemns),
    might: head.work ?? null,
    ways: judged.ways ?? null,
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
  /** What the value is made of, where it is not one reading by itself; null where it cannot be drawn. */
  readonly ways?: Check['ways'];
}

const kindOf = ({ role }: Limit): LimitKind => (role === 'min' ? 'min' : 'max');

/**
 * A value against a condemning limit, judged by what can be said of its probability: `watch` inside the warning band.
 */
export function judgedCheck<U extends Unit>(
  head: Head,
  { value, within, bound = null, ways }: JudgedValue<U>,
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
    ways: ways === undefined && bound === null ? valueWay(value, limit.value) : (ways ?? null),
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

/**
 * A value against a limit that only calls for work: it does when that is more likely than not; `watch` inside the
 * warning band.
 */
export function workCheck<U extends Unit>(
  head: Head,
  value: Estimate<U>,
  limit: Limit<U>,
  watch: Limit<U> | null = null,
): Check {
  const kind = kindOf(limit);
  const warned = watch !== null && beyond(value.value, watch.value, kind);
  return make(head, {
    condemns: false,
    value: value.value,
    unit: limit.unit,
    uncertainty: value.u,
    limit: limit.value,
    watch: watch?.value ?? null,
    kind,
    probability: probabilityWithin(value, limit.value, kind),
    outcome: beyond(value.value, limit.value, kind) ? 'fail' : warned ? 'watch' : 'ok',
    provenance: limit.provenance,
    source: limit.source,
    ways: valueWay(value, limit.value),
  });
}

/** A limit held against what tests by hand tell: how likely it is kept, and no value. */
export function unmeasuredCheck<U extends Unit>(
  head: Head,
  limit: Limit<U>,
  probability: number,
  outcome: Outcome,
): Check {
  return make(head, {
    condemns: false,
    unit: limit.unit,
    limit: limit.value,
    kind: kindOf(limit),
    probability,
    outcome,
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
