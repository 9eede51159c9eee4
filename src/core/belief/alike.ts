import { chanceAbove, normalPdf } from '../quantity';
import { STANDARD_NODES } from './hermite';

/** One of many pieces that were made alike, as it was read: its value, and what the reading has for itself beside its tool's error. */
export interface AlikeReading {
  readonly value: number;
  readonly own: number;
}

/** How pieces of a kind differ among themselves: spreads with their weights before anything is read, and now and then an odd one. */
export interface AlikeKind {
  readonly spreads: readonly (readonly [spread: number, weight: number])[];
  readonly odd: { readonly share: number; readonly spread: number };
}

/** What is believed of many pieces with one spread among them. */
interface WithSpread {
  readonly weight: number;
  /** Mean of what the tool shows of them, and how well it is known. */
  readonly centre: number;
  readonly u: number;
  readonly spread: number;
  readonly odd: number;
  /** For each piece, how likely it is an odd one. */
  readonly oddness: Float64Array;
}

/** What is believed of many pieces that were made alike, all of them together. */
export interface AlikeBelief {
  readonly readings: readonly AlikeReading[];
  readonly fits: readonly WithSpread[];
}

/** A spread lighter than this is dropped. */
const NEGLIGIBLE = 0.004;

const density = (off: number, variance: number): number => normalPdf(off / Math.sqrt(variance)) / Math.sqrt(variance);

/** Rounds by which odd pieces and the mean of the others are found together. */
const ROUNDS = 6;

function fitTo(readings: readonly AlikeReading[], spread: number, odd: AlikeKind['odd']) {
  const wide = Math.hypot(spread, odd.spread);
  const variances = readings.map(({ own }) => own ** 2 + spread ** 2);
  const wideVariances = readings.map(({ own }) => own ** 2 + wide ** 2);
  const oddness = new Float64Array(readings.length).fill(odd.share);
  const sorted = readings.map(({ value }) => value).sort((a, b) => a - b);
  let centre = sorted[Math.floor(sorted.length / 2)]!;
  let total = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    let sum = 0;
    total = 0;
    readings.forEach(({ value }, i) => {
      const usual = (1 - odd.share) * density(value - centre, variances[i]!);
      const strange = odd.share * density(value - centre, wideVariances[i]!);
      oddness[i] = strange / (usual + strange + Number.MIN_VALUE);
      const weight = (1 - oddness[i]!) / variances[i]! + oddness[i]! / wideVariances[i]!;
      sum += weight * value;
      total += weight;
    });
    centre = sum / total;
  }
  let log = -Math.log(total) / 2;
  readings.forEach(({ value }, i) => {
    const usual = (1 - odd.share) * density(value - centre, variances[i]!);
    log += Math.log(usual + odd.share * density(value - centre, wideVariances[i]!) + Number.MIN_VALUE);
  });
  return { log, centre, u: 1 / Math.sqrt(total), spread, odd: wide, oddness };
}

/**
 * What is believed of many pieces made alike: `piece ~ (1 − ω)·N(c, s²) + ω·N(c, s² + o²)`, the spread s averaged over by how well it explains the readings (normal means with an unknown spread;
 * Gelman et al., Bayesian Data Analysis, 5.4; the odd ones after Box & Tiao, A Bayesian approach to some outlier problems, 1968, from memory).
 * @param readings at least one
 */
export function alikeBelief(readings: readonly AlikeReading[], { spreads, odd }: AlikeKind): AlikeBelief {
  const fits = spreads.map(([spread, weight]) => ({ ...fitTo(readings, spread, odd), prior: Math.log(weight) }));
  const best = Math.max(...fits.map(({ log, prior }) => log + prior));
  const raw = fits.map(({ log, prior }) => Math.exp(log + prior - best));
  const all = raw.reduce((sum, each) => sum + each, 0);
  const kept = raw.map((each) => (each / all >= NEGLIGIBLE ? each : 0));
  const left = kept.reduce((sum, each) => sum + each, 0);
  return {
    readings,
    fits: fits
      .map(({ centre, u, spread, odd: wide, oddness }, i) => ({
        weight: kept[i]! / left,
        centre,
        u,
        spread,
        odd: wide,
        oddness,
      }))
      .filter(({ weight }) => weight > 0),
  };
}

/** A piece as it is with a spread and about a centre: a normal drawn toward the centre. */
function drawnToward({ value, own }: AlikeReading, centre: number, spread: number): { mean: number; u: number } {
  const toward = own === 0 ? 0 : own ** 2 / (own ** 2 + spread ** 2);
  return { mean: value + toward * (centre - value), u: Math.sqrt(toward) * spread };
}

/** Mean and standard uncertainty of each piece, beside its tool's error. */
export function believedPieces({ readings, fits }: AlikeBelief): readonly AlikeReading[] {
  return readings.map((reading, i) => {
    let [mean, square] = [0, 0];
    const take = (share: number, centre: number, u: number, spread: number): void => {
      const toward = reading.own === 0 ? 0 : reading.own ** 2 / (reading.own ** 2 + spread ** 2);
      const at = drawnToward(reading, centre, spread);
      mean += share * at.mean;
      square += share * (at.mean ** 2 + at.u ** 2 + (toward * u) ** 2);
    };
    for (const { weight, centre, u, spread, odd, oddness } of fits) {
      take(weight * (1 - oddness[i]!), centre, u, spread);
      take(weight * oddness[i]!, centre, u, odd);
    }
    return { value: mean, own: Math.sqrt(Math.max(0, square - mean ** 2)) };
  });
}

/** A piece that is asked about: which of the readings it is, what comes off it first, and how its tool's error is in it. */
export interface AskedPiece {
  readonly reading: number;
  readonly off: number;
  /** What is not known of that, standard uncertainty. */
  readonly u: number;
  /** How many times the tool's error is in what is shown of it: once in a reading, not at all where one tool read both it and what comes off. */
  readonly bias: number;
}

/** Many pieces with what is asked of each. */
export interface AskedAlike {
  readonly belief: AlikeBelief;
  readonly pieces: readonly AskedPiece[];
}

/** Chance that all pieces of a kind are at or above a level, each moved by its own share of an error. */
function allAbove({ belief: { readings, fits }, pieces }: AskedAlike, level: number, error: number): number {
  let whole = 0;
  for (const { weight, centre, u, spread, odd, oddness } of fits) {
    for (const [node, share] of u === 0 ? ONE_NODE : STANDARD_NODES) {
      const about = centre + u * node;
      let chance = weight * share;
      for (const { reading, off, u: own, bias } of pieces) {
        if (chance < NOTHING) break;
        const read = readings[reading]!;
        const margin = off + level + bias * error;
        const usual = drawnToward(read, about, spread);
        const strange = oddness[reading]!;
        let one = chanceAbove(usual.mean - margin, Math.hypot(usual.u, own));
        if (strange > NOTHING) {
          const at = drawnToward(read, about, odd);
          one += strange * (chanceAbove(at.mean - margin, Math.hypot(at.u, own)) - one);
        }
        chance *= one;
      }
      whole += chance;
    }
  }
  return whole;
}

const NOTHING = 1e-6;
const ONE_NODE = [[0, 1]] as const;

/** Evenly spaced nodes of a standard normal, for an error that is large beside what each piece has for itself: there a few nodes would make steps of a slope. */
const DENSE_NODES: readonly (readonly [node: number, weight: number])[] = Array.from({ length: 91 }, (_, i) => {
  const node = (i - 45) / 10;
  return [node, normalPdf(node) / 10] as const;
});

/** An error this many times larger than the doubt of a piece is large beside it. */
const LARGE = 2;

function nodesFor(error: number, kinds: readonly AskedAlike[]): typeof DENSE_NODES {
  const least = Math.min(
    ...kinds.flatMap(({ belief, pieces }) =>
      pieces.map(({ reading, u }) => Math.hypot(belief.readings[reading]!.own, u)),
    ),
  );
  return error > LARGE * least ? DENSE_NODES : STANDARD_NODES;
}

/**
 * Probability that all pieces of all kinds are at or above a limit: one question, however many were read. What they have in common is summed over by Gauss and Hermite.
 * @param tool standard deviation of the tool's own error, which is in every piece as often as it says
 * @param common standard deviation of what moves all pieces alike beside it: the doubt of the limit itself
 */
export function allAtLeast(kinds: readonly AskedAlike[], limit: number, tool: number, common: number): number {
  // Sums of shares come out a rounding beyond one.
  return Math.min(1, summed(kinds, limit, tool, common));
}

function summed(kinds: readonly AskedAlike[], limit: number, tool: number, common: number): number {
  const biases = new Set(kinds.flatMap(({ pieces }) => pieces.map(({ bias }) => bias)));
  const [only] = biases;
  const at = (level: number, error: number): number =>
    kinds.reduce((chance, kind) => (chance < NOTHING ? chance : chance * allAbove(kind, level, error)), 1);
  if (biases.size <= 1) {
    const together = Math.hypot(common, (only ?? 0) * tool);
    if (together === 0) return at(limit, 0);
    return nodesFor(together, kinds).reduce((sum, [node, share]) => sum + share * at(limit + together * node, 0), 0);
  }
  let sum = 0;
  for (const [node, share] of STANDARD_NODES)
    for (const [other, part] of common === 0 ? ONE_NODE : nodesFor(common, kinds))
      sum += share * part * at(limit + common * other, tool * node);
  return sum;
}

/** The same pieces, where a tool's error stands so many times on the other side as well. */
export const lessBias = (kinds: readonly AskedAlike[], times: number): readonly AskedAlike[] =>
  kinds.map(({ belief, pieces }) => ({
    belief,
    pieces: pieces.map((piece) => ({ ...piece, bias: piece.bias - times })),
  }));
