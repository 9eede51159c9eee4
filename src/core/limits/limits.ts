import { flatMap } from '../flat-map';
import { err, ok, type Result } from '../result';
import { parseLength } from '../quantity';
import { barReadings, chainReadings, driveSprocketReadings } from '../declared';
import { FAMILIES, type FamilyId, type Provenance } from '../families';
import { placeOf, readingsOf, type Declaration, type Judged, type LimitsOf, type ToldLimit } from '../reading';

/** What a limit's number is counted in. */
export type LimitUnit = 'mm' | '%' | 'mm/mm' | 'count' | 'min' | 'h' | 'deg' | 'ct' | 'ct/h' | 'wk';

/** How a limit acts: a floor, a ceiling, or a figure that a computation uses. */
export type LimitRole = 'min' | 'max' | 'figure';

/** One limit with where it comes from. */
export interface Limit<U extends LimitUnit = LimitUnit> {
  readonly value: number;
  readonly unit: U;
  readonly role: LimitRole;
  readonly provenance: Provenance;
  /** Named source, when the provenance is `published`. */
  readonly source?: string;
}

const limit = <const U extends LimitUnit>(
  value: number,
  unit: U,
  role: LimitRole,
  provenance: Provenance,
): Limit<U> => ({
  value,
  unit,
  role,
  provenance,
});

/** Parts whose readings are told with limits of their own. */
const PARTS_WITH_LIMITS = [barReadings, chainReadings, driveSprocketReadings] as const;
/** What a warning band is usually called. */
const BAND = '.watch';

const judgedOf = (part: Declaration): readonly Judged[] =>
  flatMap(readingsOf(placeOf(part)), ({ told: { judged } }) => (judged ? [judged] : []));

/** The limits that are told with the readings of a part. */
function toldLimits<D extends Declaration>(part: D): { readonly [I in LimitsOf<D>]: Limit<'mm'> } {
  const told = flatMap(judgedOf(part), ({ check, limit: main, watch, role }) => {
    const withRole = ({ value, unit, provenance }: ToldLimit) => limit(value, unit, role, provenance);
    return [[check, withRole(main)], ...(watch ? [[watch.id, withRole(watch.limit)]] : [])] as [string, Limit<'mm'>][];
  });
  return Object.fromEntries(told) as { readonly [I in LimitsOf<D>]: Limit<'mm'> };
}

/**
 * The default limits: those of judged lengths are told with their readings, all others here. They are defaults of a
 * shop, not of the trade: every one can be changed, and the saw maker's own figure wins wherever there is one.
 */
export const DEFAULT_LIMITS = {
  'bar.depth.quarter': limit(4, 'mm', 'min', 'memory'),
  'bar.depth.325': limit(6, 'mm', 'min', 'memory'),
  'bar.depth.38lp': limit(5, 'mm', 'min', 'memory'),
  'bar.depth.38': limit(6, 'mm', 'min', 'memory'),
  'bar.depth.404': limit(7, 'mm', 'min', 'memory'),
  'bar.floor-clearance': limit(1, 'mm', 'min', 'practice'),
  'bar.floor-clearance.contact': limit(0, 'mm', 'min', 'derived'),
  'bar.play': limit(0.5, 'mm', 'max', 'practice'),
  'bar.play.watch': limit(0.25, 'mm', 'max', 'practice'),
  'bar.step': limit(0.1, 'mm', 'max', 'practice'),
  ...toldLimits(barReadings),
  'bar.dress.tolerance': limit(0.05, 'mm', 'figure', 'shop'),
  'bar.dress.slope': limit(0.005, 'mm/mm', 'figure', 'shop'),
  'bar.dress.keep-out': limit(25, 'mm', 'figure', 'shop'),
  'bar.dress.coarse-first': limit(0.8, 'mm', 'max', 'practice'),
  'bar.dress.loss': limit(0.3, 'mm', 'figure', 'shop'),
  'bar.dress.chip': limit(15, 'mm', 'max', 'shop'),
  'bar.dress.exception': limit(0.25, 'mm', 'max', 'shop'),
  'bar.dress.touch': limit(0.05, 'mm', 'figure', 'practice'),
  'bar.dress.doubt': limit(0.03, 'mm', 'figure', 'shop'),
  'bar.dress.pass': limit(0.04, 'mm', 'figure', 'shop'),
  'bar.dress.minutes-setup': limit(4, 'min', 'figure', 'shop'),
  'bar.dress.minutes-per-pass': limit(0.5, 'min', 'figure', 'shop'),
  'chain.cutter': limit(4, 'mm', 'min', 'memory'),
  'chain.cutter.half': limit(50, '%', 'max', 'practice'),
  'chain.filing-loss': limit(0.125, 'mm', 'figure', 'shop'),
  'chain.filing-hours': limit(2, 'h', 'figure', 'shop'),
  'chain.elongation': limit(3, '%', 'max', 'memory'),
  'chain.elongation.watch': limit(1.5, '%', 'max', 'memory'),
  'chain.uneven': limit(0.4, 'mm', 'max', 'practice'),
  'chain.gauge.quarter': limit(FAMILIES.quarter.depthGauge, 'mm', 'figure', 'memory'),
  'chain.gauge.325': limit(FAMILIES['325'].depthGauge, 'mm', 'figure', 'memory'),
  'chain.gauge.38lp': limit(FAMILIES['38lp'].depthGauge, 'mm', 'figure', 'memory'),
  'chain.gauge.38': limit(FAMILIES['38'].depthGauge, 'mm', 'figure', 'memory'),
  'chain.gauge.404': limit(FAMILIES['404'].depthGauge, 'mm', 'figure', 'memory'),
  'chain.gauge.off': limit(0.1, 'mm', 'max', 'practice'),
  'chain.gauge.fall': limit(0.1, 'mm/mm', 'figure', 'practice'),
  'chain.gauge.stroke': limit(0.05, 'mm', 'figure', 'shop'),
  ...toldLimits(chainReadings),
  'chain.angle': limit(5, 'deg', 'max', 'practice'),
  ...toldLimits(driveSprocketReadings),
  'sprocket.chains': limit(2, 'count', 'max', 'practice'),
  'refit.lift.quarter': limit(8, 'mm', 'max', 'practice'),
  'refit.lift.325': limit(11, 'mm', 'max', 'practice'),
  'refit.lift.38lp': limit(10, 'mm', 'max', 'practice'),
  'refit.lift.38': limit(12, 'mm', 'max', 'practice'),
  'refit.lift.404': limit(13, 'mm', 'max', 'practice'),
  'refit.lift.sag': limit(3, 'mm', 'figure', 'practice'),
  'refit.lift.least': limit(0.4, '%', 'min', 'practice'),
  'refit.lift.least-hard': limit(1, 'mm', 'figure', 'practice'),
  'proof.drift': limit(5, 'mm', 'max', 'shop'),
  'visit.weeks.bucking': limit(6, 'wk', 'figure', 'practice'),
  'visit.weeks.limbing': limit(6, 'wk', 'figure', 'practice'),
  'visit.weeks.felling': limit(5, 'wk', 'figure', 'practice'),
  'visit.weeks.milling': limit(3, 'wk', 'figure', 'practice'),
  'visit.weeks.rescue': limit(4, 'wk', 'figure', 'practice'),
  'visit.weeks.other': limit(8, 'wk', 'figure', 'practice'),
  'visit.weeks.least': limit(1, 'wk', 'figure', 'shop'),
  'visit.habit': limit(75, '%', 'figure', 'shop'),
  'plan.labour': limit(4200, 'ct/h', 'figure', 'invented'),
  'plan.consumables': limit(80, 'ct', 'figure', 'invented'),
  'plan.horizon': limit(200, 'h', 'figure', 'invented'),
  'plan.life.chain': limit(30, 'h', 'figure', 'invented'),
  'plan.life.bar': limit(150, 'h', 'figure', 'invented'),
  'plan.life.driveSprocket': limit(60, 'h', 'figure', 'invented'),
  'plan.life.nose': limit(100, 'h', 'figure', 'invented'),
  'plan.life.dressing': limit(50, 'h', 'figure', 'invented'),
  'plan.life.spread': limit(25, '%', 'figure', 'invented'),
  'plan.life.on-worn-sprocket': limit(80, '%', 'figure', 'invented'),
  'plan.life.on-worn-bar': limit(85, '%', 'figure', 'invented'),
  'plan.price.chain': limit(1800, 'ct', 'figure', 'invented'),
  'plan.price.bar': limit(6000, 'ct', 'figure', 'invented'),
  'plan.price.driveSprocket': limit(1200, 'ct', 'figure', 'invented'),
  'plan.price.nose': limit(1500, 'ct', 'figure', 'invented'),
  'plan.minutes.chain': limit(4, 'min', 'figure', 'invented'),
  'plan.minutes.bar': limit(3, 'min', 'figure', 'invented'),
  'plan.minutes.driveSprocket': limit(12, 'min', 'figure', 'invented'),
  'plan.minutes.nose': limit(20, 'min', 'figure', 'invented'),
  'plan.minutes.operation': limit(6, 'min', 'figure', 'invented'),
  'plan.minutes.cleaning': limit(4, 'min', 'figure', 'invented'),
  'plan.worth': limit(60, '%', 'max', 'invented'),
  'life.week': limit(5, 'h', 'figure', 'invented'),
  'life.week.spread': limit(50, '%', 'figure', 'invented'),
  'life.hours': limit(15, '%', 'figure', 'shop'),
  'life.spread': limit(40, '%', 'figure', 'invented'),
} as const satisfies Record<string, Limit>;

/** Names a limit. */
export type LimitId = keyof typeof DEFAULT_LIMITS;

/** A complete set of limits: the defaults with the shop's changes laid over them. */
export type Limits = { readonly [I in LimitId]: Limit<(typeof DEFAULT_LIMITS)[I]['unit']> };

/** All limit ids in the order they are shown. */
export const LIMIT_IDS = Object.keys(DEFAULT_LIMITS) as LimitId[];

/** The defaults as a set. */
export const DEFAULTS: Limits = DEFAULT_LIMITS;

/** The limit on groove depth of a family. */
export function depthLimitId(family: FamilyId): `bar.depth.${FamilyId}` {
  return `bar.depth.${family}`;
}

/** The setting of the depth gauges of a family. */
export function gaugeSettingId(family: FamilyId): `chain.gauge.${FamilyId}` {
  return `chain.gauge.${family}`;
}

/** The limit on the lift of a tensioned chain of a family. */
export function liftLimitId(family: FamilyId): `refit.lift.${FamilyId}` {
  return `refit.lift.${family}`;
}

/** A change of one limit by the shop, or a maker's published figure that replaces it. */
export interface LimitOverride {
  /** In the limit's own unit; a length may be typed with its unit. */
  readonly value: number | string;
  readonly unit?: string | undefined;
  readonly role?: string | undefined;
  /** `published` needs a source; anything else changed counts as the shop's. */
  readonly provenance?: Provenance | undefined;
  readonly source?: string | undefined;
}

/** Changes by limit id: a number, a typed length, or an object with provenance. */
export type LimitOverrides = Readonly<Record<string, number | string | LimitOverride>>;

/** Why a change of a limit was refused. */
export interface LimitProblem {
  readonly id: string;
  readonly code:
    'unknown-limit' | 'not-a-number' | 'negative' | 'watch-beyond-limit' | 'published-without-source' | 'wrong-unit';
  readonly expected: string;
}

/**
 * Lays a shop's changes over the defaults. A value equal to the default keeps its provenance; a changed one becomes
 * `shop`, or `published` with its source. All problems are returned together.
 */
export function resolveLimits(overrides: LimitOverrides): Result<Limits, readonly LimitProblem[]> {
  const problems: LimitProblem[] = [];
  const result: Record<string, Limit> = { ...DEFAULT_LIMITS };
  for (const [id, given] of Object.entries(overrides)) {
    const base = (DEFAULT_LIMITS as Record<string, Limit>)[id];
    if (!base) {
      problems.push({ id, code: 'unknown-limit', expected: LIMIT_IDS.join(', ') });
      continue;
    }
    const changed = applyOverride(id, base, typeof given === 'object' ? given : { value: given });
    if (changed.ok) result[id] = changed.value;
    else problems.push(changed.error);
  }
  const limits = result as Limits;
  problems.push(...crossedWatches(limits));
  return problems.length > 0 ? err(problems) : ok(limits);
}

function applyOverride(id: string, base: Limit, given: LimitOverride): Result<Limit, LimitProblem> {
  if (given.unit !== undefined && given.unit !== base.unit) return err({ id, code: 'wrong-unit', expected: base.unit });
  const value = overrideValue(base, given.value);
  if (value === null) return err({ id, code: 'not-a-number', expected: base.unit });
  if (value < 0) return err({ id, code: 'negative', expected: base.unit });
  if (given.provenance === 'published' && !given.source)
    return err({ id, code: 'published-without-source', expected: 'source' });
  if (value === base.value && given.provenance !== 'published') return ok(base);
  const provenance = given.provenance === 'published' ? 'published' : 'shop';
  return ok(given.source ? { ...base, value, provenance, source: given.source } : { ...base, value, provenance });
}

function overrideValue(base: Limit, given: number | string): number | null {
  if (typeof given === 'number') return Number.isFinite(given) ? given : null;
  if (/^\s*-?\d*\.?\d+\s*$/.test(given)) return Number(given);
  if (base.unit === '%' && /^\s*\d*\.?\d+\s*%\s*$/.test(given)) return Number.parseFloat(given);
  if (base.unit !== 'mm') return null;
  const length = parseLength(given, 'depth', 'mm');
  return length.ok ? length.value.length : null;
}

/** Each warning band with the limit it warns of: as told with a reading, else by its name. */
const WARNING_BANDS: readonly (readonly [LimitId, LimitId])[] = [
  // Here the band has the shorter name: it was there first.
  ['bar.floor-clearance', 'bar.floor-clearance.contact'],
  ...flatMap(LIMIT_IDS, (id) => (id.endsWith(BAND) ? [[id, id.slice(0, -BAND.length) as LimitId] as const] : [])),
  ...flatMap(PARTS_WITH_LIMITS, (part) =>
    flatMap(judgedOf(part), ({ check, watch }) =>
      watch && !watch.id.endsWith(BAND) ? [[watch.id as LimitId, check as LimitId] as const] : [],
    ),
  ),
];

/** A warning band must begin on the good side of its limit. */
function crossedWatches(limits: Limits): LimitProblem[] {
  return flatMap(WARNING_BANDS, ([watchId, limitId]) => {
    const main = limits[limitId];
    const watch = limits[watchId];
    const crossed = main.role === 'min' ? watch.value < main.value : watch.value > main.value;
    return crossed
      ? [{ id: watchId, code: 'watch-beyond-limit' as const, expected: `${main.value} ${main.unit}` }]
      : [];
  });
}
