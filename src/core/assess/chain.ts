import {
  elongation,
  filingsLeft,
  imbalance,
  lengthAfterCorrection,
  type Correction,
  type Damage,
  type Elongation,
} from '../chain';
import type { Limit, Limits } from '../families';
import { sequenceAgrees, type Identity } from '../identify';
import { estimate, mm, type Estimate, type LengthReading } from '../quantity';
import type { BenchSheet, ChainSheet } from '../sheet';
import { measuredCheck, missingCheck, observedCheck, workCheck, type Check } from './check';

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

const estimates = (readings: readonly LengthReading[] | undefined): readonly Estimate[] =>
  (readings ?? []).flatMap((reading) => estimate(reading) ?? []);

function damageOf(chain: ChainSheet): readonly Damage[] {
  return (chain.damage ?? []).flatMap(({ side, cutter, setBack }) => {
    const value = estimate(setBack);
    return value ? [{ side, cutter, setBack: value }] : [];
  });
}

function elongationOf(chain: ChainSheet): Elongation | null {
  if (!chain.pushPull) return null;
  const [closed, pulled] = [estimate(chain.pushPull.closed), estimate(chain.pushPull.pulled)];
  return closed && pulled ? elongation(closed, pulled, chain.pushPull.joints) : null;
}

/** The witness mark on the chain is the maker's limit and wins over the table. */
function cutterLimit(chain: ChainSheet, limits: Limits): Limit {
  const mark = chain.witnessLimit ? estimate(chain.witnessLimit) : null;
  return mark
    ? { ...limits['chain.cutter'], value: mark.value, provenance: 'published', source: 'witness mark on the cutter' }
    : limits['chain.cutter'];
}

/** Computes everything about a chain and makes all its checks. */
export function assessChain(sheet: BenchSheet, identity: Identity, limits: Limits): ChainAssessment {
  const chain = sheet.chain ?? {};
  const cutters = { left: estimates(chain.cuttersLeft), right: estimates(chain.cuttersRight) };
  const stretch = elongationOf(chain);
  const correction = lengthAfterCorrection(cutters, damageOf(chain));
  const limit = cutterLimit(chain, limits);
  const uneven = imbalance(cutters);
  const observed = chain.checks ?? {};
  const count = (value: number): Estimate => ({ value: mm(value), u: 0 });
  const checks: Check[] = [
    ...(observed.resin
      ? [observedCheck({ id: 'chain.resin', part }, observed.resin, { none: 'ok', soft: 'ok', baked: 'watch' })]
      : []),
    observedCheck({ id: 'chain.crack', part, condemns: true }, observed.crack, {
      no: 'ok',
      yes: 'fail',
      unsure: 'undecided',
    }),
    correction
      ? measuredCheck({ id: 'chain.cutter', part }, correction.length, 'mm', limit, null)
      : missingCheck({ id: 'chain.cutter', part }, limit.provenance, {
          code: 'needs',
          readings: ['chain.cuttersLeft', 'chain.cuttersRight'],
        }),
    stretch
      ? measuredCheck(
          { id: 'chain.elongation', part },
          { value: mm(stretch.percent), u: stretch.u },
          '%',
          limits['chain.elongation'],
          limits['chain.elongation.watch'],
        )
      : missingCheck({ id: 'chain.elongation', part }, limits['chain.elongation'].provenance, {
          code: 'needs',
          readings: ['chain.pushPull'],
        }),
  ];
  if (uneven)
    checks.push(
      workCheck(
        { id: 'chain.uneven', part },
        { ...uneven, value: mm(Math.abs(uneven.value)) },
        'mm',
        limits['chain.uneven'],
      ),
    );
  if (observed.strapBurrs)
    checks.push(
      observedCheck({ id: 'chain.straps', part }, observed.strapBurrs, { none: 'ok', light: 'watch', heavy: 'fail' }),
    );
  if (observed.burredTangs !== undefined) checks.push(tangsCheck(observed.burredTangs, count));
  if (observed.tightJoints !== undefined) {
    checks.push(
      workCheck({ id: 'chain.tight-joints', part }, count(observed.tightJoints), 'count', {
        value: 0,
        unit: 'count',
        role: 'max',
        provenance: 'practice',
      }),
    );
  }
  return {
    elongation: stretch,
    correction,
    filingsLeft: correction
      ? filingsLeft(correction.length.value, limit.value, limits['chain.filing-loss'].value)
      : null,
    sequenceAgrees: sequenceAgrees(identity.chain.driveLinks.value, chain.cutters, chain.sequence),
    checks,
  };
}

function tangsCheck(burred: number, count: (value: number) => Estimate): Check {
  const many = burred > FEW_BURRED_TANGS;
  const limit: Limit = { value: many ? FEW_BURRED_TANGS : 0, unit: 'count', role: 'max', provenance: 'practice' };
  return { ...workCheck({ id: 'chain.tangs', part }, count(burred), 'count', limit), condemns: many };
}
