import { quadrature, mm, normalCdf, normalPdf, type Estimate } from '../quantity';

/** One of many alike: what it is expected to be, its own standard uncertainty, mm. */
export interface Alike {
  readonly value: number;
  readonly own: number;
}

/** Further above the shortest than so many standard uncertainties of both a piece is never the shortest. */
const NEVER_SHORTER = 7;

/** Pieces that may turn out to be the shortest of all. */
export function couldBeShortest<P extends Alike>(pieces: readonly P[]): readonly P[] {
  const reach = ({ value, own }: Alike, sign: 1 | -1) => value + sign * NEVER_SHORTER * own;
  const surely = Math.min(...pieces.map((piece) => reach(piece, 1)));
  return pieces.filter((piece) => reach(piece, -1) <= surely);
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

/**
 * Value and standard uncertainty of the shortest of many, by moments (C. E. Clark, The greatest of a finite set of
 * random variables, 1961).
 */
export function shortestOf(pieces: readonly Alike[], common: number): Estimate | null {
  const [first, ...rest] = [...pieces].sort((a, b) => a.value - b.value);
  if (!first) return null;
  const least = rest.reduce(lesserOfTwo, first);
  return { value: mm(least.value), u: quadrature(least.own, common) };
}
