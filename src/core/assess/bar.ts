import {
  crookedCauses,
  derivedPlayLimit,
  EDGES,
  edgeDownNext,
  predictStraightEdge,
  stationsOf,
  turnsIn,
  wearPattern,
  wearPlace,
  type CauseFinding,
  type CutterGeometry,
  type Edge,
  type Setting,
  type StraightEdgeOutcome,
  type Station,
  type Turned,
  type WearPattern,
  type WearPlace,
} from '../bar';
import {
  DEFAULT_SCHOOLS,
  depthLimitId,
  GAUGES,
  type FamilyId,
  type Limit,
  type Limits,
  type Schools,
} from '../families';
import type { Candidate, Identity } from '../identify';
import { estimate, type Estimate, type LengthReading } from '../quantity';
import type { BenchSheet } from '../sheet';
import { barChecks } from './bar-checks';
import type { BlueingCause, Check } from './check';
import { blueingCauses } from './blueing';
import { crookedEvidence } from './crooked';
import { assessEdge, measuredAgain, standingStations, type EdgeAssessment } from './edge';

/** Everything computed about the bar. */
export interface BarAssessment {
  /** Both edges as first measured, with the dressing planned from that. */
  readonly edges: Readonly<Record<Edge, EdgeAssessment>>;
  /** Both edges as they stand: after the rework where they were measured again. Verdicts go by this. */
  readonly standing: Readonly<Record<Edge, EdgeAssessment>>;
  readonly measuredAgain: boolean;
  readonly wearPlace: WearPlace;
  readonly blueingCauses: readonly BlueingCause[];
  readonly crooked: readonly CauseFinding[];
  readonly setting: Setting;
  /** Groove depth below which the bar is finished; null while its pitch is not known at all. */
  readonly depthLimit: number | null;
  readonly playLimit: Limit;
  readonly cutter: CutterGeometry | null;
  readonly straightEdgePredicted: StraightEdgeOutcome | null;
  readonly wearPattern: WearPattern;
  /** What the shop's log tells of turning over. */
  readonly turned: Turned;
  readonly edgeDownNext: Edge | null;
  readonly checks: readonly Check[];
}

const read = (reading: LengthReading | undefined): Estimate | null => (reading ? estimate(reading) : null);

/** How far a link may be from its gauge's nominal, standard uncertainty, mm (common practice, no source). */
const NOMINAL_THICKNESS_U = 0.01;

/** Link thickness as measured; without it, the nominal of the settled gauge stands in. */
function linkThickness(sheet: BenchSheet, identity: Identity): Estimate | null {
  const measuredValue = read(sheet.chain?.driveLinkThickness);
  if (measuredValue) return measuredValue;
  const gauge = identity.chain.gauge.value ?? identity.bar.gauge.value;
  return gauge ? { value: GAUGES[gauge].thickness, u: NOMINAL_THICKNESS_U } : null;
}

function settingOf(sheet: BenchSheet, identity: Identity): Setting {
  const gauge = identity.bar.gauge.value ?? identity.chain.gauge.value;
  return {
    linkThickness: linkThickness(sheet, identity),
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

/** The place that lost most depth, of both edges. */
function worstPlace(stations: Readonly<Record<Edge, readonly Station[]>>): WearPlace {
  const lost = (place: WearPlace): number => ('lost' in place ? place.lost : place.code === 'even' ? 0 : -1);
  const [a, b] = [wearPlace('A', stations.A), wearPlace('B', stations.B)];
  return lost(b) > lost(a) ? b : a;
}

/** Turns in the log of the saw; none where another bar is on it now. */
const loggedTurns = ({ saw, bar }: BenchSheet): Turned =>
  turnsIn(saw?.sameBar === false ? [] : (saw?.turnLog ?? []), bar?.edgeDown);

/** Computes everything about a bar and makes all its checks. */
export function assessBar(
  sheet: BenchSheet,
  identity: Identity,
  limits: Limits,
  schools: Schools = DEFAULT_SCHOOLS,
): BarAssessment {
  const setting = settingOf(sheet, identity);
  const cutter = cutterGeometry(sheet);
  const playLimit = playLimitOf(cutter, setting, limits['bar.play']);
  const families = pitchCandidates(identity);
  const depthLimit =
    families.length === 0 ? null : Math.max(...families.map(({ value }) => limits[depthLimitId(value)].value));
  const overall = read(sheet.bar?.overallLength)?.value ?? null;
  const edgeContext = { setting, limits, depthLimit, playLimit: playLimit.value, overall };
  const stations = { A: stationsOf(sheet.bar, 'A'), B: stationsOf(sheet.bar, 'B') };
  const edges = { A: assessEdge(stations.A, edgeContext), B: assessEdge(stations.B, edgeContext) };
  const again = EDGES.some((name) => measuredAgain(stations[name]));
  const stand = (name: Edge) =>
    measuredAgain(stations[name]) ? assessEdge(standingStations(stations[name]), edgeContext) : edges[name];
  const standing = again ? { A: stand('A'), B: stand('B') } : edges;
  const rocks = EDGES.flatMap((name) => standing[name].figures.flatMap(({ rock }) => rock ?? []));
  const straightEdgePredicted =
    cutter && rocks.length > 0
      ? predictStraightEdge(
          rocks.reduce((most, each) => (each > most ? each : most)),
          cutter,
        )
      : null;
  const turned = loggedTurns(sheet);
  const causes = blueingCauses(sheet, standing, limits);
  const context = {
    sheet,
    limits,
    schools,
    blueing: causes,
    edges: standing,
    setting,
    families,
    depthLimit,
    playLimit,
    straightEdgePredicted,
  };
  return {
    edges,
    standing,
    measuredAgain: again,
    wearPlace: worstPlace(stations),
    blueingCauses: causes,
    crooked: crookedCauses(crookedEvidence(sheet, edges, limits, playLimit.value)),
    setting,
    depthLimit,
    playLimit,
    cutter,
    straightEdgePredicted,
    wearPattern: wearPattern(stations, sheet.job?.turnOver, turned),
    turned,
    edgeDownNext: edgeDownNext({ A: standing.A.stations, B: standing.B.stations }),
    checks: barChecks(context),
  };
}
