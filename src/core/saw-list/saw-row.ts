import { flatMap } from '../flat-map';
import { matchHeadings } from '../match-columns';
import { NUMBER_NAMES, punched } from '../saw-model';

/** Columns of a list of saws, each with other names that lists give it. See docs/formats/saws-csv.md. */
const COLUMNS = {
  customer: ['owner', 'whose', 'crew', 'company', 'client'],
  saw: ['model', 'name', 'machine', 'label', 'type'],
  tag: ['inventory', 'inventory number', 'number', 'id', 'asset'],
  mount: ['bar mount', 'mount pattern'],
  rpm: ['max rpm', 'revolutions', 'most rpm'],
  pitch: ['chain pitch'],
  gauge: ['thickness', 'drive link thickness'],
  links: ['drive links', 'dl', 'link count'],
} as const;
export type SawColumn = keyof typeof COLUMNS;
export const SAW_COLUMNS = Object.keys(COLUMNS) as readonly SawColumn[];

/** Columns a list must have. */
export const REQUIRED_SAW_COLUMNS: readonly SawColumn[] = ['customer', 'saw'];

/** Where in a row each column stands; null where the list has none. */
export type SawColumns = Readonly<Record<SawColumn, number | null>>;

/** Which heading of a list goes to which column. */
export const matchSawColumns = (headings: readonly string[]): SawColumns => matchHeadings(headings, COLUMNS);

/** Columns that a list must have and has not. */
export const missingSawColumns = (columns: SawColumns): readonly SawColumn[] =>
  REQUIRED_SAW_COLUMNS.filter((column) => columns[column] === null);

/** A saw of a list. */
export interface ListedSaw {
  readonly customer: string;
  readonly label: string;
  readonly tag: string;
  readonly mount: string | null;
  readonly maxRpm: number | null;
  /** Its numbers as a bar would have them punched on: told by the list, measured by nobody; empty where it has none. */
  readonly marks: string;
}

/** What is wrong with a cell, and what would be right. */
export type SawCellProblem = { readonly column: SawColumn; readonly text: string } & (
  | { readonly code: 'missing' }
  | { readonly code: 'too-long'; readonly most: number }
  | { readonly code: 'not-understood' | 'no-revolutions' }
);

/** A row of a list: a saw, or all that is wrong with it. */
export type SawRow =
  | { readonly ok: true; readonly line: number; readonly saw: ListedSaw }
  | { readonly ok: false; readonly line: number; readonly problems: readonly SawCellProblem[] };

/** Letters that fit each cell. */
const MOST: Readonly<Partial<Record<SawColumn, number>>> = { customer: 160, saw: 120, tag: 40, mount: 40 };
const SLOWEST = 1000;
const FASTEST = 30_000;

/**
 * Reads a row of a list of saws.
 * @param cells as they stand in the file
 * @param line where it begins
 */
export function readSawRow(cells: readonly string[], columns: SawColumns, line: number): SawRow {
  const at = (column: SawColumn): string => (cells[columns[column] ?? -1] ?? '').trim();
  const rpm = at('rpm').replace(/[ .,](?=\d{3}$)/, '');
  const marks = NUMBER_NAMES.map((column) => ({ column, text: at(column) })).filter(({ text }) => text !== '');
  const problems: SawCellProblem[] = [
    ...REQUIRED_SAW_COLUMNS.filter((column) => at(column) === '').map((column): SawCellProblem => ({
      column,
      text: '',
      code: 'missing',
    })),
    ...flatMap(SAW_COLUMNS, (column): readonly SawCellProblem[] => {
      const [text, most] = [at(column), MOST[column]];
      return most !== undefined && text.length > most ? [{ column, text, code: 'too-long', most }] : [];
    }),
    ...marks
      .filter(({ column, text }) => punched(column, text) === null)
      .map(({ column, text }): SawCellProblem => ({ column, text, code: 'not-understood' })),
    ...(rpm === '' || (/^\d+$/.test(rpm) && Number(rpm) >= SLOWEST && Number(rpm) <= FASTEST)
      ? []
      : [{ column: 'rpm', text: at('rpm'), code: 'no-revolutions' } as const]),
  ];
  if (problems.length > 0) return { ok: false, line, problems };
  return {
    ok: true,
    line,
    saw: {
      customer: at('customer'),
      label: at('saw'),
      tag: at('tag'),
      mount: at('mount') || null,
      maxRpm: rpm === '' ? null : Number(rpm),
      marks: marks.map(({ column, text }) => punched(column, text)).join(' '),
    },
  };
}
