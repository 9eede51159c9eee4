/**
 * A small generator of evenly spread numbers from one seed (mulberry32, public domain): the same points on every
 * machine.
 */
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
/** Rows of the table: one for each draw of a question that is close. */
export const ROWS = 64;
/** Columns are made so many at a time, as longer profiles ask for them. */
const CHUNK = 128;

const next = evenly(SEED);
let rows: readonly Float64Array[] = Array.from({ length: ROWS }, () => new Float64Array(0));

/** Normal points of one column: pairs by the polar form of Box and Muller (1958), brought to mean square 1. */
function makeColumn(): Float64Array {
  const column = new Float64Array(ROWS);
  let square = 0;
  for (let row = 0; row < ROWS; row += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - next()));
    const angle = 2 * Math.PI * next();
    column[row] = radius * Math.cos(angle);
    column[row + 1] = radius * Math.sin(angle);
    square += radius * radius;
  }
  const scale = Math.sqrt(ROWS / square);
  return column.map((point) => scale * point);
}

function grow(columns: number): void {
  const before = rows[0]!.length;
  const after = CHUNK * Math.ceil(columns / CHUNK);
  const made = Array.from({ length: after - before }, makeColumn);
  rows = rows.map((row, i) => {
    const longer = new Float64Array(after);
    longer.set(row);
    made.forEach((column, j) => (longer[before + j] = column[i]!));
    return longer;
  });
}

/**
 * A table of standard normal points that never changes, so that a judgement by draws is a pure function of its
 * readings: the point in a row and column is the same whatever was asked before. Columns are added as they are asked
 * for.
 * @returns rows of at least so many columns
 */
export function normalPoints(columns: number): readonly Float64Array[] {
  if (rows[0]!.length < columns) grow(columns);
  return rows;
}

/**
 * Normal points by rows, for draws that are more than the table has rows: as many columns as were asked for, made once.
 */
const BY_ROWS = new Map<string, Float64Array>();

/**
 * Standard normal points that never change, laid out row by row: for tables of another height than {@link normalPoints}
 * has. A table of so many rows and columns is the same whenever it is asked for.
 */
export function pointsOf(rowCount: number, columns: number): Float64Array {
  const key = `${rowCount} ${columns}`;
  const known = BY_ROWS.get(key);
  if (known) return known;
  const uniform = evenly(SEED + columns);
  const table = new Float64Array(rowCount * columns);
  for (let i = 0; i < table.length; i += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    table[i] = radius * Math.cos(angle);
    if (i + 1 < table.length) table[i + 1] = radius * Math.sin(angle);
  }
  BY_ROWS.set(key, table);
  return table;
}
