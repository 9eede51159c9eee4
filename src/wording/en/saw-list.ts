import type { SawCellProblem, SawColumn } from '../../core/saw-list';

/** Columns of a list of saws. */
export const sawColumnName: Record<SawColumn, string> = {
  customer: 'Customer',
  saw: 'Saw',
  tag: 'Tag',
  mount: 'Bar mount',
  rpm: 'Most rpm',
  pitch: 'Pitch',
  gauge: 'Gauge',
  links: 'Links',
};

/** What each of the three numbers may be written as. */
const WRITTEN: Partial<Record<SawColumn, string>> = {
  pitch: '.325, 3/8LP, 3/8, 1/4 or .404',
  gauge: '.043, .050, .058, .063 or 1.1 to 1.6 mm',
  links: 'a count, such as 72',
};

/** What is wrong with a cell of a list of saws, and what would be right. */
export function sawCellProblem(problem: SawCellProblem): string {
  const { column, text, code } = problem;
  const name = sawColumnName[column];
  switch (code) {
    case 'missing':
      return `${name} is empty.`;
    case 'too-long':
      return `${name} has more than ${problem.most} letters.`;
    case 'not-understood':
      return `${name} “${text}” is none: ${WRITTEN[column]}.`;
    case 'no-revolutions':
      return `${name} “${text}” is none: a number from 1000 to 30000, or nothing.`;
  }
}
