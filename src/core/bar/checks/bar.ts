import {
  edgeDownNext,
  turnsIn,
  wearPattern,
  wearPlace,
  type Setting,
  type Turned,
  type WearPattern,
  type WearPlace,
} from '..';
import {
  believingBar,
  derivedPlayLimit,
  engagedAt,
  predictStraightEdge,
  rock,
  rockingBounds,
  standingStation,
  stationsOf,
  type Asked,
  type BarBelief,
  type CutterGeometry,
  type StraightEdgeOutcome,
  type Station,
} from '../../groove';
import { stationOf, type Edge } from '../../declared';
import { designsOfSheet } from '../../belief';
import { DEFAULT_SCHOOLS, type Schools } from '../../schools';
import { depthLimitId, type Limit, type Limits } from '../../limits';
import { GAUGES, type FamilyId, type GaugeId } from '../../families';
import type { Candidate, Identity } from '../../identify';
import { estimate, type Degrees, type Estimate, type LengthReading } from '../../quantity';
import type { BenchSheet } from '../../sheet';
import type { Stages } from '../../stages';
import { barChecks } from './all';
import type { Check } from '../../judge';
import { cuttingEdge, leanBelief, type LeanBelief } from './crooked';
import { dressedByHand } from './level';
import type { BarContext, OwnLink } from './context';
import { assessEdge, dressedSince, measuredAgain, type EdgeAssessment } from './edge';

/** Everything computed about the bar. */
export interface BarAssessment {
  /** Both edges as first measured, with the dressing planned from that. */
  readonly edges: Readonly<Record<Edge, EdgeAssessment>>;
  /** Both edges as they stand: after the rework where they were measured again. Verdicts go by this. */
  readonly standing: Readonly<Record<Edge, EdgeAssessment>>;
  /** What is believed of the bar as it stands, from all readings together. */
  readonly belief: BarBelief;
  readonly measuredAgain: boolean;
  /** Edges that level tests alone sent to the file as first looked at, with what they say. */
  readonly byHand: Readonly<Record<Edge, Check | null>>;
  readonly wearPlace: WearPlace;
  /** How the cutting edge leans as it came, and where that draws a cut; null where nothing tells of it. */
  readonly leanDrift: LeanBelief | null;
  readonly setting: Setting;
  /** Groove depth below which the bar is finished; null while its pitch is not known at all. */
  readonly depthLimit: number | null;
  readonly playLimit: Limit<'mm'>;
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

const nominal = (gauge: GaugeId): Estimate => ({ value: GAUGES[gauge].thickness, u: NOMINAL_THICKNESS_U });

/** A gauge or a pitch lighter than this is out of the question. */
const LIVE = 0.05;

/**
 * The link that the bar was made for: of its own gauge, settled or in question. A bar whose gauge nothing tells is
 * judged with its chain's; one whose gauge is contradicted with none, until that is cleared up.
 */
function ownLinksOf(sheet: BenchSheet, { bar, chain }: Identity): readonly OwnLink[] {
  const one = (gauge: GaugeId | null, thickness: Estimate): readonly OwnLink[] => [{ gauge, thickness, weight: 1 }];
  if (bar.gauge.value !== null) return one(bar.gauge.value, nominal(bar.gauge.value));
  if (bar.gauge.status === 'conflict') return [];
  const open = bar.gauge.candidates.filter(({ weight }) => weight >= LIVE);
  const fromChain = chain.gauge.value;
  if (fromChain !== null && (open.length === 0 || open.some(({ value }) => value === fromChain)))
    return one(fromChain, nominal(fromChain));
  if (open.length > 0) return open.map(({ value, weight }) => ({ gauge: value, thickness: nominal(value), weight }));
  const measuredLink = read(sheet.chain?.driveLinkThickness);
  return measuredLink ? one(null, measuredLink) : [];
}

/** The link that runs in the groove: as measured; without that, the nominal of the settled gauge stands in. */
function linkThickness(sheet: BenchSheet, identity: Identity): Estimate | null {
  const measuredValue = read(sheet.chain?.driveLinkThickness);
  if (measuredValue) return measuredValue;
  const gauge = identity.chain.gauge.value ?? identity.bar.gauge.value;
  return gauge ? nominal(gauge) : null;
}

function settingOf(sheet: BenchSheet, identity: Identity, ownLinks: readonly OwnLink[]): Setting {
  const gauge = identity.bar.gauge.value ?? identity.chain.gauge.value;
  return {
    linkThickness: linkThickness(sheet, identity),
    ownLink: ownLinks[0]?.thickness ?? null,
    tang: read(sheet.chain?.tang),
    barThickness: read(sheet.bar?.thickness)?.value ?? null,
    newGroove: gauge ? GAUGES[gauge].thickness : null,
  };
}

/** A link this much thinner than the bar's own is another gauge's, mm: more than links wear. */
const THINNER_BY = 0.1;

const isThin = ({ linkThickness: link, ownLink }: Setting): boolean =>
  link !== null && ownLink !== null && ownLink.value - link.value > THINNER_BY;

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
export function playLimitOf(cutter: CutterGeometry | null, setting: Setting, fallback: Limit<'mm'>): Limit<'mm'> {
  const link = setting.ownLink ?? setting.linkThickness;
  if (!cutter || !link || !setting.tang) return fallback;
  const derived = derivedPlayLimit(cutter, link.value, setting.tang.value);
  return derived ? { ...fallback, value: derived.play, provenance: 'derived' } : fallback;
}

/** Pitch families the bar may have, however unlikely: its own, or its chain's where the bar says nothing. */
function pitchCandidates(identity: Identity): readonly Candidate<FamilyId>[] {
  const own =
    identity.bar.pitch.candidates.length > 0 && identity.bar.pitch.why.some(({ code }) => code === 'pitch-mark');
  return own ? identity.bar.pitch.candidates : identity.chain.pitch.candidates;
}

/** Every link that the bar may have been made for: where its gauge stands on marks, a mark may be misread. */
function anyLinkOf(ownLinks: readonly OwnLink[], { bar }: Identity): readonly OwnLink[] {
  const [first] = ownLinks;
  if (!first || first.gauge === null || !bar.gauge.candidates.some(({ value }) => value === first.gauge))
    return ownLinks;
  return bar.gauge.candidates.map(({ value, weight }) => ({ gauge: value, thickness: nominal(value), weight }));
}

/** The place that lost most depth, of both edges. */
function worstPlace({ edges }: BarBelief): WearPlace {
  const lost = (place: WearPlace): number => ('lost' in place ? place.lost : place.code === 'even' ? 0 : -1);
  const [a, b] = [wearPlace('A', edges.A), wearPlace('B', edges.B)];
  return lost(b) > lost(a) ? b : a;
}

/**
 * What the straight-edge test would show at the widest place, by the most and by the least play that the readings
 * allow.
 */
interface StraightEdge {
  readonly atMost: StraightEdgeOutcome | null;
  readonly atLeast: StraightEdgeOutcome | null;
}

function straightEdge(
  stations: Readonly<Record<Edge, readonly Station[]>>,
  { linkThickness: link, tang }: Setting,
  cutter: CutterGeometry | null,
): StraightEdge {
  if (!cutter || !link) return { atMost: null, atLeast: null };
  let [most, least]: [Degrees | null, Degrees | null] = [null, null];
  for (const station of [...stations.A, ...stations.B]) {
    const engaged = engagedAt(station, tang);
    if (!engaged) continue;
    const { lo, hi } = rockingBounds(station, tang);
    const rocks = ({ value }: Estimate) => rock(value, link.value, engaged);
    const [low, high] = [lo && rocks(lo), hi && rocks(hi)];
    if (low !== null && (least === null || low > least)) least = low;
    if (high !== null && (most === null || high > most)) most = high;
  }
  const shows = (angle: Degrees | null) => (angle === null ? null : predictStraightEdge(angle, cutter));
  return { atMost: shows(most), atLeast: shows(least) };
}

/** Turns in the log of the saw; none where another bar is on it now. */
const loggedTurns = ({ saw, bar }: BenchSheet): Turned =>
  turnsIn(saw?.sameBar === false ? [] : (saw?.turnLog ?? []), bar?.edgeDown);

/** Where along its edge the station of a reading lies, mm; null of anything else. */
export function positionOf({ edges }: Pick<BarAssessment, 'edges'>, measure: string): number | null {
  const at = stationOf(measure);
  return at && (edges[at.edge].stations[at.station]?.at ?? null);
}

/** A check with the position of the station it was made at: people know a station by its millimetres. */
function located<C extends Check | null>(check: C, stations: Readonly<Record<Edge, readonly Station[]>>): C {
  const at = check?.at;
  if (!at || at.station === undefined) return check;
  const position = stations[at.edge][at.station]?.at;
  return position === undefined ? check : { ...check, at: { ...at, mm: position } };
}

/** Computes everything about a bar and makes all its checks, a stage at a time. */
export function* assessBar(
  sheet: BenchSheet,
  identity: Identity,
  limits: Limits,
  schools: Schools = DEFAULT_SCHOOLS,
): Stages<BarAssessment> {
  const ownLinks = ownLinksOf(sheet, identity);
  const setting = settingOf(sheet, identity, ownLinks);
  const cutter = cutterGeometry(sheet);
  const playLimit = playLimitOf(cutter, setting, limits['bar.play']);
  const anyFamily = pitchCandidates(identity);
  const families = anyFamily.filter(({ weight }) => weight >= LIVE);
  const depthLimit =
    families.length === 0 ? null : Math.max(...families.map(({ value }) => limits[depthLimitId(value)].value));
  const overall = read(sheet.bar?.overallLength)?.value ?? null;
  const edgeContext = { setting, limits, depthLimit, playLimit: playLimit.value, overall };
  const contact = setting.tang ? [setting.tang.value + limits['bar.floor-clearance.contact'].value] : [];
  const asked: Asked = {
    depths: [...families.map(({ value }) => limits[depthLimitId(value)].value), ...contact],
    step: limits['bar.step'].value,
    railLine: sheet.bar?.checks?.railLine,
  };
  const stands = { A: sheet.bar?.edges?.A?.stands ?? null, B: sheet.bar?.edges?.B?.stands ?? null };
  const first = { A: stationsOf(sheet.bar, 'A'), B: stationsOf(sheet.bar, 'B') };
  const designs = designsOfSheet();
  const belief = yield* believingBar(first, stands, asked, designs);
  yield;
  const assessed = (stations: typeof first, believed: BarBelief) => ({
    A: assessEdge(stations.A, believed.edges.A, edgeContext),
    B: assessEdge(stations.B, believed.edges.B, edgeContext),
  });
  const edges = assessed(first, belief);
  const again = { A: measuredAgain(first.A), B: measuredAgain(first.B) };
  const isAgain = again.A || again.B;
  const now = isAgain ? { A: first.A.map(standingStation), B: first.B.map(standingStation) } : first;
  // An edge stood up before it was dressed says nothing of it now.
  const standsNow = { A: dressedSince(first.A) ? null : stands.A, B: dressedSince(first.B) ? null : stands.B };
  const believedNow = isAgain ? yield* believingBar(now, standsNow, asked, designs) : belief;
  const standing = isAgain ? assessed(now, believedNow) : edges;
  yield;
  const turned = loggedTurns(sheet);
  const predicted = straightEdge(now, setting, cutter);
  yield;
  const context: BarContext = {
    sheet,
    limits,
    schools,
    edges: standing,
    belief: believedNow,
    designs,
    setting,
    families,
    anyFamily,
    ownLinks,
    anyLink: anyLinkOf(ownLinks, identity),
    thinChain: isThin(setting),
    depthLimit,
    playLimit,
    straightEdgePredicted: predicted.atMost,
    straightEdgeAtLeast: predicted.atLeast,
  };
  return {
    edges,
    standing,
    belief: believedNow,
    measuredAgain: isAgain,
    byHand: {
      A: located(dressedByHand('A', edges.A, limits), first),
      B: located(dressedByHand('B', edges.B, limits), first),
    },
    wearPlace: worstPlace(belief),
    leanDrift: leanBelief(sheet, edges, setting, cuttingEdge(sheet)),
    setting,
    depthLimit,
    playLimit,
    cutter,
    straightEdgePredicted: predicted.atMost,
    wearPattern: wearPattern(edges, sheet.job?.turnOver, turned),
    turned,
    edgeDownNext: edgeDownNext(believedNow.edges),
    checks: barChecks(context).map((check) => located(check, first)),
  };
}
