import { flatMap } from '../flat-map';
import type { z } from 'zod';
import { err, ok, type Result } from '../result';
import type { BenchSheet } from './bench-sheet';
import { benchSheetSchema } from './schema';
import { withHowApart } from './how-apart';
import { isTooDeep, MOST_LEVELS } from './nesting';
import type { LengthIssue } from '../reading';

/**
 * One thing wrong with a document, as data. `path` is written the way a person points at it:
 * `bar.edges.A.stations[0].near`.
 */
export type SheetProblem = { readonly path: string } & (
  | { readonly code: 'not-json'; readonly detail: string }
  | { readonly code: 'too-deep'; readonly most: number }
  | { readonly code: 'unknown-key'; readonly key: string }
  | { readonly code: 'missing' }
  | { readonly code: 'wrong-type'; readonly expected: string; readonly given: string }
  | { readonly code: 'not-one-of'; readonly options: readonly string[]; readonly given: string }
  | {
      readonly code: 'out-of-bounds';
      readonly bound: 'min' | 'max';
      readonly limit: number;
      readonly of: string;
      readonly given: string;
    }
  | { readonly code: 'quantity'; readonly issue: LengthIssue }
  | { readonly code: 'bare-number'; readonly given: string }
  | { readonly code: 'quantity-shape'; readonly given: string }
);

type Issue = z.core.$ZodIssue;

/** Writes a path as `a.b[0].c`; the document itself is `(sheet)`. */
export function showPath(path: readonly PropertyKey[]): string {
  const text = path.map((step) => (typeof step === 'number' ? `[${step}]` : `.${String(step)}`)).join('');
  return text === '' ? '(sheet)' : text.replace(/^\./, '');
}

const show = (value: unknown): string =>
  value === undefined ? 'nothing' : (JSON.stringify(value)?.slice(0, 60) ?? typeof value);

function problemsOf(issue: Issue): SheetProblem[] {
  const path = showPath(issue.path);
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({ path: showPath([...issue.path, key]), code: 'unknown-key', key }));
    case 'invalid_value':
      return [
        issue.input === undefined
          ? { path, code: 'missing' }
          : { path, code: 'not-one-of', options: issue.values.map(String), given: show(issue.input) },
      ];
    case 'too_small':
      return [
        {
          path,
          code: 'out-of-bounds',
          bound: 'min',
          limit: Number(issue.minimum),
          of: issue.origin,
          given: show(issue.input),
        },
      ];
    case 'too_big':
      return [
        {
          path,
          code: 'out-of-bounds',
          bound: 'max',
          limit: Number(issue.maximum),
          of: issue.origin,
          given: show(issue.input),
        },
      ];
    case 'invalid_union':
      return unionProblems(issue, path);
    case 'custom': {
      const quantity = issue.params?.length as LengthIssue | undefined;
      return [
        quantity
          ? { path, code: 'quantity', issue: quantity }
          : { path, code: 'wrong-type', expected: issue.message, given: show(issue.input) },
      ];
    }
    case 'invalid_type':
      return [
        issue.input === undefined
          ? { path, code: 'missing' }
          : { path, code: 'wrong-type', expected: issue.expected, given: show(issue.input) },
      ];
    default:
      return [{ path, code: 'wrong-type', expected: issue.message, given: show(issue.input) }];
  }
}

/** A finding that may tell how it was made is a word, or `{ says, with }`. */
function wordProblems(issue: Issue & { code: 'invalid_union' }): SheetProblem[] | null {
  const [word, made] = issue.errors;
  if (word?.[0]?.code !== 'invalid_value' || !made) return null;
  const inner = typeof issue.input === 'object' && issue.input !== null ? made : word;
  return flatMap(inner, (nested) => problemsOf({ ...nested, path: [...issue.path, ...nested.path] } as Issue));
}

/**
 * The unions in the format are quantities, and findings that tell how they were made: say what the given shape was
 * meant to be.
 */
function unionProblems(issue: Issue & { code: 'invalid_union' }, path: string): SheetProblem[] {
  const given = issue.input;
  if (given === undefined) return [{ path, code: 'missing' }];
  const ofWord = wordProblems(issue);
  if (ofWord) return ofWord;
  if (typeof given === 'number') return [{ path, code: 'bare-number', given: show(given) }];
  if (given === null || typeof given !== 'object') return [{ path, code: 'quantity-shape', given: show(given) }];
  const keys = Object.keys(given);
  const branch = keys.includes('repeats') ? 1 : keys.includes('enters') || keys.includes('refuses') ? 2 : -1;
  const inner = issue.errors[branch];
  if (!inner) return [{ path, code: 'quantity-shape', given: show(given) }];
  return flatMap(inner, (nested) => problemsOf({ ...nested, path: [...issue.path, ...nested.path] } as Issue));
}

/**
 * A quantity with a stranger among its keys is one problem, not two: that its right keys are missing then goes without
 * saying.
 */
function withoutEchoes(problems: readonly SheetProblem[]): readonly SheetProblem[] {
  const strangers = problems
    .filter(({ code }) => code === 'unknown-key')
    .map(({ path }) => path.replace(/\.[^.]*$/, ''));
  return problems.filter(({ code, path }) => code !== 'quantity' || !strangers.includes(path));
}

/** Reads an already parsed document against the bench sheet schema. */
export function readSheet(document: unknown): Result<BenchSheet, readonly SheetProblem[]> {
  const parsed = benchSheetSchema.safeParse(document, { reportInput: true });
  return parsed.success ? ok(withHowApart(parsed.data)) : err(withoutEchoes(flatMap(parsed.error.issues, problemsOf)));
}

/** Reads JSON text as a bench sheet. */
export function readSheetText(text: string): Result<BenchSheet, readonly SheetProblem[]> {
  if (isTooDeep(text)) return err([{ path: '(sheet)', code: 'too-deep', most: MOST_LEVELS }]);
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return err([{ path: '(sheet)', code: 'not-json', detail: (error as Error).message }]);
  }
  return readSheet(document);
}
