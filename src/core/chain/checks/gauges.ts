import { flatMap } from '../../flat-map';
import {
  filingToGauges,
  gaugesFromBoth,
  heightAfter,
  imbalance,
  noneHigher,
  noneLower,
  oneBeyond,
  strokesFor,
  withinSeen,
  type Correction,
  type GaugeAt,
  type GaugeHeights,
  type GaugesSeen,
  type Side,
} from '..';
import type { Limit } from '../../limits';
import { estimate, mm, boundsOf, type Bounds, type Estimate, type Mm, type Within } from '../../quantity';
import type { Askable, ChainSheet, Operation } from '../../sheet';
import { judgedCheck, missingCheck, repeatOf, withOutcome, workCheck, type Check } from '../../judge';
import { boundsOfAll, type ChainContext } from './context';
import { cutterLimit } from './cutters';

const part = 'chain' as const;

/** One depth gauge as it is to be worked on. */
export interface GaugeWork extends GaugeAt {
  /** How likely it stands higher than the shop lets pass, and lower. */
  readonly high: number;
  readonly low: number;
  /**
   * Strokes of the flat file that bring it to the setting once the cutters were filed back; a gauge that is too low is
   * never filed.
   */
  readonly strokes: number;
  /** The reading to take again for it. */
  readonly measure: Askable;
}

/** The depth gauges against their setting, as they stand and once the cutters were filed back. */
export interface GaugeJudgement {
  /** All that were measured, in their order. */
  readonly each: readonly GaugeWork[];
  /** The least and the greatest height below the edge. */
  readonly highest: GaugeAt | null;
  readonly lowest: GaugeAt | null;
  readonly setting: number;
  /** The gauge furthest from the setting. */
  readonly worst: GaugeAt;
  /** Least height once all cutters were filed back to the worst; null while no cutter was measured. */
  readonly afterCorrection: Mm | null;
  /** Strokes of the flat file that the highest gauge then needs. */
  readonly strokes: number;
  /** How far the cutters would have to go back until the lowest gauge stands right; 0 where none is too low. */
  readonly backToGauges: number;
  /**
   * Chance that none stands too high, that none will once the cutters were filed back, and that none stands too low.
   */
  readonly noneHigh: Within;
  readonly noneHighAfter: Within;
  readonly noneLow: Within;
}

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

const middle = (bounds: readonly Bounds[]): number | null =>
  mean(flatMap(bounds, ({ lo, hi }) => (lo ?? hi)?.value ?? []));

/** What a rework took off the cutters of a side, on average, mm. */
function takenOff({ before, standing }: ChainContext, side: Side): number {
  const [from, to] = [middle(before[side]), middle(standing.cutters[side])];
  return from === null || to === null ? 0 : Math.max(0, from - to);
}

const lowered = (bound: Estimate | null, by: number): Estimate | null =>
  bound && { ...bound, value: mm(Math.max(0, bound.value - by)) };

const fieldOf = (side: Side) => (side === 'left' ? ('depthGaugesLeft' as const) : ('depthGaugesRight' as const));

/**
 * The gauges of a side as they stand: measured again, or as they must stand over cutters that were filed back since.
 */
function heightsOf(context: ChainContext, side: Side): readonly Bounds[] {
  const { chain, standing, limits } = context;
  const field = fieldOf(side);
  if (chain.after?.[field]?.length) return boundsOfAll(chain.after[field]);
  const first = boundsOfAll(chain[field]);
  if (!standing.again.includes(side)) return first;
  const by = takenOff(context, side) * limits['chain.gauge.fall'].value;
  return first.map(({ lo, hi }) => ({ lo: lowered(lo, by), hi: lowered(hi, by) }));
}

/** Length of a gauge's own cutter, mm; the longest of its side where its own was not measured. */
function ownCutter({ standing }: ChainContext, { side, cutter }: GaugeAt): number {
  const lengths = flatMap(standing.cutters[side], ({ lo, hi }) => (lo ?? hi)?.value ?? []);
  return lengths[cutter - 1] ?? Math.max(0, ...lengths);
}

/** How far a gauge's own cutter goes back when all are filed to the worst, mm. */
const filedBack = (context: ChainContext, { length }: Correction, gauge: GaugeAt): number =>
  Math.max(0, ownCutter(context, gauge) - length.value);

/**
 * What all cutters come to once they are filed: to the worst of them, and where a gauge stands too low until that one
 * stands right. All that rests on their length rests on this figure.
 */
export function afterFiling(
  context: ChainContext,
  gauges: readonly GaugeJudgement[],
  checks: readonly Check[],
): AfterFiling | null {
  const { correction } = context;
  if (!correction) return null;
  const worst = { length: correction.length.value as number, toGauge: null };
  const isCalled = checks.some(({ work }) => work === 'file-to-gauges');
  const { lowest = null, backToGauges = 0 } = gauges[0] ?? {};
  if (!isCalled || !lowest) return worst;
  const length = Math.max(0, ownCutter(context, lowest) - backToGauges);
  return length < worst.length ? { length, toGauge: { side: lowest.side, cutter: lowest.cutter } } : worst;
}

/** What all cutters come to, mm, and the gauge that pulls them further back than the worst cutter does. */
export interface AfterFiling {
  readonly length: number;
  readonly toGauge: { readonly side: Side; readonly cutter: number } | null;
}

export function gaugeHeights(context: ChainContext): GaugeHeights {
  return { left: heightsOf(context, 'left'), right: heightsOf(context, 'right') };
}

/** What each gauge's height loses when all cutters are filed back to the worst. */
function lossesOf(context: ChainContext, { gauges }: GaugesSeen): readonly number[] {
  const { correction, limits } = context;
  if (!correction) return [];
  return gauges.map((gauge) => filedBack(context, correction, gauge) * limits['chain.gauge.fall'].value);
}

const pathOf = ({ chain }: ChainContext, { side, cutter }: GaugeAt): Askable => {
  const field = fieldOf(side);
  return chain.after?.[field]?.length ? `chain.after.${field}.${cutter - 1}` : `chain.${field}.${cutter - 1}`;
};

/** A gauge more likely too low than not is never filed. */
const MORE_LIKELY_THAN_NOT = 0.5;

/** Each gauge as it is believed to stand, and what is to be done about it. */
function eachOf(context: ChainContext, seen: GaugesSeen, setting: number): readonly GaugeWork[] {
  const { limits } = context;
  const off = limits['chain.gauge.off'].value;
  const losses = lossesOf(context, seen);
  return seen.gauges.map((gauge, i) => {
    const { high, low } = oneBeyond(seen, i, setting - off, setting + off);
    const after = heightAfter(gauge.height.value, losses[i] ?? 0, 1);
    const strokes = low > MORE_LIKELY_THAN_NOT ? 0 : strokesFor(after, setting, limits['chain.gauge.stroke'].value);
    return { ...gauge, high, low, strokes, measure: pathOf(context, gauge) };
  });
}

const pick = (gauges: readonly GaugeAt[], better: (a: number, b: number) => boolean): GaugeAt | null =>
  gauges.reduce<GaugeAt | null>(
    (best, next) => (best && !better(next.height.value, best.height.value) ? best : next),
    null,
  );

/** Judges the depth gauges against one setting; null where none was measured. */
function judgedBy(context: ChainContext, { value: setting }: Limit<'mm'>): GaugeJudgement | null {
  const { limits } = context;
  const heights = gaugeHeights(context);
  const { lo, hi } = gaugesFromBoth(heights);
  const any = hi ?? lo;
  if (!any) return null;
  const [highest, lowest] = [pick(hi?.gauges ?? [], (a, b) => a < b), pick(lo?.gauges ?? [], (a, b) => a > b)];
  const ends = [highest, lowest].filter((gauge) => gauge !== null);
  const off = ({ height }: GaugeAt) => Math.abs(height.value - setting);
  const losses = lossesOf(context, any);
  const after = any.gauges.map(({ height }, i) => height.value - (losses[i] ?? 0));
  const afterCorrection = context.correction ? mm(Math.max(0, Math.min(...after))) : null;
  const tolerance = limits['chain.gauge.off'].value;
  const each = eachOf(context, any, setting);
  return {
    each,
    highest,
    lowest,
    setting,
    worst: ends.reduce((most, next) => (off(next) > off(most) ? next : most)),
    afterCorrection,
    strokes: Math.max(0, ...each.map(({ strokes }) => strokes)),
    backToGauges: lowest ? filingToGauges(lowest.height.value, setting, limits['chain.gauge.fall'].value) : 0,
    noneHigh: withinSeen(heights, lo, hi, (seen) => noneHigher(seen, setting - tolerance)),
    noneHighAfter: withinSeen(heights, lo, hi, (seen) =>
      noneHigher(seen, setting - tolerance, lossesOf(context, seen)),
    ),
    noneLow: withinSeen(heights, hi, lo, (seen) => noneLower(seen, setting + tolerance)),
  };
}

/**
 * Judges the depth gauges, by the setting of each family that the pitch still leaves open; the first is the likeliest.
 */
export function judgeGauges(context: ChainContext): readonly GaugeJudgement[] {
  return flatMap(context.settings, (setting) => judgedBy(context, setting) ?? []);
}

/**
 * All gauges are left where they stand only when that is rather likelier right than not: a few strokes for nothing cost
 * less than a gauge that was missed (tried on simulated chains).
 */
const LEFT_FROM = 0.65;

/** How a question of all gauges comes out, whichever family is right. */
function calledFor(each: readonly Within[]): 'fail' | 'ok' | 'undecided' {
  if (each.every(({ most }) => most < LEFT_FROM)) return 'fail';
  return each.every(({ least }) => least >= LEFT_FROM) ? 'ok' : 'undecided';
}

/** Of several families the one that a question is least sure to condemn by. */
const mildest = (judged: readonly GaugeJudgement[], of: (each: GaugeJudgement) => Within): GaugeJudgement =>
  judged.reduce((best, next) => (of(next).most > of(best).most ? next : best));

function repeatAt(context: ChainContext, gauge: GaugeAt) {
  const { chain } = context;
  const field = fieldOf(gauge.side);
  const list = chain.after?.[field]?.length ? chain.after[field] : chain[field];
  return repeatOf(pathOf(context, gauge), list?.[gauge.cutter - 1], 'feeler');
}

/** Gauges that stand too high: fine dust, and pushing. */
function highCheck(context: ChainContext, judged: readonly GaugeJudgement[]): readonly Check[] {
  const { noneHigh, highest, setting, strokes, each } = mildest(judged, ({ noneHigh: within }) => within);
  if (!highest) return [];
  const off = context.limits['chain.gauge.off'];
  const limit: Limit<'mm'> = { ...off, value: setting - off.value, role: 'min' };
  const filed = each.filter((gauge) => gauge.strokes > 0).length;
  const note = { code: 'gauge-strokes', side: highest.side, cutter: highest.cutter, strokes, filed } as const;
  const head = { id: 'chain.gauges-high', part, condemns: false, note, repeat: repeatAt(context, highest) } as const;
  const check = judgedCheck(head, { value: highest.height, within: noneHigh, ways: null }, limit, null);
  const outcome = calledFor(judged.map(({ noneHigh: within }) => within));
  return [withOutcome(check, outcome, outcome === 'fail' ? 'lower-gauges' : null)];
}

/**
 * Gauges that stand too low: grab, kickback, worn straps. They cannot be raised: the cutters go back until they stand
 * right, and where those have not so much left the chain goes.
 */
function lowChecks(context: ChainContext, judged: readonly GaugeJudgement[]): readonly Check[] {
  const { limits, correction } = context;
  const { lowest, setting, backToGauges, noneLow } = mildest(judged, ({ noneLow: within }) => within);
  if (!lowest) return [];
  const off = limits['chain.gauge.off'];
  const limit: Limit<'mm'> = { ...off, value: setting + off.value };
  const note = { code: 'gauge-back', side: lowest.side, cutter: lowest.cutter, back: backToGauges } as const;
  const repeat = repeatAt(context, lowest);
  const head = { id: 'chain.gauges-low', part, condemns: false, note, repeat } as const;
  const check = judgedCheck(head, { value: lowest.height, within: noneLow, ways: null }, limit, null);
  const outcome = calledFor(judged.map(({ noneLow: within }) => within));
  const low = withOutcome(check, outcome, outcome === 'fail' ? 'file-to-gauges' : null);
  if (!correction) return [low];
  const toSpare = Math.max(0, correction.length.value - cutterLimit(context).limit.value);
  const end: Limit<'mm'> = {
    ...limit,
    value: limit.value + toSpare * limits['chain.gauge.fall'].value,
    provenance: 'derived',
  };
  const heights = gaugeHeights(context);
  const { lo, hi } = gaugesFromBoth(heights);
  const within = withinSeen(heights, hi, lo, (seen) => noneLower(seen, end.value));
  const tooLow = { id: 'chain.gauges-too-low', part, repeat } as const;
  return [low, judgedCheck(tooLow, { value: lowest.height, within, ways: null }, end, null)];
}

/**
 * The checks of the depth gauges; measured gauges whose setting waits for the pitch are a reason to wait, never
 * silence.
 */
export function gaugeChecks(context: ChainContext, judged: readonly GaugeJudgement[]): readonly Check[] {
  const { chain, limits } = context;
  const found = judged.length > 0 ? [...highCheck(context, judged), ...lowChecks(context, judged)] : [];
  // What is so for every family that is still open is so at once; the rest waits for the pitch.
  if (judged.length === 1 || found.some(({ outcome }) => outcome === 'fail')) return found;
  const isOpen = judged.length === 0 || found.some(({ outcome }) => outcome === 'undecided');
  const reading = chain.depthGaugesLeft?.[0] ?? chain.depthGaugesRight?.[0];
  const height = reading && (estimate(reading) ?? boundsOf(reading).lo ?? boundsOf(reading).hi);
  if (!isOpen || !height) return found;
  const head = { id: 'chain.gauges-too-low', part, repeat: repeatOf('chain.pitch', reading, 'feeler') } as const;
  const waits = missingCheck(head, limits['chain.gauge.38'].provenance, { code: 'needs', readings: ['chain.pitch'] });
  return [{ ...waits, value: height.value, unit: 'mm' }];
}

/** Mean height of the left gauges less that of the right, as believed; null unless both sides were measured. */
export function gaugeImbalance(context: ChainContext): Estimate | null {
  const heights = gaugeHeights(context);
  const whole = (side: Side) => flatMap(heights[side], ({ lo, hi }) => (lo && lo === hi ? lo : []));
  return imbalance({ left: whole('left'), right: whole('right') });
}

/** One side's gauges against the other's: unequal ones draw the cut, whatever their setting. */
export function gaugesUnevenCheck(context: ChainContext): readonly Check[] {
  const uneven = gaugeImbalance(context);
  if (!uneven) return [];
  const value = { ...uneven, value: mm(Math.abs(uneven.value)) };
  const check = workCheck({ id: 'chain.gauges-uneven', part }, value, context.limits['chain.gauge.off']);
  return [check.outcome === 'fail' ? withOutcome(check, 'watch') : check];
}

/** Work on the gauges that follows from how far the cutters go back. */
export function gaugeWork(_context: ChainContext, judged: readonly GaugeJudgement[]): readonly Operation[] {
  const after = judged
    .filter(({ afterCorrection }) => afterCorrection !== null)
    .map(({ noneHighAfter }) => noneHighAfter);
  return after.length > 0 && calledFor(after) === 'fail' ? ['lower-gauges'] : [];
}

/** How sure it must be that all gauges are right, or that one is not, before none of them is read again. */
const OPEN = { from: 0.1, to: 0.97 } as const;
/** Gauges that are read again at a time. */
const READ_AGAIN = 3;

/** A gauge so unlikely to stand wrong is not read again for it. */
const HARDLY = 0.02;

/** The gauges likeliest to stand wrong, as many as are read again at a time. */
const likeliest = (each: readonly GaugeWork[], chance: (gauge: GaugeWork) => number): readonly GaugeWork[] =>
  each
    .filter((gauge) => chance(gauge) > HARDLY)
    .sort((a, b) => chance(b) - chance(a))
    .slice(0, READ_AGAIN);

/** Gauges to read again, the likeliest to be wrong first: while it is open whether one is. */
export function gaugesToRepeat(
  [judged]: readonly GaugeJudgement[],
  chain: ChainSheet | undefined,
): readonly GaugeWork[] {
  if (!judged) return [];
  const isOpen = ({ least, most }: Within) => most > OPEN.from && least < OPEN.to;
  const asked = [
    ...(isOpen(judged.noneHigh) ? likeliest(judged.each, ({ high }) => high) : []),
    ...(isOpen(judged.noneLow) ? likeliest(judged.each, ({ low }) => low) : []),
  ];
  return asked.filter((gauge, i) => asked.indexOf(gauge) === i && !isRepeated(gauge, chain));
}

/** Read twice and more a gauge is not asked for again: what is then open one reading more does not close. */
function isRepeated({ side, cutter }: GaugeAt, chain: ChainSheet | undefined): boolean {
  const field = fieldOf(side);
  const list = chain?.after?.[field]?.length ? chain.after[field] : chain?.[field];
  const reading = list?.[cutter - 1];
  return reading?.kind === 'measured' && reading.repeats.length > 1;
}
