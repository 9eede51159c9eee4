import { never } from '../../core/result';
import type { UnitSystem } from '../../core/quantity';
import type { EntryProblem } from '../../core/sheet';
import { list } from './sentence';
import { readingProblem } from './quantity';

/** Why an entry cannot be used, and what would be right. */
export function entryProblem(problem: EntryProblem, unit: UnitSystem = 'mm'): string {
  switch (problem.code) {
    case 'reading':
      return readingProblem(problem.problem, unit);
    case 'not-a-count':
      return `“${problem.text}” is not a count: write a whole number, such as 72.`;
    case 'not-a-number':
      return `“${problem.text}” is not a number: write one, such as 12500.`;
    case 'not-one-of':
      return `“${problem.text}” is not one of ${list(problem.options, 'or')}.`;
    case 'out-of-bounds':
      return `“${problem.text}” is out of bounds: at ${problem.bound === 'min' ? 'least' : 'most'} ${problem.limit}.`;
    case 'too-long':
      return `This is too long: at most ${problem.most} characters.`;
    case 'list-full':
      return `There is room for ${problem.most} here, and this is one too many: take one off first.`;
    case 'no-such-place':
      return `The bench sheet has no place called ${problem.path}.`;
    default:
      return never(problem);
  }
}
