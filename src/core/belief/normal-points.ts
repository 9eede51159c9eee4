/** A small generator of evenly spread numbers from one seed (mulberry32, public domain): the same points on every machine. */
function evenly(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const SEED = 1959;
let made: { readonly rows: number; readonly columns: number; readonly points: Float64Array } | null = null;

/** Normal points row by row: pairs by the polar form of Box and Muller (1958), each column brought to mean square 1. */
function make(rows: number, columns: number): Float64Array {
  const next = evenly(SEED);
  const points = new Float64Array(rows * columns);
  for (let i = 0; i < points.length; i += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - next()));
    const angle = 2 * Math.PI * next();
    points[i] = radius * Math.cos(angle);
    if (i + 1 < points.length) points[i + 1] = radius * Math.sin(angle);
  }
  for (let column = 0; column < columns; column += 1) {
    let square = 0;
    for (let row = 0; row < rows; row += 1) square += points[row * columns + column]! ** 2;
    const scale = Math.sqrt(rows / square);
    for (let row = 0; row < rows; row += 1) points[row * columns + column]! *= scale;
  }
  return points;
}

/**
 * A table of standard normal points that never changes, so that a judgement by simulation is a pure function of its readings. It is made once and
 * grows when a longer profile asks for more columns.
 * @returns points in row order, and the columns that a row holds
 */
export function normalPoints(rows: number, columns: number): { points: Float64Array; columns: number } {
  if (!made || made.rows !== rows || made.columns < columns)
    made = { rows, columns: Math.max(columns, 128), points: make(rows, Math.max(columns, 128)) };
  return made;
}
