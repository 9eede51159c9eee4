import { createReadStream, readFileSync, writeFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import {
  DEFAULTS,
  limitOverridesSchema,
  limitsFileSchema,
  resolveLimits,
  type LimitOverrides,
  type Limits,
} from '../core/limits';
import type { StockPart } from '../core/stock';
import { readSheetText, showPath, type BenchSheet, type WrittenBenchSheet } from '../core/sheet';
import { readStockCsv } from '../server/stock-csv';
import { limitProblem, sheetProblem } from '../wording';

/** Something that could not be read, one line per problem. The command exits with 2. */
export class Unreadable extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join('\n'));
  }
}

const STANDARD_INPUT = 0;

/** The bytes of a file, or of standard input for `-`. */
export function bytesFrom(path: string): Buffer {
  try {
    return readFileSync(path === '-' ? STANDARD_INPUT : path);
  } catch (error) {
    throw unreadable(path, error);
  }
}

const readText = (path: string): string => bytesFrom(path).toString('utf8');

function unreadable(path: string, error: unknown): Unreadable {
  const { code = 'unknown' } = error as NodeJS.ErrnoException;
  return new Unreadable([`${path}: cannot be read (${code}); give the path of a file, or - for standard input.`]);
}

/** The lines of a file, or of standard input for `-`, as they come: a list of any length is never held whole. */
export async function* linesFrom(path: string): AsyncGenerator<string> {
  const input = path === '-' ? process.stdin : createReadStream(path);
  try {
    yield* createInterface({ input, crlfDelay: Infinity });
  } catch (error) {
    throw unreadable(path, error);
  }
}

/** Reads a bench sheet from a file, or from standard input for `-`: as it is used, and as it was written. */
export function documentFrom(path: string): { readonly sheet: BenchSheet; readonly written: WrittenBenchSheet } {
  const text = readText(path);
  const read = readSheetText(text);
  if (!read.ok) throw new Unreadable(read.error.map(sheetProblem));
  return { sheet: read.value, written: JSON.parse(text) as WrittenBenchSheet };
}

export const sheetFrom = (path: string): BenchSheet => documentFrom(path).sheet;

/** Changes of limits: a limits file, or a plain object of changes by limit id. */
function overridesFrom(path: string): LimitOverrides {
  let document: unknown;
  try {
    document = JSON.parse(readText(path));
  } catch (error) {
    if (error instanceof Unreadable) throw error;
    throw new Unreadable([`${path}: not JSON (${(error as Error).message}); see docs/formats/limits.md.`]);
  }
  const whole = typeof document === 'object' && document !== null && 'format' in document;
  const parsed = whole ? limitsFileSchema.safeParse(document) : limitOverridesSchema.safeParse(document);
  if (!parsed.success)
    throw new Unreadable(parsed.error.issues.map((issue) => `${showPath(issue.path)}: ${issue.message}.`));
  return 'format' in parsed.data ? limitsFileSchema.parse(document).limits : limitOverridesSchema.parse(document);
}

/**
 * Reads limits from files laid one over the other; without any, the defaults.
 * @param paths files of limits and of rates; those that were not given are left out
 */
export function limitsFrom(...paths: readonly (string | undefined)[]): Limits {
  const given = paths.filter((path) => path !== undefined);
  if (given.length === 0) return DEFAULTS;
  const overrides = Object.assign({}, ...given.map(overridesFrom)) as LimitOverrides;
  const limits = resolveLimits(overrides);
  if (!limits.ok) throw new Unreadable(limits.error.map(limitProblem));
  return limits.value;
}

/** Reads a stock list in CSV. */
export function stockFrom(path: string | undefined): readonly StockPart[] | undefined {
  if (path === undefined) return undefined;
  const read = readStockCsv(bytesFrom(path));
  if (!read.ok)
    throw new Unreadable(read.error.map(({ line, column, message }) => `${path}, line ${line}, ${column}: ${message}`));
  return read.value;
}

/** Writes a file that is not there yet: none is written over. */
export function writeNew(path: string, bytes: Uint8Array): void {
  try {
    writeFileSync(path, bytes, { flag: 'wx' });
  } catch (error) {
    const { code = 'unknown' } = error as NodeJS.ErrnoException;
    throw new Unreadable([`${path}: cannot be written (${code}); give the path of a file that is not there yet.`]);
  }
}
