import { flatMap } from '../flat-map';
import { chanceAbove, quadrature, mm, normalCdf, normalPdf, type Estimate } from '../quantity';

/** One of many alike: what it is expected to be, its own standard uncertainty, mm. */
export interface Alike {
  readonly value: number;
  readonly own: number;
}

/** Spreads that pieces made alike may have among themselves, mm, with their weights before anything is read (shop's figures). */
const SPREADS: readonly (readonly [number, number])[] = [
  [0.02, 1],
  [0.05, 1],
  [0.1, 1],
  [0.2, 1],
  [0.4, 0.5],
  [0.8, 0.25],
];

/** From so many on, pieces tell enough of one another that the scatter of the readings is seen for what it is. */
const ENOUGH = 4;

/**
 * What is believed of each of many pieces that were made alike (cutters of one side): each reading is drawn toward the mean of all by as much as the
 * readings scatter more than the pieces do (normal means with an unknown spread; Gelman et al., Bayesian Data Analysis, 5.4). The spread is averaged over.
 */
export function believedAlike(readings: readonly Alike[]): readonly Alike[] {
  if (readings.length < ENOUGH) return readings;
  const fits = SPREADS.map(([spread, prior]) => {
    const weights = readings.map(({ own }) => 1 / (own ** 2 + spread ** 2));
    const total = weights.reduce((sum, each) => sum + each, 0);
    const centre = readings.reduce((sum, { value }, i) => sum + weights[i]! * value, 0) / total;
    const fitness = readings.reduce(
      (sum, { value }, i) => sum + (Math.log(weights[i]!) - weights[i]! * (value - centre) ** 2) / 2,
      Math.log(prior) - Math.log(total) / 2,
    );
    return { spread, centre, total, fitness };
  });
  const best = Math.max(...fits.map(({ fitness }) => fitness));
  const shares = fits.map(({ fitness }) => Math.exp(fitness - best));
  const all = shares.reduce((sum, each) => sum + each, 0);
  return readings.map(({ value, own }) => {
    let mean = 0;
    let square = 0;
    fits.forEach(({ spread, centre, total }, i) => {
      const toward = own ** 2 / (own ** 2 + spread ** 2);
      const at = value + toward * (centre - value);
      const variance = toward * spread ** 2 + toward ** 2 / total;
      mean += (shares[i]! / all) * at;
      square += (shares[i]! / all) * (variance + at ** 2);
    });
    return { value: mean, own: Math.sqrt(Math.max(0, square - mean ** 2)) };
  });
}

/** Further above the shortest than so many standard uncertainties of both a piece is never the shortest. */
const NEVER_SHORTER = 7;

/** Pieces that may turn out to be the shortest of all. */
export function couldBeShortest(pieces: readonly Alike[]): readonly Alike[] {
  const reach = ({ value, own }: Alike, sign: 1 | -1) => value + sign * NEVER_SHORTER * own;
  const surely = Math.min(...pieces.map((piece) => reach(piece, 1)));
  return pieces.filter((piece) => reach(piece, -1) <= surely);
}

/** Nodes and weights of Gauss and Hermite for a standard normal, nine points (Abramowitz & Stegun, table 25.10). */
const HERMITE: readonly (readonly [number, number])[] = [
  [0, 0.7202352156060511],
  [0.7235510187528376, 0.4326515590025558],
  [1.4685532892166679, 0.08847452739437657],
  [2.266580584531843, 0.004943624275536947],
  [3.190993201781528, 0.00003960697726326438],
];
const NODES = flatMap(HERMITE, ([x, w]): (readonly [number, number])[] => {
  const scaled = w / Math.sqrt(Math.PI);
  const node = Math.SQRT2 * x;
  return x === 0
    ? [[0, scaled]]
    : [
        [node, scaled],
        [-node, scaled],
      ];
});

/** Chance that all of independent pieces are at or above a limit. */
const allAbove = (pieces: readonly Alike[], limit: number): number =>
  pieces.reduce((chance, { value, own }) => (chance === 0 ? 0 : chance * chanceAbove(value - limit, own)), 1);

/**
 * Probability that the shortest of many is at or above a limit, in closed form: the pieces are independent but for the error they have in common, which is
 * summed over by Gauss and Hermite.
 * @param common standard deviation of what all have in common (tool, witness mark), mm
 */
export function manyWithin(pieces: readonly Alike[], common: number, limit: number): number {
  const [only] = pieces;
  if (pieces.length === 1 && only) return chanceAbove(only.value - limit, quadrature(only.own, common));
  if (common === 0) return allAbove(pieces, limit);
  return NODES.reduce((sum, [node, weight]) => sum + weight * allAbove(pieces, limit - common * node), 0);
}

/** The mean of the larger of two normals and its mean square (Clark 1961), for the shortest of many two at a time. */
function lesserOfTwo(a: Alike, b: Alike): Alike {
  const spread = quadrature(a.own, b.own);
  if (spread === 0) return a.value <= b.value ? a : b;
  const alpha = (b.value - a.value) / spread;
  const first = normalCdf(alpha);
  const [second, bend] = [1 - first, normalPdf(alpha)];
  const mean = a.value * first + b.value * second - spread * bend;
  const square =
    (a.value ** 2 + a.own ** 2) * first + (b.value ** 2 + b.own ** 2) * second - (a.value + b.value) * spread * bend;
  return { value: mean, own: Math.sqrt(Math.max(0, square - mean ** 2)) };
}

/** Value and standard uncertainty of the shortest of many, by moments (C. E. Clark, The greatest of a finite set of random variables, 1961). */
export function shortestOf(pieces: readonly Alike[], common: number): Estimate | null {
  const [first, ...rest] = [...pieces].sort((a, b) => a.value - b.value);
  if (!first) return null;
  const least = rest.reduce(lesserOfTwo, first);
  return { value: mm(least.value), u: quadrature(least.own, common) };
}
