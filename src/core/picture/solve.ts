/**
 * Inverse of a symmetric positive matrix by Gauss and Jordan, after scaling its diagonal to one: unknowns of a camera
 * differ by many powers of ten (Golub & Van Loan, Matrix Computations, 3.5.2).
 * @param a rows one after the other; left as it is
 * @returns null where it has none
 */
export function inverse(a: Float64Array, size: number): Float64Array | null {
  const scale = Float64Array.from(
    { length: size },
    (_, i) => 1 / Math.sqrt(Math.max(a[i * size + i]!, Number.MIN_VALUE)),
  );
  const left = Float64Array.from(a, (each, i) => each * scale[Math.floor(i / size)]! * scale[i % size]!);
  const right = new Float64Array(size * size);
  for (let i = 0; i < size; i += 1) right[i * size + i] = 1;
  for (let column = 0; column < size; column += 1) {
    const pivot = left[column * size + column]!;
    if (!(Math.abs(pivot) > 1e-14)) return null;
    for (let k = 0; k < size; k += 1) {
      left[column * size + k]! /= pivot;
      right[column * size + k]! /= pivot;
    }
    for (let row = 0; row < size; row += 1) {
      const by = left[row * size + column]!;
      if (row === column || by === 0) continue;
      for (let k = 0; k < size; k += 1) {
        left[row * size + k]! -= by * left[column * size + k]!;
        right[row * size + k]! -= by * right[column * size + k]!;
      }
    }
  }
  return right.map((each, i) => each * scale[Math.floor(i / size)]! * scale[i % size]!);
}

/** A matrix times a column. */
export function times(a: Float64Array, column: Float64Array): Float64Array {
  const size = column.length;
  const out = new Float64Array(a.length / size);
  for (let i = 0; i < out.length; i += 1) for (let k = 0; k < size; k += 1) out[i]! += a[i * size + k]! * column[k]!;
  return out;
}

/** What a residual function and its prior leave of some unknowns. */
export interface Solved {
  readonly unknowns: Float64Array;
  /** Inverse of the normal matrix: their covariance, where residuals are in units of their doubt. */
  readonly covariance: Float64Array;
  /** Sum of the squares of the residuals. */
  readonly squares: number;
}

const STEP = 1e-6;
const MOST_ROUNDS = 60;
const ENOUGH = 1e-10;

const sumOfSquares = (of: Float64Array): number => of.reduce((sum, each) => sum + each * each, 0);

/** Rows: how each residual moves with each unknown, by differences to both sides. */
function jacobian(residuals: (unknowns: Float64Array) => Float64Array, at: Float64Array): Float64Array[] {
  return Array.from(at, (value, i) => {
    const step = STEP * Math.max(1, Math.abs(value));
    const [lower, upper] = [Float64Array.from(at), Float64Array.from(at)];
    lower[i] = value - step;
    upper[i] = value + step;
    const [below, above] = [residuals(lower), residuals(upper)];
    return above.map((each, k) => (each - below[k]!) / (2 * step));
  });
}

/**
 * Least squares of residuals that are not linear in their unknowns, by Levenberg and Marquardt (Nocedal & Wright,
 * Numerical Optimization, 10.3). Priors are residuals among the others.
 * @returns null where they leave an unknown open
 */
export function leastSquares(residuals: (unknowns: Float64Array) => Float64Array, begin: Float64Array): Solved | null {
  const size = begin.length;
  let at = Float64Array.from(begin);
  let now = residuals(at);
  let squares = sumOfSquares(now);
  let damping = 1e-3;
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const columns = jacobian(residuals, at);
    const normal = normalOf(columns);
    const slope = Float64Array.from(columns, (column) => -column.reduce((sum, each, k) => sum + each * now[k]!, 0));
    const damped = normal.map((each, i) => (i % (size + 1) === 0 ? each * (1 + damping) : each));
    const undone = inverse(damped, size);
    if (!undone) return null;
    const step = times(undone, slope);
    const next = at.map((value, i) => value + step[i]!);
    const there = residuals(next);
    const less = sumOfSquares(there);
    if (less < squares) {
      const gained = squares - less;
      [at, now, squares] = [next, there, less];
      damping = Math.max(1e-9, damping / 5);
      if (gained < ENOUGH * (1 + squares)) break;
    } else {
      damping *= 8;
      if (damping > 1e9) break;
    }
  }
  const covariance = inverse(normalOf(jacobian(residuals, at)), size);
  return covariance && { unknowns: at, covariance, squares };
}

function normalOf(columns: readonly Float64Array[]): Float64Array {
  const size = columns.length;
  const normal = new Float64Array(size * size);
  for (let i = 0; i < size; i += 1)
    for (let j = 0; j <= i; j += 1) {
      const sum = columns[i]!.reduce((all, each, k) => all + each * columns[j]![k]!, 0);
      normal[i * size + j] = sum;
      normal[j * size + i] = sum;
    }
  return normal;
}
