import { flatMap } from '../flat-map';
import { type PlaceDraws } from '../groove';
import { EDGES, RAILS, type Edge, type Rail, stationPath } from '../declared';
import { leastValue, leastWithin, withoutHidden } from '../belief';
import type { BarAssessment } from '../bar/checks';
import type { Check } from '../judge';
import { FIELD_KINDS, placingUncertainty, sharedUncertainty, SURE, type InstrumentId } from '../quantity';
import { isThere, minutesFor, readingAt, type Askable, type BenchSheet } from '../sheet';
import type { Asked } from './asked';
import { gainOfMove, settleChance } from './gain';

/** A depth that could be read: on which rail, where, and with which tool. */
interface Depth {
  readonly edge: Edge;
  readonly rail: Rail;
  readonly place: PlaceDraws;
  readonly tool: InstrumentId;
}

/** Readings of one place beyond which the next one is worth less than another place: nobody takes a tenth. */
const MOST_AT_ONE_PLACE = 3;

const DEPTH_TOOLS = FIELD_KINDS.depth.tools;
const whole = (tool: InstrumentId): number =>
  Math.hypot(placingUncertainty({ instrument: tool }), sharedUncertainty(tool));

/** The tool of most depths, and those that are finer. */
const toolsFrom = (tool: InstrumentId): readonly InstrumentId[] => [
  tool,
  ...DEPTH_TOOLS.filter((other) => whole(other) < whole(tool)),
];

/** How often the depth of a rail was read at a station. */
function takenAt({ bar }: BenchSheet, { edge, rail, place: { station } }: Depth): number {
  if (station === null) return 0;
  const at = bar?.edges?.[edge]?.stations[station];
  const reading = at?.after?.[rail] ?? at?.[rail];
  return reading?.kind === 'measured' ? reading.repeats.length : 0;
}

/**
 * What a depth moves the least depth by: as far as the two go together, draw by draw, and as far as the tool's own
 * error is in both or in neither.
 */
function spreadOf(
  { place, rail, tool }: Depth,
  least: Float64Array,
  own: { readonly tool: InstrumentId | null; readonly common: number },
): number {
  const drawn = place.rails[rail];
  const n = least.length;
  let [sumL, sumR, square, product] = [0, 0, 0, 0];
  for (let i = 0; i < n; i += 1) {
    sumL += least[i]!;
    sumR += drawn[i]!;
    square += drawn[i]! * drawn[i]!;
    product += drawn[i]! * least[i]!;
  }
  const covariance = product / n - (sumL / n) * (sumR / n);
  const variance = Math.max(0, square / n - (sumR / n) ** 2);
  const placing = placingUncertainty({ instrument: tool }) ** 2;
  if (tool === own.tool) return covariance / Math.sqrt(variance + placing);
  // Another tool shows the place without the first one's own error, and with its own.
  const error = own.common ** 2;
  return (covariance + error) / Math.sqrt(variance + error + placing + sharedUncertainty(tool) ** 2);
}

/** A depth that settles less often than this is not asked for. */
const LEAST_CHANCE = 0.03;

/** How often one more depth in the widest gap settles what may hide between stations: there are other gaps. */
const ONE_GAP = 0.15;

/** Where nothing was read for the longest way along an edge: the middle between two stations. */
function widestGap(bar: BarAssessment): { readonly edge: Edge; readonly at: number } | null {
  let [widest, found] = [0, null as { edge: Edge; at: number } | null];
  for (const edge of EDGES) {
    const ats = bar.standing[edge].stations.filter(({ near, far }) => near ?? far).map(({ at }) => at);
    ats.sort((a, b) => a - b);
    ats.slice(1).forEach((at, i) => {
      if (at - ats[i]! <= widest) return;
      widest = at - ats[i]!;
      found = { edge, at: Math.round((at + ats[i]!) / 2) };
    });
  }
  return found;
}

/**
 * Where only a dip between the stations leaves the depth open: a rule along the rails shows it on all of them at once;
 * after that, a depth in the widest gap.
 */
function mayHide(open: Check, bar: BarAssessment, sheet: BenchSheet): Asked[] {
  const chance = 1 - (open.probability ?? 0);
  const asked = { gain: chance, reason: { code: 'may-hide', chance }, question: 'least depth' } as const;
  const measure = 'bar.checks.railLine';
  if (!isThere(sheet, measure)) {
    return [{ ...asked, measure, decides: 1 - chance, minutes: minutesFor(measure) }];
  }
  const gap = widestGap(bar);
  if (!gap) return [];
  const there = stationPath(gap.edge, bar.standing[gap.edge].stations.length, 'near');
  return [{ ...asked, measure: there, at: gap.at, decides: ONE_GAP, minutes: minutesFor(there) }];
}

/**
 * Depths that could decide a bar whose least depth is too close to call: at a station again, between stations, or with
 * a finer tool, the likeliest for its minutes first. One is enough at a time.
 */
export function decidingDepths(checks: readonly Check[], bar: BarAssessment, sheet: BenchSheet): Asked[] {
  const open = checks.find(({ id, outcome, bound }) => id === 'bar.depth' && outcome === 'undecided' && bound === null);
  const { least, tool } = bar.belief;
  if (!open || !least || !tool || open.value === null || open.limit === null) return [];
  // Also while the pitch is open: what was read clears the strictest limit.
  if (leastWithin(withoutHidden(least), open.limit) >= SURE) return mayHide(open, bar, sheet);
  const { value, u } = leastValue(least);
  const margin = value - open.limit;
  const along = bar.belief.along();
  const all = flatMap(EDGES, (edge) =>
    flatMap(along[edge], (place) =>
      flatMap(RAILS, (rail) => toolsFrom(tool).map((other): Depth => ({ edge, rail, place, tool: other }))),
    ),
  ).filter((depth) => depth.tool !== tool || takenAt(sheet, depth) < MOST_AT_ONE_PLACE);
  const asked = all.map((depth): Asked => {
    const { edge, rail, place, tool: instrument } = depth;
    const { stations } = bar.standing[edge];
    const measure: Askable = stationPath(edge, place.station ?? stations.length, rail);
    const spread = Math.min(u, Math.abs(spreadOf(depth, withoutHidden(least).draws, { tool, common: least.common })));
    return {
      measure,
      ...(place.station === null ? { at: place.at } : {}),
      gain: gainOfMove(margin, u, spread),
      decides: settleChance(margin, u, spread),
      minutes: readingAt(measure)?.told.minutes ?? minutesFor(measure),
      reason: { code: 'too-close', check: open, instrument },
      question: 'least depth',
    };
  });
  const best = asked.reduce<Asked | null>(
    (most, next) => (most && (most.decides ?? 0) >= (next.decides ?? 0) ? most : next),
    null,
  );
  return best && (best.decides ?? 0) >= LEAST_CHANCE ? [best] : [];
}
