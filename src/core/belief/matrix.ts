/** A square matrix in row order, lower triangle only where it is a Cholesky factor. */
export type Matrix = Float64Array;

/** A column of what each item gives. Filled in a loop: the array's own `from` takes some ten times as long. */
export function columnOf<T>(items: readonly T[], of: (item: T) => number): Float64Array {
  const column = new Float64Array(items.length);
  for (let i = 0; i < items.length; i += 1) column[i] = of(items[i]!);
  return column;
}

/** A variance below this is rounding, mm²: a factor never divides by less. */
const LEAST_VARIANCE = 1e-12;

/**
 * Cholesky factor L of a symmetric positive matrix, `A = L·Lᵀ` (Golub & Van Loan, Matrix Computations, 4.2). The matrix
 * is overwritten; what rounding took below nothing counts as the least variance.
 * @param size rows of the matrix
 */
export function factorise(a: Matrix, size: number): Matrix {
  for (let j = 0; j < size; j += 1) {
    const row = j * size;
    let diagonal = a[row + j]!;
    // Powers are written out: this is the innermost loop of every judgement.
    for (let k = 0; k < j; k += 1) diagonal -= a[row + k]! * a[row + k]!;
    const root = Math.sqrt(Math.max(diagonal, LEAST_VARIANCE));
    a[row + j] = root;
    for (let i = j + 1; i < size; i += 1) {
      const other = i * size;
      let sum = a[other + j]!;
      for (let k = 0; k < j; k += 1) sum -= a[other + k]! * a[row + k]!;
      a[other + j] = sum / root;
    }
  }
  return a;
}

/** Solves `L·x = b` in place for one column, L a factor. */
export function solveLower(factor: Matrix, size: number, column: Float64Array): Float64Array {
  for (let i = 0; i < size; i += 1) {
    let sum = column[i]!;
    for (let k = 0; k < i; k += 1) sum -= factor[i * size + k]! * column[k]!;
    column[i] = sum / factor[i * size + i]!;
  }
  return column;
}
