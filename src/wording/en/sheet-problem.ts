import { never } from '../../core/result';
import type { LimitProblem } from '../../core/limits';
import type { SheetProblem } from '../../core/sheet';
import { list } from './sentence';
import { readingProblem } from './quantity';

function what(problem: SheetProblem): string {
  switch (problem.code) {
    case 'not-json':
      return `not JSON (${problem.detail}); a bench sheet is one JSON object with "format": "serrata-bench-sheet".`;
    case 'too-deep':
      return `goes deeper than ${problem.most} levels; a bench sheet never does.`;
    case 'unknown-key':
      return `unknown key “${problem.key}”; take it out or see docs/formats/ for the names.`;
    case 'missing':
      return 'missing; it must be there.';
    case 'wrong-type':
      return `${problem.given} is not right here; expected ${problem.expected}.`;
    case 'not-one-of':
      return `${problem.given} is not one of ${list(problem.options, 'or')}.`;
    case 'out-of-bounds':
      return `${problem.given} is out of bounds; ${problem.of === 'string' ? 'its length' : problem.of === 'array' ? 'the number of entries' : 'it'} must be at ${problem.bound === 'min' ? 'least' : 'most'} ${problem.limit}.`;
    case 'bare-number':
      return `${problem.given} is a bare number; write it as text with its unit, such as "${problem.given} mm".`;
    case 'quantity-shape':
      return `${problem.given} is not a quantity; write "7.9 mm", { "repeats": ["7.9 mm"], "instrument": "caliper" } or { "enters": "0.050 in", "refuses": "0.058 in" }.`;
    case 'quantity':
      return readingProblem(problem.issue.problem);
    default:
      return never(problem);
  }
}

/** One line per problem: the path, what is wrong, what would be right. */
export function sheetProblem(problem: SheetProblem): string {
  return `${problem.path}: ${what(problem)}`;
}

/** What is wrong with a change of a limit. */
export function limitProblem({ id, code, expected }: LimitProblem): string {
  switch (code) {
    case 'unknown-limit':
      return `${id}: there is no such limit; known are ${expected}.`;
    case 'not-a-number':
      return `${id}: not a number; write it in ${expected}.`;
    case 'negative':
      return `${id}: below zero; a limit in ${expected} is zero or more.`;
    case 'wrong-unit':
      return `${id}: this limit is counted in ${expected}.`;
    case 'watch-beyond-limit':
      return `${id}: the warning would begin beyond the limit itself, ${expected}; put it on the good side.`;
    case 'published-without-source':
      return `${id}: a published limit must name its source.`;
    default:
      return never(code);
  }
}
