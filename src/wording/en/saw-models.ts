import type { ModelCellProblem, ModelColumn } from '../../core/saw-model';

/** Columns of a list of models, as headings. */
export const modelColumnName: Readonly<Record<ModelColumn, string>> = {
  model: 'Model',
  bar: 'Bar',
  mount: 'Bar mount',
  pitch: 'Pitch',
  gauge: 'Gauge',
  links: 'Links',
  sprocket: 'Drive sprocket',
  teeth: 'Teeth',
  splines: 'Splines',
};

/** How what can be understood is written. */
const WRITTEN: Readonly<Partial<Record<ModelColumn, string>>> = {
  pitch: 'such as .325, 3/8 or 3/8LP',
  gauge: 'such as .050 or 1.3',
  links: 'a count, such as 72',
  sprocket: 'spur or rim',
};

/** What is wrong with a cell, and what would be right. */
export function modelCellProblem(problem: ModelCellProblem): string {
  const { column, text, code } = problem;
  const name = modelColumnName[column];
  switch (code) {
    case 'missing':
      return `${name} is empty.`;
    case 'too-long':
      return `${name} has more than ${problem.most} letters.`;
    case 'not-understood':
      return `${name} “${text}” is none: ${WRITTEN[column]}.`;
    case 'no-count':
      return `${name} “${text}” is none: a count from ${problem.from} to ${problem.to}, or nothing.`;
  }
}
