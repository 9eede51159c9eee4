import { matchHeadings } from '../match-columns';
import { plainName } from '../same-name';
import { NUMBER_NAMES, punched, sprocketKindOf, type SawModel } from './saw-model';

/** Columns of a list of models, each with other names that lists give it. See docs/formats/models-csv.md. */
const COLUMNS = {
  model: ['saw', 'name', 'machine', 'type'],
  bar: ['bar length', 'length'],
  mount: ['bar mount', 'mount pattern'],
  pitch: ['chain pitch'],
  gauge: ['thickness', 'drive link thickness'],
  links: ['drive links', 'dl', 'link count'],
  sprocket: ['sprocket kind', 'drive sprocket'],
  teeth: ['sprocket teeth'],
  splines: ['spline'],
} as const;
export type ModelColumn = keyof typeof COLUMNS;
export const MODEL_COLUMNS = Object.keys(COLUMNS) as readonly ModelColumn[];

/** Where in a row each column stands; null where the list has none. */
export type ModelColumns = Readonly<Record<ModelColumn, number | null>>;

/** Which heading of a list goes to which column. */
export const matchModelColumns = (headings: readonly string[]): ModelColumns => matchHeadings(headings, COLUMNS);

/** What is wrong with a cell. */
export type ModelCellProblem = { readonly column: ModelColumn; readonly text: string } & (
  | { readonly code: 'missing' }
  | { readonly code: 'too-long'; readonly most: number }
  | { readonly code: 'not-understood' }
  | { readonly code: 'no-count'; readonly from: number; readonly to: number }
);

/** A row of a list: a model, or all that is wrong with it. */
export type ModelRow =
  | { readonly ok: true; readonly line: number; readonly model: SawModel }
  | { readonly ok: false; readonly line: number; readonly problems: readonly ModelCellProblem[] };

/** Letters that fit each cell. */
const MOST: Readonly<Partial<Record<ModelColumn, number>>> = { model: 120, bar: 40, mount: 40 };
/** Teeth and splines that a drive has. */
export const COUNTS = { teeth: { from: 4, to: 20 }, splines: { from: 2, to: 60 } } as const;

/**
 * Reads a row of a list of models.
 * @param cells as they stand in the file
 * @param line where it begins
 */
export function readModelRow(cells: readonly string[], columns: ModelColumns, line: number): ModelRow {
  const at = (column: ModelColumn): string => (cells[columns[column] ?? -1] ?? '').trim();
  const problems: ModelCellProblem[] = at('model') === '' ? [{ column: 'model', text: '', code: 'missing' }] : [];
  for (const column of MODEL_COLUMNS) {
    const [text, most] = [at(column), MOST[column]];
    if (most !== undefined && text.length > most) problems.push({ column, text, code: 'too-long', most });
  }
  for (const column of NUMBER_NAMES)
    if (at(column) !== '' && punched(column, at(column)) === null)
      problems.push({ column, text: at(column), code: 'not-understood' });
  if (at('sprocket') !== '' && sprocketKindOf(at('sprocket')) === null)
    problems.push({ column: 'sprocket', text: at('sprocket'), code: 'not-understood' });
  for (const column of ['teeth', 'splines'] as const) {
    const { from, to } = COUNTS[column];
    const text = at(column);
    const isCount = /^\d+$/.test(text) && Number(text) >= from && Number(text) <= to;
    if (text !== '' && !isCount) problems.push({ column, text, code: 'no-count', from, to });
  }
  if (problems.length > 0) return { ok: false, line, problems };
  const count = (column: 'teeth' | 'splines') => (at(column) === '' ? null : Number(at(column)));
  const [pitch, gauge, links] = NUMBER_NAMES.map((column) => (at(column) === '' ? '' : punched(column, at(column))!));
  return {
    ok: true,
    line,
    model: {
      ...{ name: at('model'), bar: at('bar'), mount: at('mount') || null },
      ...{ pitch: pitch!, gauge: gauge!, links: links! },
      ...{ sprocketKind: sprocketKindOf(at('sprocket')), teeth: count('teeth'), splines: count('splines') },
    },
  };
}

/** Models of one name and bar are one, whatever their capitals and spaces. */
export const keyOfModel = ({ name, bar }: Pick<SawModel, 'name' | 'bar'>): string =>
  [name, bar].map((text) => plainName(text).replace(/\s+/g, ' ')).join('\n');
