import {
  EDGES,
  floorClearance,
  leastDepth,
  markerContradicts,
  RAILS,
  type DressPlan,
  type Edge,
  type Setting,
  type Station,
  type StraightEdgeOutcome,
} from '../bar';
import { depthLimitId, type FamilyId, type Limit, type Limits, type Schools } from '../families';
import type { Candidate } from '../identify';
import { estimate, mm, outcomeOf, probabilityWithin, type Estimate, type Outcome } from '../quantity';
import type { BenchSheet } from '../sheet';
import { measuredCheck, missingCheck, observedCheck, workCheck, type BlueingCause, type Check } from './check';
import { playAfter, type EdgeAssessment, type EdgeDressing } from './edge';

/** What the checks of a bar look at. */
export interface BarContext {
  readonly sheet: BenchSheet;
  readonly limits: Limits;
  readonly schools: Schools;
  readonly blueing: readonly BlueingCause[];
  readonly edges: Readonly<Record<Edge, EdgeAssessment>>;
  readonly setting: Setting;
  readonly families: readonly Candidate<FamilyId>[];
  readonly depthLimit: number | null;
  readonly playLimit: Limit;
  readonly straightEdgePredicted: StraightEdgeOutcome | null;
}

const part = 'bar' as const;

/** All checks of a bar: what was seen, then station by station, then what dressing would leave. */
export function barChecks(context: BarContext): readonly Check[] {
  return [...observations(context), ...EDGES.flatMap((name) => edgeChecks(name, context))];
}

function observations(context: BarContext): Check[] {
  const checks = context.sheet.bar?.checks ?? {};
  const bow = checks.bow ? estimate(checks.bow) : null;
  const { limits } = context;
  return [
    observedCheck({ id: 'bar.crack', part, condemns: true }, checks.crack, {
      no: 'ok',
      yes: 'fail',
      unsure: 'undecided',
    }),
    observedCheck({ id: 'bar.slot', part, condemns: true }, checks.slot, { ok: 'ok', worn: 'watch', wallowed: 'fail' }),
    bow
      ? measuredCheck({ id: 'bar.bow', part }, bow, 'mm', limits['bar.bow'], limits['bar.bow.straighten'])
      : missingCheck({ id: 'bar.bow', part }, limits['bar.bow'].provenance, {
          code: 'needs',
          readings: ['bar.checks.bow'],
        }),
    straightEdgeCheck(context),
    observedCheck({ id: 'bar.oil-holes', part }, checks.oilHoles, { clear: 'ok', blocked: 'fail' }),
    observedCheck({ id: 'bar.groove', part }, checks.groove, { clean: 'ok', packed: 'fail' }),
    observedCheck(
      {
        id: 'bar.blueing',
        part,
        note: context.blueing.length > 0 ? { code: 'causes', causes: context.blueing } : null,
      },
      checks.blueing,
      { no: 'ok', light: 'watch', heavy: 'watch' },
    ),
    ...seen(context),
  ];
}

/** Findings that are only listed when somebody looked: none of them is required. Bare paint is no check at all. */
function seen({ sheet, schools }: BarContext): Check[] {
  const checks = sheet.bar?.checks ?? {};
  const found = <W extends string>(
    head: Parameters<typeof observedCheck<W>>[0],
    word: W | undefined,
    outcomes: Readonly<Record<W, Outcome>>,
  ): Check[] => (word === undefined ? [] : [observedCheck(head, word, outcomes)]);
  return [
    ...found({ id: 'bar.twist', part, condemns: true }, checks.twist, { none: 'ok', slight: 'watch', plain: 'fail' }),
    ...found({ id: 'bar.holes', part, condemns: true }, checks.holes, { ok: 'ok', worn: 'watch', torn: 'fail' }),
    ...found({ id: 'bar.dents', part }, checks.dents, { none: 'ok', light: 'ok', deep: 'watch' }),
    ...found({ id: 'bar.tail', part }, checks.tailErosion, { none: 'ok', slight: 'watch', deep: 'watch' }),
    ...found({ id: 'bar.ruts', part }, checks.ruts, { none: 'ok', slight: 'watch', deep: 'fail' }),
    ...found({ id: 'bar.groove-shape', part }, checks.grooveShape, {
      even: 'ok',
      pinched: 'fail',
      splayed: schools.closeRails === 'on' ? 'fail' : 'watch',
    }),
    ...found({ id: 'bar.resin', part }, checks.resin, { none: 'ok', soft: 'ok', baked: 'watch' }),
  ];
}

/** The observed test condemns only where the measured play does not contradict it, and not before a dressing that may bring it back. */
function straightEdgeCheck({ sheet, straightEdgePredicted: predicted, edges }: BarContext): Check {
  const observed = sheet.bar?.checks?.straightEdge;
  const dressing = EDGES.some((edge) => edges[edge].dressing?.advised);
  const check = observedCheck({ id: 'bar.straight-edge', part, condemns: !dressing }, observed, {
    'gap-stays': 'ok',
    'gap-closes': 'fail',
    'passes-beyond': 'fail',
  });
  const disagree =
    observed !== undefined && predicted !== null && (observed === 'gap-stays') !== (predicted === 'gap-stays');
  if (!disagree) return check;
  return { ...check, outcome: 'undecided', note: { code: 'test-disagrees', observed, predicted } };
}

function edgeChecks(edge: Edge, context: BarContext): Check[] {
  const { stations, dressing } = context.edges[edge];
  const checks = stations.flatMap((station, i) => stationChecks(edge, station, i, context));
  return dressing?.advised ? [...checks, ...afterDressing(edge, dressing, context)] : checks;
}

function stationChecks(edge: Edge, station: Station, i: number, context: BarContext): Check[] {
  const { limits, edges, playLimit, sheet } = context;
  const figures = edges[edge].figures[i]!;
  const dressing = edges[edge].dressing?.advised ?? false;
  const at = { edge, station: station.index };
  const checks: Check[] = RAILS.flatMap((rail) => {
    const depth = station[rail];
    return depth ? [depthCheck(depth, { edge, station: station.index, rail }, 'bar.depth', context)] : [];
  });
  if (figures.floorClearance) {
    checks.push(
      measuredCheck(
        { id: 'bar.floor-clearance', part, at },
        figures.floorClearance,
        'mm',
        limits['bar.floor-clearance.contact'],
        limits['bar.floor-clearance'],
      ),
    );
  }
  if (figures.play) {
    const check = measuredCheck(
      { id: 'bar.play', part, at, condemns: !dressing },
      figures.play,
      'mm',
      playLimit,
      limits['bar.play.watch'],
    );
    checks.push(
      figures.play.value <= 0 ? { ...check, outcome: 'fail', condemns: false, note: { code: 'pinches' } } : check,
    );
  }
  if (figures.step) {
    checks.push(
      workCheck(
        { id: 'bar.step', part, at },
        { ...figures.step, value: mm(Math.abs(figures.step.value)) },
        'mm',
        limits['bar.step'],
      ),
    );
  }
  return [
    ...checks,
    ...burrChecks(edge, station.index, sheet),
    ...chipChecks(edge, station, limits),
    ...markerCheck(edge, station),
  ];
}

/** Chips: a short one is left, a long one is levelled to and so costs depth. */
function chipChecks(edge: Edge, { index, chips }: Station, limits: Limits): Check[] {
  return RAILS.flatMap((rail) => {
    const chip = chips[rail];
    if (!chip) return [];
    const head = { id: 'bar.chip', part, at: { edge, station: index, rail } } as const;
    const check = workCheck(head, { value: mm(chip.length), u: 0 }, 'mm', limits['bar.dress.chip']);
    // A long chip calls for no work of its own: the dressing plan already goes down to it.
    return [{ ...check, outcome: 'watch' as const }];
  });
}

/** The marker and the measured step must tell the same; where they do not, one of them is to be taken again. */
function markerCheck(edge: Edge, station: Station): Check[] {
  const contradicts = markerContradicts(station);
  if (contradicts === null) return [];
  const at = { edge, station: station.index };
  return [
    observedCheck({ id: 'bar.marker', part, at }, contradicts ? 'disagrees' : 'agrees', {
      agrees: 'ok',
      disagrees: 'watch',
    }),
  ];
}

function burrChecks(edge: Edge, index: number, sheet: BenchSheet): Check[] {
  const station = sheet.bar?.edges?.[edge]?.stations[index];
  return RAILS.flatMap((rail) => {
    const word = rail === 'near' ? station?.burrNear : station?.burrFar;
    return word
      ? [
          observedCheck({ id: 'bar.burr', part, at: { edge, station: index, rail } }, word, {
            none: 'ok',
            felt: 'fail',
            heavy: 'fail',
          }),
        ]
      : [];
  });
}

/**
 * Depth against the limit of the bar's pitch. While the pitch is open, each family's limit counts with its weight, so that a groove deep
 * enough for all of them is ok already.
 */
function depthCheck(
  depth: Estimate,
  at: Check['at'],
  id: 'bar.depth' | 'bar.depth-after',
  { families, limits }: BarContext,
): Check {
  if (families.length === 0)
    return {
      ...missingCheck({ id, part, at }, 'memory', { code: 'needs', readings: ['bar.pitch'] }),
      value: depth.value,
      unit: 'mm',
      uncertainty: depth.u,
      kind: 'min',
    };
  const sorted = families.map(({ value }) => limits[depthLimitId(value)]).sort((a, b) => b.value - a.value);
  const check = measuredCheck({ id, part, at }, depth, 'mm', sorted[0]!, null);
  if (families.length === 1) return check;
  const total = families.reduce((sum, { weight }) => sum + weight, 0);
  const probability = families.reduce(
    (sum, { value, weight }) =>
      sum + (weight / total) * probabilityWithin(depth, limits[depthLimitId(value)].value, 'min'),
    0,
  );
  return {
    ...check,
    probability,
    outcome: outcomeOf(probability),
    note: { code: 'depends-on-pitch', families: families.map(({ value }) => value) },
  };
}

/** What is left after the advised dressing: that, not today's reading, decides whether the work is worth doing. */
function afterDressing(edge: Edge, { plan }: EdgeDressing, context: BarContext): Check[] {
  const { edges, setting, playLimit, limits, schools } = context;
  const weakest = plan.weakest!;
  const before = leastDepth(edges[edge].stations[weakest.station]!)!;
  const checks: Check[] = [
    depthCheck({ value: weakest.depth, u: before.u }, { edge, station: weakest.station }, 'bar.depth-after', context),
  ];
  if (setting.tang) {
    const left = floorClearance({ value: weakest.depth, u: before.u }, setting.tang);
    const head = { id: 'bar.floor-clearance-after', part, at: { edge, station: weakest.station } } as const;
    checks.push(measuredCheck(head, left, 'mm', limits['bar.floor-clearance.contact'], limits['bar.floor-clearance']));
  }
  const worst = worstPlayAfter(edges[edge], plan, setting);
  if (worst)
    checks.push(
      measuredCheck(
        // Where the shop closes splayed rails, too much play after dressing is work and no condemnation.
        { id: 'bar.play-after', part, at: { edge, station: worst.station }, condemns: schools.closeRails === 'off' },
        worst.play,
        'mm',
        playLimit,
        limits['bar.play.watch'],
      ),
    );
  return checks;
}

function worstPlayAfter(
  { stations }: EdgeAssessment,
  plan: DressPlan,
  setting: Setting,
): { station: number; play: Estimate } | null {
  const plays = stations.flatMap((station, i) => {
    const play = playAfter(station, i, plan, setting);
    return play ? [{ station: station.index, play }] : [];
  });
  return plays.reduce<(typeof plays)[number] | null>(
    (most, next) => (most && most.play.value >= next.play.value ? most : next),
    null,
  );
}
