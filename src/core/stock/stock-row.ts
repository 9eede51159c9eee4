import { flatMap } from '../flat-map';
import { GAUGES, GAUGE_IDS, type FamilyId, type GaugeId } from '../families';
import { SPROCKET_KINDS } from '../declared';
import { SEQUENCES, tokenMeanings } from '../identify';
import { err, ok, type Result } from '../result';
import { matchHeadings } from '../match-columns';
import { STOCK_KINDS, type StockKind } from './stock-kind';
import type { StockPart } from './stock-part';

/** Columns of a stock list, in order. See docs/formats/stock-csv.md. */
export const STOCK_COLUMNS = [
  'sku',
  'kind',
  'name',
  'pitch',
  'gauge',
  'driveLinks',
  'kickbackClass',
  'sequence',
  'mount',
  'oilHole',
  'listedInches',
  'teeth',
  'sprocket_kind',
  'splines',
  'bore',
  'saw',
  'quantity',
  'minimum',
  'price',
] as const;
export type StockColumn = (typeof STOCK_COLUMNS)[number];

/** Columns a list must have. */
export const REQUIRED_COLUMNS: readonly StockColumn[] = ['sku', 'kind', 'name'];

/** One row as text, by column. A column that is not there is empty. */
export type StockRow = Readonly<Partial<Record<StockColumn, string>>>;

/** What is wrong with one cell. */
export type CellProblem = { readonly column: StockColumn; readonly text: string } & (
  | { readonly code: 'missing' }
  | { readonly code: 'too-long'; readonly most: number }
  | { readonly code: 'not-one-of'; readonly options: readonly string[] }
  /** 3/8 alone does not say which build. */
  | { readonly code: 'build-not-said' }
  | { readonly code: 'not-a-whole-number' | 'not-a-number' }
  | { readonly code: 'out-of-bounds'; readonly lo: number; readonly hi: number }
  /**
   * Rows that ran together, letters that could not be read, a quotation mark out of place: what the file became on its
   * way here.
   */
  | { readonly code: 'line-break' | 'damaged-letters' | 'stray-quote' }
);

type Cell<T> = Result<T, CellProblem>;

interface Reading {
  readonly column: StockColumn;
  readonly text: string;
}

const PITCH_OPTIONS = ['quarter', '325', '38lp', '38', '404'];

/** Stands in the place of letters that could not be read. */
const UNREAD = '\uFFFD';

function text({ column, text: raw }: Reading, most: number): Cell<string | null> {
  if (raw === '') return ok(null);
  if (/[\r\n]/.test(raw)) return err({ column, text: raw, code: 'line-break' });
  // eslint-disable-next-line no-control-regex -- letters that no list has are looked for
  if (raw.includes(UNREAD) || /[\u0000-\u0008\u000E-\u001F]/.test(raw))
    return err({ column, text: raw, code: 'damaged-letters' });
  return raw.length > most ? err({ column, text: raw, code: 'too-long', most }) : ok(raw);
}

function required(reading: Reading, most: number): Cell<string> {
  const read = text(reading, most);
  if (!read.ok) return read;
  return read.value === null ? err({ ...reading, code: 'missing' }) : ok(read.value);
}

/** A pitch as the format has it, or as the trade writes it. */
function pitch(reading: Reading): Cell<FamilyId | null> {
  const { text: raw } = reading;
  if (raw === '') return ok(null);
  if (raw === '38' || raw === '3/8 standard') return ok('38');
  const id = PITCH_OPTIONS.find((option) => option === raw.toLowerCase());
  if (id) return ok(id as FamilyId);
  const found = tokenMeanings(raw).find((meaning) => meaning.property === 'pitch');
  if (!found) return err({ ...reading, code: 'not-one-of', options: PITCH_OPTIONS });
  return found.value === '3/8' ? err({ ...reading, code: 'build-not-said' }) : ok(found.value);
}

/** A gauge by its inch name or its millimetre name. */
function gauge(reading: Reading): Cell<GaugeId | null> {
  const raw = reading.text.replace(',', '.').replace(/\s*(mm|in)$/i, '');
  if (raw === '') return ok(null);
  const id = GAUGE_IDS.find((each) => Number(each) === Number(raw) || GAUGES[each].mmLabel === raw);
  return id ? ok(id) : err({ ...reading, code: 'not-one-of', options: GAUGE_IDS });
}

function whole(reading: Reading, lo: number, hi: number): Cell<number | null> {
  if (reading.text === '') return ok(null);
  if (!/^\d+$/.test(reading.text)) return err({ ...reading, code: 'not-a-whole-number' });
  const value = Number(reading.text);
  return value < lo || value > hi ? err({ ...reading, code: 'out-of-bounds', lo, hi }) : ok(value);
}

function decimal(reading: Reading, lo: number, hi: number): Cell<number | null> {
  const raw = reading.text.replace(/[£€$\s"”″]|in$/g, '').replace(/,(\d{1,2})$/, '.$1');
  if (raw === '') return ok(null);
  if (!/^\d*\.?\d+$/.test(raw)) return err({ ...reading, code: 'not-a-number' });
  const value = Number(raw);
  return value < lo || value > hi ? err({ ...reading, code: 'out-of-bounds', lo, hi }) : ok(value);
}

function oneOf<T extends string>(reading: Reading, options: readonly T[]): Cell<T | null> {
  if (reading.text === '') return ok(null);
  const wanted = reading.text.toLowerCase().replace(/[\s_]+/g, '-');
  const found = options.find((option) => option === wanted);
  return found ? ok(found) : err({ ...reading, code: 'not-one-of', options });
}

/** A sequence is also written short: `full` is the full complement, `skip` the full skip. */
const SHORT_SEQUENCE: Readonly<Record<string, string>> = {
  full: 'full-complement',
  complement: 'full-complement',
  standard: 'full-complement',
  semi: 'semi-skip',
  skip: 'full-skip',
};

const sequenceAt = (reading: Reading): Reading => ({
  ...reading,
  text: SHORT_SEQUENCE[reading.text.toLowerCase()] ?? reading.text,
});

/** A bore with or without its unit. */
const millimetres = (reading: Reading): Reading => ({ ...reading, text: reading.text.replace(/\s*mm$/i, '') });

function kind(reading: Reading): Cell<StockKind> {
  const read = oneOf(reading, STOCK_KINDS);
  if (!read.ok) return read;
  return read.value === null ? err({ ...reading, code: 'missing' }) : ok(read.value);
}

const MOST_PIECES = 1_000_000;

/**
 * Reads one row of a stock list. Every cell is tried, so that all that is wrong with a row is said at once.
 * @example readStockRow({ sku: 'A1', kind: 'chain', name: 'Chain', pitch: '.325' }) // the part, its pitch 325
 */
export function readStockRow(row: StockRow): Result<StockPart, readonly CellProblem[]> {
  // A leading apostrophe keeps table programs from computing the cell; it is not part of the text.
  const at = (column: StockColumn): Reading => ({
    column,
    text: (row[column] ?? '').trim().replace(/^'(?=[=+\-@])/, ''),
  });
  const cells = {
    sku: required(at('sku'), 60),
    kind: kind(at('kind')),
    name: required(at('name'), 160),
    pitch: pitch(at('pitch')),
    gauge: gauge(at('gauge')),
    driveLinks: whole(at('driveLinks'), 1, 400),
    kickbackClass: oneOf(at('kickbackClass'), ['low-kickback', 'standard'] as const),
    sequence: oneOf(sequenceAt(at('sequence')), SEQUENCES),
    mount: text(at('mount'), 40),
    oilHole: text(at('oilHole'), 40),
    listedInches: decimal(at('listedInches'), 4, 120),
    teeth: whole(at('teeth'), 4, 20),
    sprocketKind: oneOf(at('sprocket_kind'), SPROCKET_KINDS),
    splines: whole(at('splines'), 2, 60),
    bore: decimal(millimetres(at('bore')), 5, 60),
    saw: text(at('saw'), 200),
    quantity: whole(at('quantity'), 0, MOST_PIECES),
    minimum: whole(at('minimum'), 0, MOST_PIECES),
    price: decimal(at('price'), 0, MOST_PIECES),
  };
  const problems = flatMap(Object.values(cells), (cell) => (cell.ok ? [] : [cell.error]));
  if (problems.length > 0) return err(problems);
  const value = <T>(cell: Cell<T>): T => {
    if (!cell.ok) throw new Error('A cell with a problem was read.');
    return cell.value;
  };
  return ok({
    sku: value(cells.sku),
    kind: value(cells.kind),
    name: value(cells.name),
    pitch: value(cells.pitch),
    gauge: value(cells.gauge),
    driveLinks: value(cells.driveLinks),
    kickbackClass: value(cells.kickbackClass),
    sequence: value(cells.sequence),
    mount: value(cells.mount),
    oilHole: value(cells.oilHole),
    listedInches: value(cells.listedInches),
    teeth: value(cells.teeth),
    sprocketKind: value(cells.sprocketKind),
    splines: value(cells.splines),
    bore: value(cells.bore),
    saw: value(cells.saw),
    quantity: value(cells.quantity) ?? 0,
    minimum: value(cells.minimum) ?? 0,
    priceCents: Math.round((value(cells.price) ?? 0) * 100),
  });
}

/** A part as a row of the stock list: the reverse of {@link readStockRow}. */
export function writeStockRow({ priceCents, ...part }: StockPart): Readonly<Record<StockColumn, string>> {
  const cell = (value: string | number | null): string => (value === null ? '' : String(value));
  return {
    sku: part.sku,
    kind: part.kind,
    name: part.name,
    pitch: cell(part.pitch),
    gauge: cell(part.gauge),
    driveLinks: cell(part.driveLinks),
    kickbackClass: cell(part.kickbackClass),
    sequence: cell(part.sequence),
    mount: cell(part.mount),
    oilHole: cell(part.oilHole),
    listedInches: cell(part.listedInches),
    teeth: cell(part.teeth),
    sprocket_kind: cell(part.sprocketKind),
    splines: cell(part.splines),
    bore: cell(part.bore),
    saw: cell(part.saw),
    quantity: cell(part.quantity),
    minimum: cell(part.minimum),
    price: (priceCents / 100).toFixed(2),
  };
}

/** Columns that are called otherwise than what of a part they hold. */
const NAMED_OTHERWISE: Readonly<Partial<Record<StockColumn, keyof StockPart>>> = {
  price: 'priceCents',
  sprocket_kind: 'sprocketKind',
};

/** What of a part each column holds. */
const FIELD = Object.fromEntries(
  STOCK_COLUMNS.map((column) => [column, NAMED_OTHERWISE[column] ?? column]),
) as Readonly<Record<StockColumn, keyof StockPart>>;

/**
 * A part of the shelf with what a list says of it: columns that the list does not have change nothing, so that a list
 * of prices leaves the shelf as it is.
 * @param columns those that the list has; a cell that is there and empty says that there is nothing
 */
export function laidOver(before: StockPart, listed: StockPart, columns: readonly StockColumn[]): StockPart {
  const said = columns.map((column) => [FIELD[column], listed[FIELD[column]]] as const);
  return { ...before, ...Object.fromEntries(said) };
}

/** Other names that lists give to a column. */
const ALIASES: Readonly<Record<StockColumn, readonly string[]>> = {
  sku: ['part number', 'part no', 'partno', 'number', 'article', 'code', 'item'],
  kind: ['type', 'category', 'group'],
  name: ['description', 'title', 'label'],
  pitch: ['chain pitch'],
  gauge: ['drive link thickness', 'thickness'],
  driveLinks: ['drive links', 'links', 'dl', 'link count'],
  kickbackClass: ['kickback class', 'kickback', 'class'],
  sequence: ['cutter sequence', 'skip', 'complement'],
  mount: ['mount pattern', 'fitting'],
  oilHole: ['oil hole', 'oiler'],
  listedInches: ['listed length', 'length', 'inches', 'bar length'],
  teeth: ['tooth count', 'n'],
  sprocket_kind: ['sprocket type', 'spur or rim'],
  splines: ['spline count', 'spline'],
  bore: ['bore mm', 'inner diameter'],
  saw: ['saws', 'model', 'for saw', 'fits saw'],
  quantity: ['qty', 'stock', 'on hand', 'on the shelf'],
  minimum: ['min', 'minimum stock', 'reorder at'],
  price: ['unit price', 'retail', 'price each'],
};

/** Which heading of a list goes to which column, by name or by one of its other names; a heading is used once. */
export const matchColumns = (headings: readonly string[]): Readonly<Record<StockColumn, number | null>> =>
  matchHeadings(headings, ALIASES);
