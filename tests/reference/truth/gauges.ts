import type { Appraisal } from '../../../src/core/assess';
import { chanceOfGrade } from '../../../src/core/belief';
import { EYE } from '../../../src/core/sprocket/checks';
import type { WrittenBenchSheet } from '../../../src/core/sheet';
import { hand, type Written } from './hand';
import { judged } from './judged';
import type { Random } from './random';

type Chain = NonNullable<WrittenBenchSheet['chain']>;

/** Setting of .325 and what the shop lets pass, mm. */
const [SETTING, OFF] = [0.65, 0.1];

/** Heights of thirty gauges: level as filed, now and then an odd one, sometimes all too high or too low. */
function heights({ between, normal, chance }: Random): readonly number[] {
  const centre = SETTING + (chance(0.3) ? between(-0.25, 0.25) : between(-0.03, 0.03));
  const spread = chance(0.5) ? 0.01 : 0.03;
  return Array.from({ length: 30 }, () => centre + normal(spread) + (chance(0.01) ? normal(0.15) : 0));
}

/** What became of many chains whose gauges were measured. */
export interface Gauges {
  /**
   * Of chains with no gauge too high, the share that is to be lowered; of those with one by more than a hair, the share
   * that is not.
   */
  readonly loweredForNothing: number;
  readonly missed: number;
  /** Of all chains, the share of which it is said with 0.95 and more that none is too low though one is. */
  readonly tooSure: number;
  readonly repeats: number;
}

const ROUNDS = 3;
/** A gauge that is over its limit by less than a blade tells, mm, is nobody's miss. */
const A_HAIR = 0.02;

/** Chains of thirty gauges each, read once by blade and then where it is asked for. */
export function gaugedChains(random: Random, runs: number): Gauges {
  let [level, high, lowered, missed, tooSure, repeats] = [0, 0, 0, 0, 0, 0];
  for (let run = 0; run < runs; run += 1) {
    const truth = heights(random);
    const { read } = hand('feeler', random);
    const reads: Written[] = truth.map((height) => read(height));
    const judge = (): Appraisal => {
      const chain: Chain = {
        stamp: '.325 .050',
        checks: { crack: 'no' },
        cuttersLeft: ['8 mm'],
        cuttersRight: ['8 mm'],
        depthGaugesLeft: reads.slice(0, 15),
        depthGaugesRight: reads.slice(15),
      };
      return judged({ chain });
    };
    let appraisal = judge();
    for (let round = 0; round < ROUNDS && appraisal.chain.gaugesToRepeat.length > 0; round += 1) {
      for (const { side, cutter } of appraisal.chain.gaugesToRepeat) {
        const i = (side === 'left' ? 0 : 15) + cutter - 1;
        const again = read(truth[i]!, 3) as { readonly repeats: readonly string[]; readonly instrument: 'feeler' };
        const before = reads[i] as typeof again;
        reads[i] = { instrument: 'feeler', repeats: [...before.repeats, ...again.repeats] };
        repeats += 1;
      }
      appraisal = judge();
    }
    const isHigh = truth.some((height) => height < SETTING - OFF);
    const isPlain = truth.some((height) => height < SETTING - OFF - A_HAIR);
    const isLow = truth.some((height) => height > SETTING + OFF);
    const isLowered = appraisal.verdicts.chain.operations.includes('lower-gauges');
    if (isPlain) high += 1;
    if (!isHigh) level += 1;
    if (!isHigh && isLowered) lowered += 1;
    if (isPlain && !isLowered) missed += 1;
    if (isLow && appraisal.chain.gauges!.noneLow.least > 0.95) tooSure += 1;
  }
  return {
    loweredForNothing: lowered / level,
    missed: missed / high,
    tooSure: tooSure / runs,
    repeats: repeats / runs,
  };
}

/**
 * Drive sprockets that are looked at by eye, measured, or both: the share of all that is condemned though sound, and
 * kept though finished.
 */
export function seenSprockets(
  random: Random,
  runs: number,
): { readonly falselyCondemned: number; readonly falselyKept: number } {
  let [condemned, kept] = [0, 0];
  for (let run = 0; run < runs; run += 1) {
    const truth = random.between(0, 0.9);
    const { read } = hand('feeler', random);
    const at = random.between(0, 1);
    let sum = 0;
    const grade = EYE.words.find((word) => (sum += chanceOfGrade(EYE, word, truth)) > at) ?? 'deep';
    const how = run % 3;
    const { action } = judged({
      driveSprocket: { ...(how === 1 ? {} : { grade }), ...(how === 0 ? {} : { wear: read(truth) }) },
    }).verdicts.driveSprocket;
    if (action === 'replace' && truth <= 0.5) condemned += 1;
    if (action === 'keep' && truth > 0.5) kept += 1;
  }
  return { falselyCondemned: condemned / runs, falselyKept: kept / runs };
}
