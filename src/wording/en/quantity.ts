import { never } from '../../core/result';
import { FIELD_KINDS, formatLength, mm, type ReadingProblem, type UnitSystem } from '../../core/quantity';
import { list } from './sentence';

/** What is wrong with a typed length and what would be right. */
export function readingProblem(problem: ReadingProblem, unit: UnitSystem = 'mm'): string {
  const show = (length: number) => formatLength(mm(length), unit);
  switch (problem.code) {
    case 'empty':
      return 'Nothing is written here: type a length, such as 7.9 mm.';
    case 'not-a-length':
      return `“${problem.text}” is not a length: write a number with its unit, such as 7.9 mm, .311 in or 5/16.`;
    case 'too-many-digits':
      return `A length has at most ${problem.most} digits: write what the tool shows, such as 7.90 mm.`;
    case 'negative':
      return `“${problem.text}” is below zero: a ${FIELD_KINDS[problem.kind].name} is counted from zero up.`;
    case 'ambiguous':
      return `“${problem.text}” can be read two ways, ${list(
        problem.readings.map(({ text, length }) => `${text} (${formatLength(length, 'mm')})`),
        'or',
      )}: add the unit.`;
    case 'out-of-range':
      return `“${problem.text}” is ${list(
        problem.readings.map(({ length }) => show(length)),
        'or',
      )}: a ${FIELD_KINDS[problem.kind].name} lies between ${show(problem.lo)} and ${show(problem.hi)}.`;
    case 'bounds-crossed':
      return `What enters and what is refused cross over: ${show(problem.lo)} cannot be the lower bound of ${show(problem.hi)}.`;
    default:
      return never(problem);
  }
}
