import { towards } from '../belief';
import { sharedUncertainty, type InstrumentId } from '../quantity';
import type { Askable } from '../sheet';
import type { Compiled } from './compile';
import { comesOutWell, type World } from './draw';
import type { Stream } from './seeded';

/** A reading that could be made, as it would come out in a world. */
export interface Candidate {
  readonly measure: Askable;
  /** The tool it would be made with; null where it is looked at. */
  readonly tool: InstrumentId | null;
  /** Where along an edge, mm, for a place where no station is yet. */
  readonly at: number | null;
  /** What would be read, draw by draw. */
  readonly read: (world: World, draw: number, stream: Stream) => number;
  /** What is so in truth. */
  readonly truth: (world: World, draw: number) => number;
}

type Reader = Pick<Candidate, 'read' | 'truth'>;

/** How often somebody who looks sees what is there (shop's figure). */
const LOOK_IS_RIGHT = 0.9;

/** A value as tools have shown it: which tool's own error is in it, and which way. */
export interface Shown {
  /** Number of the tool; −1 for none. */
  readonly used: number;
  readonly toward: number;
  readonly shown: (world: World, draw: number) => number;
}

export const shownLatent = ({ latents, latentTool }: Compiled, latent: number): Shown => ({
  used: latentTool[latent]!,
  toward: towards(latents[latent]!),
  shown: ({ shown }) => shown[latent]!,
});

/**
 * What another reading with a tool would show: the first tool's own error stays out, the new one's comes in; with one
 * and the same it is in both.
 */
export function readAgain(
  { tools }: Compiled,
  { used, toward, shown }: Shown,
  tool: InstrumentId,
  own: number,
): Reader {
  const errorOf = ({ toolError }: World): number => (used < 0 ? 0 : toward * toolError[used]!);
  const truth: Reader['truth'] = (world, draw) => shown(world, draw) - errorOf(world);
  if (used < 0 || tools[used] === tool)
    return { truth, read: (world, draw, { normal }) => shown(world, draw) + own * normal() };
  const known = tools.indexOf(tool);
  const shared = sharedUncertainty(tool);
  return {
    truth,
    read: (world, draw, { normal }) => {
      const error = known < 0 ? shared * normal() : world.toolError[known]!;
      return truth(world, draw) + toward * error + own * normal();
    },
  };
}

/** What a look would find of a question that comes out one way or the other. */
export function lookedAt(compiled: Compiled, question: number): Reader {
  const truth: Reader['truth'] = (world) => Number(comesOutWell(compiled, question, world));
  return {
    truth,
    read: (world, draw, { uniform }) => (uniform() < LOOK_IS_RIGHT ? truth(world, draw) : 1 - truth(world, draw)),
  };
}

/** Which case is right: what settles it shows it. */
export function settled(choice: number): Reader {
  const truth: Reader['truth'] = ({ choice: drawn }) => drawn[choice]!;
  return { truth, read: truth };
}

/** Bins that what is read falls into, by how often it does. */
const BINS = 40;
/** A reading of a word or a case has no more outcomes than this. */
const FEW = 8;

/** The bin of each reading: of few outcomes each has its own, of many each bin holds as many. */
function binned(read: Float64Array): { readonly bin: Uint16Array; readonly bins: number } {
  const sorted = Float64Array.from(read).sort();
  const outcomes: number[] = [];
  for (const each of sorted) if (each !== outcomes.at(-1) && outcomes.push(each) > FEW) break;
  const edges =
    outcomes.length <= FEW
      ? outcomes.slice(1)
      : Array.from({ length: BINS - 1 }, (_, k) => sorted[Math.floor(((k + 1) * sorted.length) / BINS)]!);
  const bin = new Uint16Array(read.length);
  for (let i = 0; i < read.length; i += 1) {
    let lo = 0;
    let hi = edges.length;
    while (lo < hi) {
      const middle = (lo + hi) >> 1;
      if (read[i]! >= edges[middle]!) lo = middle + 1;
      else hi = middle;
    }
    bin[i] = lo;
  }
  return { bin, bins: edges.length + 1 };
}

/** Verdicts that a part may deserve. */
const VERDICTS = 4;

const bestOf = (counts: Float64Array, from: number): number => {
  let best = 0;
  for (let k = 1; k < VERDICTS; k += 1) if (counts[from + k]! > counts[from + best]!) best = k;
  return best;
};

/**
 * By how much a reading lowers the chance of a wrong verdict, on average over what it may show: in each bin of readings
 * the verdict is chosen that half of its draws deserve most often, and the other half tells how often that is right
 * (expected value of sample information, two-fold, so that chance agreement does not count as knowledge).
 * @param read what would be read, draw by draw
 * @param deserved the verdict deserved in each draw
 * @returns at least 0
 * @see H. Raiffa and R. Schlaifer, Applied Statistical Decision Theory (1961), from memory
 */
export function dropOf(read: Float64Array, deserved: Uint8Array): number {
  const draws = read.length;
  const { bin, bins } = binned(read);
  const halves = [new Float64Array(VERDICTS * bins), new Float64Array(VERDICTS * bins)] as const;
  const whole = new Float64Array(VERDICTS);
  for (let i = 0; i < draws; i += 1) {
    const half = halves[(i & 1) as 0 | 1];
    const at = VERDICTS * bin[i]! + deserved[i]!;
    half[at] = half[at]! + 1;
    whole[deserved[i]!] = whole[deserved[i]!]! + 1;
  }
  let right = 0;
  for (let b = 0; b < bins; b += 1) {
    const from = VERDICTS * b;
    right += halves[1][from + bestOf(halves[0], from)]! + halves[0][from + bestOf(halves[1], from)]!;
  }
  return Math.max(0, (right - whole[bestOf(whole, 0)]!) / draws);
}
