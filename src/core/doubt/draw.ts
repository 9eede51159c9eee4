import { flatMap } from '../flat-map';
import { believedPieces, leastValue, pick, type Latent } from '../belief';
import { ROUNDING } from '../judge';
import type { Compiled } from './compile';
import type { Stream } from './seeded';
import { DESERVED, type Deserved, type Shares } from './shares';

/** How everything may be, once: what tools showed, their own errors, which case is right, and how groups come out. */
export interface World {
  readonly toolError: Float64Array;
  readonly choice: Uint8Array;
  /** What the tool shows of each latent, without its own error taken off. */
  readonly shown: Float64Array;
  /** A number from 0 up to 1 for each group: it comes out badly from its chance on. */
  readonly group: Float64Array;
}

export const emptyWorld = ({ tools, choices, latents, groups }: Compiled): World => ({
  toolError: new Float64Array(tools.length),
  choice: new Uint8Array(choices.length),
  shown: new Float64Array(latents.length),
  group: new Float64Array(groups.length),
});

/**
 * Odd numbers that share no factor with the number of draws of a least: each least is gone through in an order of its
 * own.
 */
const STRIDES = [1, 3, 7, 11, 13, 17, 19, 23] as const;

/** Which of a least's own draws stands for it in a draw. */
export const drawOf = (latent: number, draw: number, draws: number): number =>
  (draw * STRIDES[latent % STRIDES.length]!) % draws;

function shownOf(
  latent: Latent,
  own: number,
  toolError: number,
  i: number,
  draw: number,
  { uniform, normal }: Stream,
): number {
  switch (latent.is) {
    case 'value': {
      const { value, between } = latent.estimate;
      return between ? between[0] + (between[1] - between[0]) * uniform() : value + own * normal();
    }
    case 'least': {
      const { draws } = latent.least;
      return draws[drawOf(i, draw, draws.length)]! + (own === 0 ? 0 : own * normal());
    }
    case 'shortest':
      return shortestShown(latent.kinds, toolError, { uniform, normal }) + (own === 0 ? 0 : own * normal());
  }
}

/**
 * The shortest of many pieces as its tool would show it: spread and mean of each kind drawn first, then the pieces
 * about it.
 */
function shortestShown(
  kinds: Extract<Latent, { is: 'shortest' }>['kinds'],
  toolError: number,
  { uniform, normal }: Stream,
): number {
  let shortest = Infinity;
  for (const { belief, pieces } of kinds) {
    const fit = pick(belief.fits, uniform());
    const about = fit.centre + fit.u * normal();
    for (const { reading, off, u, bias } of pieces) {
      const { value, own } = belief.readings[reading]!;
      const spread = uniform() < fit.oddness[reading]! ? fit.odd : fit.spread;
      const toward = own === 0 ? 0 : own ** 2 / (own ** 2 + spread ** 2);
      const drawn = value + toward * (about - value) + Math.hypot(Math.sqrt(toward) * spread, u) * normal();
      shortest = Math.min(shortest, drawn - off + (1 - bias) * toolError);
    }
  }
  return shortest;
}

/** Draws one world into a place that is used again for the next. */
export function drawWorld(compiled: Compiled, draw: number, stream: Stream, into: World): void {
  const { toolError, choices, latents, latentOwn, latentTool, groups } = compiled;
  for (let i = 0; i < toolError.length; i += 1) into.toolError[i] = toolError[i]! * stream.normal();
  for (let i = 0; i < choices.length; i += 1) {
    const { upTo } = choices[i]!;
    const at = stream.uniform();
    let which = 0;
    while (which < upTo.length - 1 && at >= upTo[which]!) which += 1;
    into.choice[i] = which;
  }
  for (let i = 0; i < latents.length; i += 1) {
    const tool = latentTool[i]!;
    const error = tool < 0 ? 0 : into.toolError[tool]!;
    into.shown[i] = shownOf(latents[i]!, latentOwn[i]!, error, i, draw, stream);
  }
  for (let i = 0; i < groups.length; i += 1) into.group[i] = stream.uniform();
}

/**
 * The world as it is most likely: every value as believed, every tool right, the heaviest case, everything as it more
 * likely comes out.
 */
export function likeliestWorld(compiled: Compiled): World {
  const world = emptyWorld(compiled);
  compiled.choices.forEach(({ upTo }, i) => {
    const weights = Array.from(upTo, (sum, k) => sum - (upTo[k - 1] ?? 0));
    world.choice[i] = weights.indexOf(Math.max(...weights));
  });
  compiled.latents.forEach((latent, i) => (world.shown[i] = middleOf(latent)));
  world.group.fill(1 / 2);
  return world;
}

function middleOf(latent: Latent): number {
  if (latent.is === 'value') return latent.estimate.value;
  if (latent.is === 'shortest')
    return Math.min(
      ...flatMap(latent.kinds, ({ belief, pieces }) => {
        const believed = believedPieces(belief);
        return pieces.map(({ reading, off }) => believed[reading]!.value - off);
      }),
    );
  return leastValue(latent.least).value;
}

/** How much a sum is within its limit in a world, on whichever way is right there; negative beyond it. */
function marginOf(compiled: Compiled, question: number, { shown, toolError, choice }: World): number {
  const { wayFrom, wayChoice, wayCase, wayLimit, termFrom, termLatent, termTimes, latentTool, latentToward, sense } =
    compiled;
  for (let way = wayFrom[question]!; way < wayFrom[question + 1]!; way += 1) {
    const which = wayChoice[way]!;
    if (which >= 0 && choice[which] !== wayCase[way]) continue;
    let sum = -wayLimit[way]!;
    for (let term = termFrom[way]!; term < termFrom[way + 1]!; term += 1) {
      const latent = termLatent[term]!;
      const tool = latentTool[latent]!;
      const truth = tool < 0 ? shown[latent]! : shown[latent]! - latentToward[latent]! * toolError[tool]!;
      sum += termTimes[term]! * truth;
    }
    return sense[question]! * sum;
  }
  return Infinity;
}

/** Whether a question comes out well in a world. */
export function comesOutWell(compiled: Compiled, question: number, world: World): boolean {
  if (compiled.sense[question] === 0) return world.group[compiled.group[question]!]! < compiled.well[question]!;
  return marginOf(compiled, question, world) >= -ROUNDING;
}

/** The verdict that each part deserves in a world, as its number among {@link DESERVED}. */
export function judgeWorld(compiled: Compiled, world: World, into: Uint8Array): void {
  const { part, rank } = compiled;
  into.fill(0);
  for (let i = 0; i < rank.length; i += 1)
    if (rank[i]! > into[part[i]!]! && !comesOutWell(compiled, i, world)) into[part[i]!] = rank[i]!;
}

/** Shares of verdicts from how often each was deserved. */
export function sharesFrom(deserved: Uint8Array): Shares {
  const counts = [0, 0, 0, 0];
  for (const each of deserved) counts[each]! += 1;
  return Object.fromEntries(DESERVED.map((name, i) => [name, counts[i]! / deserved.length])) as Record<
    Deserved,
    number
  >;
}
