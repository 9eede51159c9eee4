import type { Appraisal } from '../../../src/core/assess';
import type { Part } from '../../../src/core/reading';
import { leastOf, raised, worn } from './bars';
import { hand } from './hand';
import { judged, readEdge, soundBar } from './judged';
import type { Random } from './random';
import { Tally } from './tally';

const LIMITS = { depth: 6, cutter: 4, elongation: 3, wear: 0.5, touch: 0.05 } as const;

/** A part with known truth as it was judged. */
interface JudgedPart {
  readonly part: Part;
  readonly isGood: boolean;
  readonly appraisal: Appraisal;
}

/**
 * A bar as it wears, now and then with a step, read at five stations an edge; where it is dressed, the pass that also
 * touches the low rail counts.
 */
function anyBar(random: Random): JudgedPart {
  const dense = Array.from({ length: 141 }, (_, i) => 40 + i * 2.5);
  const made = [worn(random, { dips: 0.12, steps: 0.35 }), worn(random, { dips: 0.12, steps: 0.35 })] as const;
  const goal = LIMITS.depth + random.between(-0.6, 0.9);
  const by = goal - leastOf(made, dense);
  const { read } = hand('depth-rod', random);
  const edge = (which: 0 | 1) => readEdge(raised(made[which], by), 5, (truth) => read(truth));
  const appraisal = judged({ bar: soundBar({ A: edge(0), B: edge(1) }) });
  const isDressed = Object.values(appraisal.bar.edges).some(({ dressing }) => dressing?.advised);
  return { part: 'bar', isGood: goal - (isDressed ? LIMITS.touch : 0) >= LIMITS.depth, appraisal };
}

/** A chain: many cutters, one of them damaged, and its push and pull. */
function anyChain(random: Random): JudgedPart {
  const [caliper, tape] = [hand('caliper', random), hand('tape', random)];
  const lengths = Array.from({ length: 16 }, () => random.normal(0.08));
  const setBack = random.between(0.1, 0.6);
  const goal = LIMITS.cutter + random.between(-0.3, 0.6);
  const hurt = lengths.map((length, i) => (i === 2 ? length - setBack : length));
  const by = goal - Math.min(...hurt);
  const percent = random.between(1.5, 3.4);
  const closed = random.between(480, 520);
  const sides = lengths.map((length) => caliper.read(length + by));
  const appraisal = judged({
    chain: {
      checks: { crack: 'no' },
      cuttersLeft: sides.slice(0, 8),
      cuttersRight: sides.slice(8),
      damage: [{ side: 'left', cutter: 3, setBack: caliper.read(setBack) }],
      pushPull: { joints: 60, closed: tape.read(closed), pulled: tape.read(closed * (1 + percent / 100)) },
    },
  });
  return { part: 'chain', isGood: goal >= LIMITS.cutter && percent <= LIMITS.elongation, appraisal };
}

/** A drive sprocket by blade. */
function anySprocket(random: Random): JudgedPart {
  const truth = random.between(0.2, 0.8);
  const { read } = hand('feeler', random);
  return {
    part: 'driveSprocket',
    isGood: truth <= LIMITS.wear,
    appraisal: judged({ driveSprocket: { wear: read(truth) } }),
  };
}

/**
 * Parts of every kind with known truth, judged whole: their verdicts, and the chance that was stated of each being
 * finished.
 */
export function anyParts(random: Random, runs: number): Tally {
  const tally = new Tally();
  const kinds = [anyBar, anyChain, anySprocket];
  for (let run = 0; run < runs; run += 1) {
    const { part, isGood, appraisal } = kinds[run % kinds.length]!(random);
    tally.take(isGood, appraisal.verdicts[part].action, 1 - appraisal.doubts[part]!.shares.replace);
  }
  return tally;
}
