import {
  correctionWithin,
  elongation,
  elongationBounds,
  filingsLeft,
  imbalance,
  lengthAfterCorrection,
  type Correction,
  type Damage,
  type Elongation,
} from '.';
import type { Limit, Limits } from '../limits';
import { countedTwice, sequenceAgrees, type Identity } from '../identify';
import {
  countOf,
  percent,
  boundsOf,
  boundsWithin,
  estimate,
  mm,
  type Bounds,
  type Estimate,
  type LengthReading,
} from '../quantity';
import { usualToolAt, type BenchSheet, type ChainSheet, type Operation } from '../sheet';
import { judgedCheck, missingCheck, repeatOf, seenChecks, workCheck, type Check } from '../judge';

/** Everything computed about the chain. */
export interface ChainAssessment {
  readonly elongation: Elongation | null;
  readonly correction: Correction | null;
  readonly filingsLeft: number | null;
  readonly sequenceAgrees: boolean | null;
  readonly checks: readonly Check[];
}

/** Burred tangs up to this many are filed; more condemn the chain and ask for a look at the groove (common practice, no source). */
export const FEW_BURRED_TANGS = 4;

const part = 'chain' as const;

/** Work that a failing check calls for. */
const calls = (operation: Operation) => ({ operation, from: 'fail' }) as const;

const estimates = (readings: readonly LengthReading[] | undefined): readonly Estimate[] =>
  (readings ?? []).flatMap((reading) => estimate(reading) ?? []);

const boundsOfAll = (readings: readonly LengthReading[] | undefined): readonly Bounds[] =>
  (readings ?? []).map(boundsOf);

function damageOf(chain: ChainSheet): readonly Damage[] {
  return (chain.damage ?? []).map(({ side, cutter, setBack }) => ({ side, cutter, setBack: boundsOf(setBack) }));
}

function elongationOf(chain: ChainSheet): Elongation | null {
  if (!chain.pushPull) return null;
  const [closed, pulled] = [estimate(chain.pushPull.closed), estimate(chain.pushPull.pulled)];
  return closed && pulled ? elongation(closed, pulled, chain.pushPull.joints) : null;
}

/** A limit with its own doubt. */
interface CutterLimit {
  readonly limit: Limit<'mm'>;
  readonly at: Estimate;
}

/** The witness mark on the chain is the maker's limit and wins over the table; it was measured, and is as doubtful as that. Known by one mark, its stricter side counts. */
function cutterLimit(chain: ChainSheet, limits: Limits): CutterLimit {
  const table = limits['chain.cutter'];
  if (!chain.witnessLimit) return { limit: table, at: { value: mm(table.value), u: 0 } };
  const { lo, hi } = boundsOf(chain.witnessLimit);
  const mark = (hi ?? lo)!;
  return {
    limit: { ...table, value: mark.value, provenance: 'published', source: 'witness mark on the cutter' },
    at: mark,
  };
}

/** All cutters against their limit, one question. */
function cutterCheck(chain: ChainSheet, correction: Correction | null, { limit, at }: CutterLimit): Check {
  const id = 'chain.cutter' as const;
  if (!correction)
    return missingCheck({ id, part }, limit.provenance, {
      code: 'needs',
      readings: ['chain.cuttersLeft', 'chain.cuttersRight'],
    });
  const { side, length, bound, notPlaced } = correction;
  const field = side === 'left' ? 'cuttersLeft' : 'cuttersRight';
  const read = chain[field]?.[0] ?? chain.cuttersLeft?.[0] ?? chain.cuttersRight?.[0];
  const head = {
    id,
    part,
    repeat: repeatOf(
      chain[field]?.length ? `chain.${field}` : 'chain.cuttersLeft',
      read,
      usualToolAt(`chain.${field}.0`),
    ),
    note: notPlaced ? ({ code: 'damage-not-placed', side: notPlaced } as const) : null,
  };
  return judgedCheck(head, { value: length, within: correctionWithin(correction, at), bound }, limit, null);
}

/** Wear in the rivets against its limit. Closed longer than pulled is a mistake in one of them, and no wear. */
function elongationCheck(chain: ChainSheet, stretch: Elongation | null, limits: Limits): Check {
  const id = 'chain.elongation' as const;
  const [limit, watch] = [limits['chain.elongation'], limits['chain.elongation.watch']];
  if (!chain.pushPull)
    return missingCheck({ id, part }, limit.provenance, { code: 'needs', readings: ['chain.pushPull'] });
  const { closed, pulled } = chain.pushPull;
  const bounds = elongationBounds(boundsOf(closed), boundsOf(pulled));
  const shown = stretch ? { value: percent(stretch.percent), u: stretch.u } : (bounds.lo ?? bounds.hi);
  const once = repeatOf('chain.pushPull', pulled, usualToolAt('chain.pushPull.pulled'));
  const length = (boundsOf(closed).hi ?? boundsOf(closed).lo)!.value;
  const repeat = once && { ...once, u: (100 * Math.SQRT2 * once.u) / length };
  if (stretch?.contradicts || !shown)
    return {
      ...missingCheck(
        { id, part, repeat },
        limit.provenance,
        stretch ? { code: 'closed-longer' } : { code: 'needs', readings: ['chain.pushPull'] },
      ),
      value: shown?.value ?? 0,
      unit: '%',
    };
  const bound = bounds.lo && bounds.hi ? null : bounds.lo ? 'at-least' : 'at-most';
  const within = boundsWithin(bounds, limit.value, 'max');
  return judgedCheck({ id, part, repeat }, { value: shown, within, bound }, limit, watch);
}

/** Computes everything about a chain and makes all its checks. */
export function assessChain(sheet: BenchSheet, identity: Identity, limits: Limits): ChainAssessment {
  const chain = sheet.chain ?? {};
  const stretch = elongationOf(chain);
  const correction = lengthAfterCorrection(
    { left: boundsOfAll(chain.cuttersLeft), right: boundsOfAll(chain.cuttersRight) },
    damageOf(chain),
  );
  const limit = cutterLimit(chain, limits);
  const uneven = imbalance({ left: estimates(chain.cuttersLeft), right: estimates(chain.cuttersRight) });
  const observed = chain.checks ?? {};
  const checks: Check[] = [
    ...seenChecks(part, 'chain.checks', observed),
    cutterCheck(chain, correction, limit),
    elongationCheck(chain, stretch, limits),
  ];
  if (uneven)
    checks.push(
      workCheck(
        { id: 'chain.uneven', part, work: calls('even-cutters') },
        { ...uneven, value: mm(Math.abs(uneven.value)) },
        limits['chain.uneven'],
      ),
    );
  if (observed.burredTangs !== undefined) checks.push(tangsCheck(observed.burredTangs));
  if (observed.tightJoints !== undefined) {
    checks.push(
      workCheck({ id: 'chain.tight-joints', part, work: calls('free-tight-joints') }, counted(observed.tightJoints), {
        value: 0,
        unit: 'count',
        role: 'max',
        provenance: 'practice',
      }),
    );
  }
  return {
    elongation: stretch?.contradicts ? null : stretch,
    correction,
    filingsLeft: correction
      ? filingsLeft(correction.length.value, limit.limit.value, limits['chain.filing-loss'].value)
      : null,
    sequenceAgrees: sequenceAgrees(
      countedTwice(chain.driveLinks) ?? identity.chain.driveLinks.value,
      chain.cutters,
      chain.sequence,
    ),
    checks,
  };
}

/** A count as it was counted: nobody miscounts a few by much. */
const counted = (value: number): Estimate<'count'> => ({ value: countOf(value), u: 0 });

function tangsCheck(burred: number): Check {
  const many = burred > FEW_BURRED_TANGS;
  const limit: Limit<'count'> = {
    value: many ? FEW_BURRED_TANGS : 0,
    unit: 'count',
    role: 'max',
    provenance: 'practice',
  };
  return workCheck({ id: 'chain.tangs', part, condemns: many, work: calls('file-tangs') }, counted(burred), limit);
}
