import { flatMap } from '../../flat-map';
import {
  filingToGauges,
  gaugeRange,
  heightAfter,
  strokesFor,
  type Correction,
  type GaugeAt,
  type GaugeHeights,
  type GaugeRange,
  type Side,
} from '..';
import type { Limit } from '../../limits';
import { estimate, mm, boundsOf, probabilityWithin, type Bounds, type Estimate, type Mm } from '../../quantity';
import type { ChainSheet, Operation } from '../../sheet';
import { judgedCheck, missingCheck, repeatOf, workCheck, type Check } from '../../judge';
import { boundsOfAll, type ChainContext } from './context';
import { cutterLimit } from './cutters';

const part = 'chain' as const;

/** The depth gauges against their setting, as they stand and once the cutters were filed back. */
export interface GaugeJudgement {
  readonly range: GaugeRange;
  readonly setting: number;
  /** The gauge furthest from the setting. */
  readonly worst: GaugeAt;
  /** Least height once all cutters were filed back to the worst; null while no cutter was measured. */
  readonly afterCorrection: Mm | null;
  /** Strokes of the flat file that the highest gauge then needs. */
  readonly strokes: number;
  /** How far the cutters would have to go back until the lowest gauge stands right; 0 where none is too low. */
  readonly backToGauges: number;
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

/** The gauges of a side as they stand: measured again, or as they must stand over cutters that were filed back since. */
function heightsOf(context: ChainContext, side: Side): readonly Bounds[] {
  const { chain, standing, limits } = context;
  const field = side === 'left' ? 'depthGaugesLeft' : 'depthGaugesRight';
  if (chain.after?.[field]?.length) return boundsOfAll(chain.after[field]);
  const first = boundsOfAll(chain[field]);
  if (!standing.again.includes(side)) return first;
  const by = takenOff(context, side) * limits['chain.gauge.fall'].value;
  return first.map(({ lo, hi }) => ({ lo: lowered(lo, by), hi: lowered(hi, by) }));
}

/** How far a gauge's own cutter goes back when all are filed to the worst, mm; the longest of its side where its own was not measured. */
function filedBack({ standing }: ChainContext, { length }: Correction, { side, cutter }: GaugeAt): number {
  const lengths = flatMap(standing.cutters[side], ({ lo, hi }) => (lo ?? hi)?.value ?? []);
  const own = lengths[cutter - 1] ?? Math.max(0, ...lengths);
  return Math.max(0, own - length.value);
}

export function gaugeHeights(context: ChainContext): GaugeHeights {
  return { left: heightsOf(context, 'left'), right: heightsOf(context, 'right') };
}

/** Least height over all gauges once their cutters were filed back. */
function leastAfter(context: ChainContext, heights: GaugeHeights): Mm | null {
  const { correction, limits } = context;
  if (!correction) return null;
  const after = flatMap(['left', 'right'] as const, (side) =>
    flatMap(heights[side], ({ lo, hi }, i) => {
      const height = hi ?? lo;
      if (!height) return [];
      const back = filedBack(context, correction, { side, cutter: i + 1, height });
      return [heightAfter(height.value, back, limits['chain.gauge.fall'].value)];
    }),
  );
  return after.length === 0 ? null : mm(Math.max(0, Math.min(...after)));
}

/** Judges the depth gauges; null where none was measured, or the setting waits for the pitch. */
export function judgeGauges(context: ChainContext): GaugeJudgement | null {
  const { setting, limits } = context;
  const heights = gaugeHeights(context);
  const range = gaugeRange(heights);
  const ends = [range.highest, range.lowest].filter((gauge) => gauge !== null);
  if (ends.length === 0 || !setting) return null;
  const off = ({ height }: GaugeAt) => Math.abs(height.value - setting.value);
  const worst = ends.reduce((most, next) => (off(next) > off(most) ? next : most));
  const afterCorrection = leastAfter(context, heights);
  const highest = afterCorrection ?? range.highest?.height.value ?? setting.value;
  return {
    range,
    setting: setting.value,
    worst,
    afterCorrection,
    strokes: strokesFor(highest, setting.value, limits['chain.gauge.stroke'].value),
    backToGauges: range.lowest
      ? filingToGauges(range.lowest.height.value, setting.value, limits['chain.gauge.fall'].value)
      : 0,
  };
}

function repeatAt(chain: ChainSheet, { side }: GaugeAt) {
  const field = side === 'left' ? 'depthGaugesLeft' : 'depthGaugesRight';
  const again = chain.after?.[field]?.length;
  return repeatOf(
    again ? `chain.after.${field}` : `chain.${field}`,
    (again ? chain.after : chain)?.[field]?.[0],
    'feeler',
  );
}

/** Gauges that stand too high: fine dust, and pushing. */
function highCheck({ chain, limits }: ChainContext, { range, setting, strokes }: GaugeJudgement): readonly Check[] {
  const { highest } = range;
  if (!highest) return [];
  const off = limits['chain.gauge.off'];
  const limit: Limit<'mm'> = { ...off, value: setting - off.value, role: 'min' };
  const work = { operation: 'lower-gauges', from: 'fail' } as const;
  const note = { code: 'gauge-strokes', side: highest.side, cutter: highest.cutter, strokes } as const;
  return [
    workCheck({ id: 'chain.gauges-high', part, work, note, repeat: repeatAt(chain, highest) }, highest.height, limit),
  ];
}

/** Gauges that stand too low: grab, kickback, worn straps. They cannot be raised: the cutters go back until they stand right, and where those have not so much left the chain goes. */
function lowChecks(context: ChainContext, { range, setting, backToGauges }: GaugeJudgement): readonly Check[] {
  const { chain, limits, correction } = context;
  const { lowest } = range;
  if (!lowest) return [];
  const off = limits['chain.gauge.off'];
  const limit: Limit<'mm'> = { ...off, value: setting + off.value };
  const work = { operation: 'file-to-gauges', from: 'fail' } as const;
  const note = { code: 'gauge-back', side: lowest.side, cutter: lowest.cutter, back: backToGauges } as const;
  const low = workCheck({ id: 'chain.gauges-low', part, work, note }, lowest.height, limit);
  if (!correction) return [low];
  const toSpare = Math.max(0, correction.length.value - cutterLimit(context).limit.value);
  const end: Limit<'mm'> = {
    ...limit,
    value: limit.value + toSpare * limits['chain.gauge.fall'].value,
    provenance: 'derived',
  };
  const u = lowest.height.u;
  const sure = probabilityWithin({ ...lowest.height, u }, end.value, 'max');
  const head = { id: 'chain.gauges-too-low', part, repeat: repeatAt(chain, lowest) } as const;
  const tooLow = judgedCheck(head, { value: lowest.height, within: { least: sure, most: sure } }, end, null);
  return [low, tooLow];
}

/** The checks of the depth gauges; measured gauges whose setting waits for the pitch are a reason to wait, never silence. */
export function gaugeChecks(context: ChainContext, judged: GaugeJudgement | null): readonly Check[] {
  if (judged) return [...highCheck(context, judged), ...lowChecks(context, judged)];
  const { chain, limits } = context;
  const reading = chain.depthGaugesLeft?.[0] ?? chain.depthGaugesRight?.[0];
  const height = reading && (estimate(reading) ?? boundsOf(reading).lo ?? boundsOf(reading).hi);
  if (!height) return [];
  const head = { id: 'chain.gauges-too-low', part, repeat: repeatOf('chain.pitch', reading, 'feeler') } as const;
  const waits = missingCheck(head, limits['chain.gauge.38'].provenance, { code: 'needs', readings: ['chain.pitch'] });
  return [{ ...waits, value: height.value, unit: 'mm' }];
}

/** Work on the gauges that follows from how far the cutters go back. */
export function gaugeWork({ limits }: ChainContext, judged: GaugeJudgement | null): readonly Operation[] {
  if (!judged || judged.afterCorrection === null) return [];
  return judged.afterCorrection < judged.setting - limits['chain.gauge.off'].value ? ['lower-gauges'] : [];
}
