import type { FamilyId, Limit, Provenance } from '../families';
import { conformity, type Estimate, type LimitKind, type Outcome } from '../quantity';
import type { Part } from '../sheet';
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
  | { readonly code: 'needs'; readonly readings: readonly string[] }
  | { readonly code: 'depends-on-pitch'; readonly families: readonly FamilyId[] }
  | { readonly code: 'pinches' }
  | { readonly code: 'test-disagrees'; readonly observed: string; readonly predicted: string }
  | { readonly code: 'causes'; readonly causes: readonly BlueingCause[] }
  | { readonly code: 'ask-replaceable' };

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
  /** True when failing it condemns the part; false when it only calls for work or watching. */
  readonly condemns: boolean;
  /** The observed word, for observations. */
  readonly observed: string | null;
  readonly note: CheckNote | null;
}

type Head = Pick<Check, 'id' | 'part'> & Partial<Pick<Check, 'at' | 'condemns' | 'note'>>;

/** What the kinds of check differ in. */
type Judged = Pick<Check, 'kind' | 'outcome' | 'provenance' | 'condemns'> &
  Partial<
    Pick<Check, 'value' | 'unit' | 'uncertainty' | 'limit' | 'watch' | 'probability' | 'observed'> & {
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
    condemns: head.condemns ?? judged.condemns,
    observed: judged.observed ?? null,
    note: head.note ?? null,
  };
}

/** Exact decimals typed by people differ by rounding after subtraction: 8.1 − 8.0 is not over 0.1. */
export const ROUNDING = 1e-9;

const beyond = (value: number, limit: number, kind: LimitKind): boolean =>
  kind === 'min' ? value < limit - ROUNDING : value > limit + ROUNDING;

/** A measured value against a condemning limit: four outcomes by probability, `watch` inside the warning band. */
export function measuredCheck(head: Head, value: Estimate, unit: 'mm' | '%', limit: Limit, watch: Limit | null): Check {
  const kind = limit.role === 'min' ? 'min' : 'max';
  const warned = watch !== null && beyond(value.value, watch.value, kind);
  const judged = conformity(value, limit.value, kind, warned);
  return make(head, {
    condemns: true,
    value: value.value,
    unit,
    uncertainty: value.u,
    limit: limit.value,
    watch: watch?.value ?? null,
    kind,
    probability: judged.probability,
    outcome: judged.outcome,
    provenance: limit.provenance,
    source: limit.source,
  });
}

/** A value against a limit that only calls for work: it goes by its value, with the doubt shown. */
export function workCheck(head: Head, value: Estimate, unit: 'mm' | 'count', limit: Limit): Check {
  const kind = limit.role === 'min' ? 'min' : 'max';
  const { probability } = conformity(value, limit.value, kind);
  return make(head, {
    condemns: false,
    value: value.value,
    unit,
    uncertainty: value.u,
    limit: limit.value,
    kind,
    probability,
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
