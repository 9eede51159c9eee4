import {
  derivedPlayLimit,
  dressPlan,
  dressStop,
  dressingsLeft,
  EDGES,
  edgeDownNext,
  engagedAt,
  floorClearance,
  grooveOf,
  leastDepth,
  predictStraightEdge,
  RAILS,
  rockingWidth,
  stationFigures,
  stationsOf,
  wearPattern,
  type CutterGeometry,
  type DressPlan,
  type DressStop,
  type Edge,
  type Setting,
  type Station,
  type StationFigures,
  type StraightEdgeOutcome,
  type WearPattern,
} from '../bar';
import { depthLimitId, GAUGES, type FamilyId, type Limit, type Limits } from '../families';
import type { Candidate, Identity } from '../identify';
import { estimate, mm, outcomeOf, probabilityWithin, type Estimate, type LengthReading, type Mm } from '../quantity';
import type { BenchSheet } from '../sheet';
import { measuredCheck, missingCheck, observedCheck, ROUNDING, workCheck, type Check } from './check';

/** The dressing of one edge with what it means. */
export interface EdgeDressing {
  readonly plan: DressPlan;
  readonly feasible: boolean;
  readonly advised: boolean;
  readonly stoppedBy: DressStop | null;
  readonly dressingsLeft: number | null;
  /** More comes off in one place than a file alone should take. */
  readonly coarseFirst: boolean;
}

export interface EdgeAssessment {
  readonly stations: readonly Station[];
  readonly figures: readonly StationFigures[];
  /** Null when no station has both rails. */
  readonly dressing: EdgeDressing | null;
}

/** Everything computed about the bar. */
export interface BarAssessment {
  readonly edges: Readonly<Record<Edge, EdgeAssessment>>;
  readonly setting: Setting;
  /** Groove depth below which the bar is finished; null while its pitch is not known at all. */
  readonly depthLimit: number | null;
  readonly playLimit: Limit;
  readonly cutter: CutterGeometry | null;
  readonly straightEdgePredicted: StraightEdgeOutcome | null;
  readonly wearPattern: WearPattern;
  readonly edgeDownNext: Edge | null;
  readonly checks: readonly Check[];
}

const read = (reading: LengthReading | undefined): Estimate | null => (reading ? estimate(reading) : null);

/** Link thickness as measured; without it, the nominal of the settled gauge stands in. */
function linkThickness(sheet: BenchSheet, identity: Identity): { value: Estimate | null; borrowed: boolean } {
  const measuredValue = read(sheet.chain?.driveLinkThickness);
  if (measuredValue) return { value: measuredValue, borrowed: false };
  const gauge = identity.chain.gauge.value ?? identity.bar.gauge.value;
  return { value: gauge ? { value: GAUGES[gauge].thickness, u: 0.01 } : null, borrowed: true };
}

function settingOf(sheet: BenchSheet, identity: Identity): Setting {
  const gauge = identity.bar.gauge.value ?? identity.chain.gauge.value;
  return {
    linkThickness: linkThickness(sheet, identity).value,
    tang: read(sheet.chain?.tang),
    barThickness: read(sheet.bar?.thickness)?.value ?? null,
    newGroove: gauge ? GAUGES[gauge].thickness : null,
  };
}

function cutterGeometry(sheet: BenchSheet): CutterGeometry | null {
  const [kerf, tipHeight, barThickness] = [
    read(sheet.chain?.kerf),
    read(sheet.chain?.tipHeight),
    read(sheet.bar?.thickness),
  ];
  return kerf && tipHeight && barThickness
    ? { kerf: kerf.value, tipHeight: tipHeight.value, barThickness: barThickness.value }
    : null;
}

/** The limit on play: derived where the cutter's geometry is known, else the shop's figure. */
export function playLimitOf(cutter: CutterGeometry | null, setting: Setting, fallback: Limit): Limit {
  if (!cutter || !setting.linkThickness || !setting.tang) return fallback;
  const derived = derivedPlayLimit(cutter, setting.linkThickness.value, setting.tang.value);
  return derived ? { ...fallback, value: derived.play, provenance: 'derived' } : fallback;
}

/** Pitch families the bar may have: its own, or its chain's where the bar says nothing. */
function pitchCandidates(identity: Identity): readonly Candidate<FamilyId>[] {
  const own =
    identity.bar.pitch.candidates.length > 0 && identity.bar.pitch.why.some(({ code }) => code === 'pitch-mark');
  const candidates = own ? identity.bar.pitch.candidates : identity.chain.pitch.candidates;
  return candidates.filter(({ weight }) => weight >= 0.05);
}

function assessEdge(
  stations: readonly Station[],
  setting: Setting,
  limits: Limits,
  depthLimit: number | null,
  overall: Mm | null,
): EdgeAssessment {
  const figures = stations.map((station) => stationFigures(station, setting));
  const keepOutFrom = overall === null ? Infinity : overall - limits['bar.dress.keep-out'].value;
  const dressable = stations.map((station) => ({
    at: station.at,
    near: station.near?.value ?? null,
    far: station.far?.value ?? null,
    groove: grooveOf(station),
    keptOut: station.at > keepOutFrom,
  }));
  const plan = dressPlan(dressable, {
    tolerance: limits['bar.dress.tolerance'].value,
    slope: limits['bar.dress.slope'].value,
  });
  if (!plan.weakest) return { stations, figures, dressing: null };
  const stepLimit = limits['bar.step'].value + ROUNDING;
  const stoppedBy = dressStop(plan, depthLimit, setting.tang?.value ?? null);
  const stepped = figures.some(
    ({ step }, i) => step !== null && plan.target[i] !== null && Math.abs(step.value) > stepLimit,
  );
  return {
    stations,
    figures,
    dressing: {
      plan,
      stoppedBy,
      feasible: stoppedBy === null,
      advised: plan.most > stepLimit || stepped,
      dressingsLeft:
        depthLimit === null ? null : dressingsLeft(plan.weakest.depth, depthLimit, limits['bar.dress.loss'].value),
      coarseFirst: plan.most > limits['bar.dress.coarse-first'].value,
    },
  };
}

/** Computes everything about a bar and makes all its checks. */
export function assessBar(sheet: BenchSheet, identity: Identity, limits: Limits): BarAssessment {
  const setting = settingOf(sheet, identity);
  const cutter = cutterGeometry(sheet);
  const playLimit = playLimitOf(cutter, setting, limits['bar.play']);
  const families = pitchCandidates(identity);
  const depthLimit =
    families.length === 0 ? null : Math.max(...families.map(({ value }) => limits[depthLimitId(value)].value));
  const overall = read(sheet.bar?.overallLength)?.value ?? null;
  const edge = (name: Edge) => assessEdge(stationsOf(sheet.bar, name), setting, limits, depthLimit, overall);
  const edges = { A: edge('A'), B: edge('B') };
  const stations = { A: edges.A.stations, B: edges.B.stations };
  const rocks = EDGES.flatMap((name) => edges[name].figures.flatMap(({ rock }) => rock ?? []));
  const straightEdgePredicted =
    cutter && rocks.length > 0
      ? predictStraightEdge(
          rocks.reduce((most, each) => (each > most ? each : most)),
          cutter,
        )
      : null;
  const context: BarContext = { sheet, limits, edges, setting, families, depthLimit, playLimit, straightEdgePredicted };
  return {
    edges,
    setting,
    depthLimit,
    playLimit,
    cutter,
    straightEdgePredicted,
    wearPattern: wearPattern(stations, sheet.job?.turnOver),
    edgeDownNext: edgeDownNext(stations),
    checks: [...observations(context), ...EDGES.flatMap((name) => edgeChecks(name, context))],
  };
}

interface BarContext {
  readonly sheet: BenchSheet;
  readonly limits: Limits;
  readonly edges: Readonly<Record<Edge, EdgeAssessment>>;
  readonly setting: Setting;
  readonly families: readonly Candidate<FamilyId>[];
  readonly depthLimit: number | null;
  readonly playLimit: Limit;
  readonly straightEdgePredicted: StraightEdgeOutcome | null;
}

const part = 'bar' as const;

function observations(context: BarContext): Check[] {
  const checks = context.sheet.bar?.checks ?? {};
  const bow = read(checks.bow);
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
    observedCheck({ id: 'bar.blueing', part }, checks.blueing, { no: 'ok', light: 'watch', heavy: 'watch' }),
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
  return [...checks, ...burrChecks(edge, station.index, sheet)];
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
  const { edges, setting, playLimit, limits } = context;
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
        { id: 'bar.play-after', part, at: { edge, station: worst.station } },
        worst.play,
        'mm',
        playLimit,
        limits['bar.play.watch'],
      ),
    );
  return checks;
}

function worstPlayAfter(
  { stations, figures }: EdgeAssessment,
  plan: DressPlan,
  setting: Setting,
): { station: number; play: Estimate } | null {
  const plays = stations.flatMap((station, i) => {
    const now = figures[i]!.play;
    const groove = grooveOf(station);
    if (!now || !groove || !setting.linkThickness) return [];
    const mouth = plan.mouthAfter[i] ?? groove.mouth;
    const engaged = engagedAt(station, setting.tang);
    const off = groove.mouth - mouth;
    // The flare's slope is unchanged, so the rocking width falls by as much as the mouth does.
    const width = (engaged ? rockingWidth(groove, engaged) : groove.mouth) - off;
    return [{ station: station.index, play: { value: mm(width - setting.linkThickness.value), u: now.u } }];
  });
  return plays.reduce<(typeof plays)[number] | null>(
    (most, next) => (most && most.play.value >= next.play.value ? most : next),
    null,
  );
}
