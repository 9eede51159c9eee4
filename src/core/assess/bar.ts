import {
  derivedPlayLimit,
  EDGES,
  edgeDownNext,
  predictStraightEdge,
  stationsOf,
  wearPattern,
  type CutterGeometry,
  type Edge,
  type Setting,
  type StraightEdgeOutcome,
  type WearPattern,
} from '../bar';
import { depthLimitId, GAUGES, type FamilyId, type Limit, type Limits } from '../families';
import type { Candidate, Identity } from '../identify';
import { estimate, type Estimate, type LengthReading } from '../quantity';
import type { BenchSheet } from '../sheet';
import { barChecks } from './bar-checks';
import type { Check } from './check';
import { assessEdge, type EdgeAssessment } from './edge';

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
  const context = { sheet, limits, edges, setting, families, depthLimit, playLimit, straightEdgePredicted };
  return {
    edges,
    setting,
    depthLimit,
    playLimit,
    cutter,
    straightEdgePredicted,
    wearPattern: wearPattern(stations, sheet.job?.turnOver),
    edgeDownNext: edgeDownNext(stations),
    checks: barChecks(context),
  };
}
