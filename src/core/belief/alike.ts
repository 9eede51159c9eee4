import { flatMap } from '../flat-map';
import { normalCdf, normalPdf } from '../quantity';
import { STANDARD_NODES } from './hermite';

/**
 * One of many pieces that were made alike, as it was read: its value, and what the reading has for itself beside its
 * tool's error.
 */
export interface AlikeReading {
  readonly value: number;
  readonly own: number;
}

/**
 * How pieces of a kind differ among themselves: spreads with their weights before anything is read, and now and then an
 * odd one.
 */
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
 * What is believed of many pieces made alike: `piece ~ (1 − ω)·N(c, s²) + ω·N(c, s² + o²)`, the spread s averaged over
 * by how well it explains the readings (normal means with an unknown spread;
 * Gelman et al., Bayesian Data Analysis, 5.4; the odd ones after Box & Tiao, A Bayesian approach to some outlier
 * problems, 1968, from memory).
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

/**
 * A piece that is asked about: which of the readings it is, what comes off it first, and how its tool's error is in it.
 */
export interface AskedPiece {
  readonly reading: number;
  readonly off: number;
  /** What is not known of that, standard uncertainty. */
  readonly u: number;
  /**
   * How many times the tool's error is in what is shown of it: once in a reading, not at all where one tool read both
   * it and what comes off.
   */
  readonly bias: number;
}

/** Many pieces with what is asked of each. */
export interface AskedAlike {
  readonly belief: AlikeBelief;
  readonly pieces: readonly AskedPiece[];
}

/**
 * Φ over its argument, looked up between points this near: many thousands are asked for at a keystroke, and to one in a
 * hundred thousand.
 */
const CDF_STEP = 0.005;
const CDF_REACH = 6;
const CDF = Float64Array.from({ length: (2 * CDF_REACH) / CDF_STEP + 2 }, (_, i) =>
  normalCdf(i * CDF_STEP - CDF_REACH),
);

/** The chance that a normal about a margin is at or above nothing, looked up. */
function above(margin: number, u: number): number {
  if (u === 0) return margin >= 0 ? 1 : 0;
  const at = (margin / u + CDF_REACH) / CDF_STEP;
  if (at <= 0) return 0;
  if (at >= CDF.length - 2) return 1;
  const below = Math.floor(at);
  return CDF[below]! + (at - below) * (CDF[below + 1]! - CDF[below]!);
}

const NOTHING = 1e-6;

/** How far a reading is drawn toward the mean of its kind: by as much as it scatters more than the pieces do. */
const towardOf = (own: number, spread: number): number => (own === 0 ? 0 : own ** 2 / (own ** 2 + spread ** 2));

/**
 * Chance that all pieces are at or above a level, with one spread among them, the mean of their kind moved by so much.
 */
function allAbove(
  { readings }: AlikeBelief,
  { centre, spread, odd, oddness }: WithSpread,
  pieces: readonly AskedPiece[],
  level: number,
  moved: number,
  error: number,
): number {
  let chance = 1;
  for (const { reading, off, u, bias } of pieces) {
    if (chance < NOTHING) return 0;
    const { value, own } = readings[reading]!;
    const margin = off + level + bias * error;
    const toward = towardOf(own, spread);
    let one = above(value + toward * (centre + moved - value) - margin, Math.hypot(Math.sqrt(toward) * spread, u));
    const strange = oddness[reading]!;
    if (strange > NOTHING) {
      const far = towardOf(own, odd);
      const at = value + far * (centre + moved - value) - margin;
      one += strange * (above(at, Math.hypot(Math.sqrt(far) * odd, u)) - one);
    }
    chance *= one;
  }
  return chance;
}

type Nodes = readonly (readonly [node: number, weight: number])[];
const ONE_NODE: Nodes = [[0, 1]];

/**
 * Evenly spaced nodes of a standard normal, for an error that is large beside what each piece has for itself: there a
 * few nodes would make steps of a slope.
 */
const DENSE_NODES: Nodes = Array.from({ length: 91 }, (_, i) => {
  const node = (i - 45) / 10;
  return [node, normalPdf(node) / 10] as const;
});

/** An error this many times larger than the doubt of a piece is large beside it. */
const LARGE = 2;

/** The least doubt that a piece has for itself. */
const leastOwn = (kinds: readonly AskedAlike[]): number =>
  Math.min(
    ...flatMap(kinds, ({ belief, pieces }) =>
      pieces.map(({ reading, u }) => Math.hypot(belief.readings[reading]!.own, u)),
    ),
  );

function nodesFor(error: number, own: number): Nodes {
  if (error === 0) return ONE_NODE;
  return error > LARGE * own ? DENSE_NODES : STANDARD_NODES;
}

/**
 * One kind whose pieces all have the tool's error alike: it, the doubt of the mean and what is common move all of them
 * together, and are one normal.
 */
function ofOneKind({ belief, pieces }: AskedAlike, limit: number, together: number): number {
  const { own } = belief.readings[pieces[0]!.reading]!;
  return belief.fits.reduce((sum, fit) => {
    const toward = towardOf(own, fit.spread);
    const spread = Math.hypot(together, toward * fit.u);
    const nodes = nodesFor(spread, leastOwn([{ belief, pieces }]));
    const chance = nodes.reduce(
      (all, [node, share]) => all + share * allAbove(belief, fit, pieces, limit + spread * node, 0, 0),
      0,
    );
    return sum + fit.weight * chance;
  }, 0);
}

/** Chance that all pieces of a kind are at or above a level, over its spreads and the doubt of its mean. */
const ofKind = ({ belief, pieces }: AskedAlike, level: number, error: number): number =>
  belief.fits.reduce((sum, fit) => {
    const nodes = fit.spread > WIDE ? ONE_NODE : FEW_NODES;
    const chance = nodes.reduce(
      (all, [node, share]) => all + share * allAbove(belief, fit, pieces, level, fit.u * node, error),
      0,
    );
    return sum + fit.weight * chance;
  }, 0);

/** Pieces that differ by more than this tell nothing of one another, mm. */
const WIDE = 100;

/** Nodes and weights of Gauss and Hermite for a standard normal, five points (Abramowitz & Stegun, table 25.10). */
const FEW_NODES: Nodes = [
  [0, 8 / 15],
  [1.35562618, 0.222075922],
  [-1.35562618, 0.222075922],
  [2.8569700139, 0.0112574113],
  [-2.8569700139, 0.0112574113],
];

/**
 * Probability that all pieces of all kinds are at or above a limit: one question, however many were read. What they
 * have in common is summed over by Gauss and Hermite.
 * @param tool standard deviation of the tool's own error, which is in every piece as often as it says
 * @param common standard deviation of what moves all pieces alike beside it: the doubt of the limit itself
 */
export function allAtLeast(kinds: readonly AskedAlike[], limit: number, tool: number, common: number): number {
  const asked = kinds.filter(({ pieces }) => pieces.length > 0);
  // Sums of shares come out a rounding beyond one.
  return asked.length === 0 ? 1 : Math.min(1, summed(asked, limit, tool, common));
}

function summed(kinds: readonly AskedAlike[], limit: number, tool: number, common: number): number {
  const biases = new Set(flatMap(kinds, ({ pieces }) => pieces.map(({ bias }) => bias)));
  const [bias] = biases;
  const isAlike = biases.size === 1;
  const [only] = kinds;
  const together = Math.hypot(common, isAlike ? bias! * tool : 0);
  if (isAlike && kinds.length === 1) return ofOneKind(only!, limit, together);
  const at = (level: number, error: number): number =>
    kinds.reduce((chance, kind) => (chance < NOTHING ? chance : chance * ofKind(kind, level, error)), 1);
  const own = leastOwn(kinds);
  if (isAlike)
    return nodesFor(together, own).reduce((sum, [node, share]) => sum + share * at(limit + together * node, 0), 0);
  let sum = 0;
  for (const [node, share] of nodesFor(tool, own))
    for (const [other, part] of nodesFor(common, own)) sum += share * part * at(limit + common * other, tool * node);
  return sum;
}

/** Chance that one piece by itself is at or above a limit, in closed form. */
export function oneAtLeast({ readings, fits }: AlikeBelief, reading: number, limit: number, common: number): number {
  const { value, own } = readings[reading]!;
  return fits.reduce((sum, { weight, centre, u, spread, odd, oddness }) => {
    const of = (among: number): number => {
      const toward = towardOf(own, among);
      const doubt = Math.hypot(Math.sqrt(toward) * among, toward * u, common);
      return above(value + toward * (centre - value) - limit, doubt);
    };
    const strange = oddness[reading]!;
    return sum + weight * ((1 - strange) * of(spread) + strange * of(odd));
  }, 0);
}

/** The same pieces, where a tool's error stands so many times on the other side as well. */
export const lessBias = (kinds: readonly AskedAlike[], times: number): readonly AskedAlike[] =>
  kinds.map(({ belief, pieces }) => ({
    belief,
    pieces: pieces.map((piece) => ({ ...piece, bias: piece.bias - times })),
  }));
