import type { BarAssessment } from '../bar/checks';
import type { ChainAssessment } from '../chain/checks';
import { flatMap } from '../flat-map';
import type { Estimate } from '../quantity';
import type { Cause } from './causes';

/**
 * Where each cause draws a cut where it is there, as far as anything tells: mm over 300 of depth, to the right above 0.
 */
export type DriftBelief = Readonly<Partial<Record<Cause, { readonly mean: number; readonly u: number }>>>;

/**
 * Cutters that are longer on one side by a millimetre draw a cut by so much, and by as much again of doubt (shop's
 * figures).
 */
const BY_CUTTERS = { perMm: 10, doubt: 0.25 } as const;
/** The same of depth gauges that stand lower on one side. */
const BY_GAUGES = { perMm: 40, doubt: 0.25 } as const;

/** A difference left less right as a pull: what is greater on the left draws to the left. */
const pulled = (difference: Estimate | null, { perMm, doubt }: { readonly perMm: number; readonly doubt: number }) =>
  difference && {
    mean: -perMm * difference.value,
    u: perMm * Math.hypot(difference.u, doubt * difference.value),
  };

/** What is believed of bar and chain, as pulls on a cut. */
export function driftBelief(
  bar: Pick<BarAssessment, 'leanDrift'>,
  chain: Pick<ChainAssessment, 'imbalance' | 'gaugeImbalance'>,
): DriftBelief {
  const known: readonly (readonly [Cause, { readonly mean: number; readonly u: number } | null])[] = [
    ['rails-unlevel', bar.leanDrift],
    ['cutters-uneven', pulled(chain.imbalance, BY_CUTTERS)],
    // A gauge that stands lower under its edge lets its cutter bite deeper.
    ['depth-gauges-uneven', pulled(chain.gaugeImbalance, BY_GAUGES)],
  ];
  return Object.fromEntries(flatMap(known, ([cause, pull]) => (pull ? [[cause, pull] as const] : [])));
}
