import { noticedLean, NOTICED_DEPTH, cutDrift } from '../bar';
import type { BarAssessment } from '../bar/checks';
import type { ChainAssessment } from '../chain/checks';
import type { Check, CheckId } from '../judge';
import type { Limits } from '../limits';
import type { Cause } from './causes';
import type { DriftPart } from './crooked';
import { FOUND_FROM, type Crooked } from './diagnose';
import type { School } from './symptom';

/** How one cause of a crooked cut stands: found with its figure, looked for and not found, or not known. */
export interface CrookedFinding {
  readonly cause: Cause;
  readonly state: 'found' | 'sound' | 'not-measured';
  /** Lean in degrees, play in mm, difference of the cutters or gauges in mm; null where it has no figure. */
  readonly value: number | null;
  /** Where it begins to count. */
  readonly limit: number | null;
  /** The side the cut is drawn to, and by how much over {@link NOTICED_DEPTH}, mm; null where the cause has no side. */
  readonly toward: 'left' | 'right' | null;
  readonly pull: number | null;
  /** How much of what all found causes pull it is, 0…1. */
  readonly weight: number;
  /** True when it is found beside an unsound bar, and the school counts it as making that worse. */
  readonly aggravates: boolean;
}

/** The checks that tell whether a cause was looked at. */
const LOOKED_AT: Readonly<Partial<Record<Cause, readonly CheckId[]>>> = {
  'rails-unlevel': ['bar.step'],
  'groove-worn': ['bar.play', 'bar.straight-edge'],
  'bar-bent': ['bar.bow', 'bar.twist'],
  'cutters-uneven': ['chain.uneven'],
  'depth-gauges-uneven': ['chain.gauges-uneven'],
  'cutters-dull': ['chain.edge'],
};

const BAR_CAUSES: readonly Cause[] = ['rails-unlevel', 'groove-worn', 'bar-bent'];
const CUTTER_CAUSES: readonly Cause[] = ['cutters-uneven', 'depth-gauges-uneven'];

/** What a crooked cut is explained with, figure by figure. */
interface Known {
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
  readonly checks: readonly Check[];
  readonly limits: Limits;
}

function figureOf(cause: Cause, { bar, chain, checks, limits }: Known): Pick<CrookedFinding, 'value' | 'limit'> {
  const none = { value: null, limit: null };
  switch (cause) {
    case 'rails-unlevel':
      return bar.leanDrift ? { value: bar.leanDrift.lean, limit: noticedLeanOf(bar, limits) } : none;
    case 'groove-worn': {
      const play = checks.find(({ id }) => id === 'bar.play')?.value ?? null;
      return play === null ? none : { value: play, limit: bar.playLimit.value };
    }
    case 'cutters-uneven':
      return chain.imbalance ? { value: chain.imbalance.value, limit: limits['chain.uneven'].value } : none;
    case 'depth-gauges-uneven':
      return chain.gaugeImbalance
        ? { value: chain.gaugeImbalance.value, limit: limits['chain.gauge.off'].value }
        : none;
    default:
      return none;
  }
}

/** The lean from which a cut drifts noticeably on this bar: the drift of its own lean tells its height. */
function noticedLeanOf({ leanDrift }: BarAssessment, limits: Limits): number {
  const { lean, mean } = leanDrift!;
  const height = mean === 0 ? null : cutDrift(NOTICED_DEPTH, lean, 1) / mean;
  return noticedLean(height === null ? USUAL_HEIGHT : Math.abs(height), limits['proof.drift'].value);
}

const USUAL_HEIGHT = 60;

/** How every cause of a crooked cut stands, the bar first. */
export function crookedFindings({ parts }: Crooked, known: Known, school: School): readonly CrookedFinding[] {
  const isFound = ({ present }: DriftPart) => present > FOUND_FROM;
  const isBarFound = parts.some((part) => BAR_CAUSES.includes(part.cause) && isFound(part));
  const pulls = parts.map((part) => (isFound(part) ? Math.max(Math.abs(part.faulty.mean), part.faulty.u / 2) : 0));
  const all = pulls.reduce((sum, pull) => sum + pull, 0);
  return parts.map((part, i): CrookedFinding => {
    const { cause, faulty } = part;
    const found = isFound(part);
    const isLookedAt = known.checks.some(
      ({ id, outcome }) => LOOKED_AT[cause]?.includes(id) && outcome !== 'not-measured' && outcome !== 'undecided',
    );
    const hasSide = found && Math.abs(faulty.mean) > faulty.u / 2;
    return {
      cause,
      state: found ? 'found' : isLookedAt ? 'sound' : 'not-measured',
      ...figureOf(cause, known),
      toward: hasSide ? (faulty.mean > 0 ? 'right' : 'left') : null,
      pull: hasSide ? Math.abs(faulty.mean) : null,
      weight: all > 0 ? pulls[i]! / all : 0,
      aggravates: found && isBarFound && school === 'bar-first' && CUTTER_CAUSES.includes(cause),
    };
  });
}
