import { flatMap } from '../../flat-map';
import { filingsLeft, imbalance, type Correction, type StartValues } from '..';
import { countedTwice, sequenceOf, standingCounts, type Identity, type SequenceJudgement } from '../../identify';
import type { Limits } from '../../limits';
import type { Estimate } from '../../quantity';
import { DEFAULT_SCHOOLS, type Schools } from '../../schools';
import { MEASURED_AGAIN, type Askable, type BenchSheet, type Operation } from '../../sheet';
import { seenChecks, type Check } from '../../judge';
import { chainContext, type ChainContext } from './context';
import {
  angleCheck,
  cutterCheck,
  cutterLimit,
  cutterWork,
  halfCheck,
  standingEstimates,
  undercutCheck,
  unevenCheck,
} from './cutters';
import {
  afterFiling,
  gaugeChecks,
  gaugeImbalance,
  gaugesToRepeat,
  gaugesUnevenCheck,
  gaugeWork,
  judgeGauges,
  type AfterFiling,
  type GaugeJudgement,
  type GaugeWork,
} from './gauges';
import { elongationChecks, stretchOf, type Stretch } from './stretch';
import { undersideChecks } from './under';

/** Everything computed about the chain. */
export interface ChainAssessment {
  readonly stretch: Stretch;
  readonly correction: Correction | null;
  /** Mean length of the left cutters less that of the right, mm. */
  readonly imbalance: Estimate | null;
  /** What all cutters are filed to; null where none was measured. */
  readonly afterFiling: AfterFiling | null;
  readonly filingsLeft: number | null;
  readonly hoursLeft: number | null;
  /** The depth gauges by the setting of the likeliest family; null where none was measured, or no family is known. */
  readonly gauges: GaugeJudgement | null;
  /** Mean height of the left gauges less that of the right, mm. */
  readonly gaugeImbalance: Estimate | null;
  /** Depth gauges to read again. */
  readonly gaugesToRepeat: readonly GaugeWork[];
  /** Values to file it by. */
  readonly start: StartValues;
  /** The length below which no cutter may end. */
  readonly cutterLimit: number;
  /** The order in which cutters follow one another, by the counts. */
  readonly sequence: SequenceJudgement;
  /** True where cutters were measured again after the rework. */
  readonly measuredAgain: boolean;
  readonly checks: readonly Check[];
  /** Work that no check calls for by itself. */
  readonly planned: readonly Operation[];
  /** What must be known before it can be judged, beside what every chain needs. */
  readonly waitsFor: readonly Askable[];
}

function checksOf(context: ChainContext, stretch: Stretch, gauges: readonly GaugeJudgement[]): readonly Check[] {
  const { chain, limits } = context;
  return [
    ...seenChecks('chain', 'chain.checks', chain.checks ?? {}),
    cutterCheck(context),
    ...halfCheck(context),
    ...elongationChecks(chain, stretch, limits),
    ...unevenCheck(context),
    ...angleCheck(context),
    ...undercutCheck(context),
    ...gaugeChecks(context, gauges),
    ...gaugesUnevenCheck(context),
    ...undersideChecks(context),
  ];
}

/**
 * Work after which depth gauges are measured again; any other work that takes metal off a chain takes it off the
 * cutters.
 */
const ON_GAUGES = 'lower-gauges';

/**
 * First measures that work has made untrue, side by side: what was filed counts again only once it was measured again.
 */
function measuredNoMore({ chain }: ChainContext): readonly Askable[] {
  const done = (chain.reworkDone ?? []).filter((operation) => MEASURED_AGAIN.includes(operation));
  const lists = [
    ...(done.some((operation) => operation !== ON_GAUGES) ? (['cuttersLeft', 'cuttersRight'] as const) : []),
    ...(done.includes(ON_GAUGES) ? (['depthGaugesLeft', 'depthGaugesRight'] as const) : []),
  ];
  return flatMap(lists, (list) =>
    chain[list]?.length && !chain.after?.[list]?.length ? [`chain.after.${list}` as const] : [],
  );
}

/** Computes everything about a chain and makes all its checks. */
export function assessChain(
  sheet: BenchSheet,
  identity: Identity,
  limits: Limits,
  schools: Schools = DEFAULT_SCHOOLS,
): ChainAssessment {
  const context = chainContext(sheet, identity, limits, schools);
  const { chain, correction, start, standing, offAngle } = context;
  const links = countedTwice(standingCounts(sheet)) ?? identity.chain.driveLinks.value;
  const stretch = stretchOf(chain, links);
  const gauges = judgeGauges(context);
  const { limit } = cutterLimit(context);
  const checks = checksOf(context, stretch, gauges);
  const filed = afterFiling(context, gauges, checks);
  const filings = filed ? filingsLeft(filed.length, limit.value, limits['chain.filing-loss'].value) : null;
  return {
    stretch,
    correction,
    imbalance: imbalance(standingEstimates(chain)),
    afterFiling: filed,
    filingsLeft: filings,
    hoursLeft: filings === null ? null : filings * limits['chain.filing-hours'].value,
    gauges: gauges[0] ?? null,
    gaugeImbalance: gaugeImbalance(context),
    gaugesToRepeat: gaugesToRepeat(gauges, sheet.chain),
    start,
    cutterLimit: limit.value,
    sequence: sequenceOf(sheet, identity.chain.driveLinks.value),
    measuredAgain: standing.again.length > 0,
    checks,
    planned: [...cutterWork(context), ...gaugeWork(context, gauges)],
    waitsFor: [
      ...(Object.keys(offAngle).length > 0 && !chain.topPlateWidth ? (['chain.topPlateWidth'] as const) : []),
      ...measuredNoMore(context),
    ],
  };
}
