import { expose } from 'comlink';
import Papa from 'papaparse';
import {
  CSV_AS_IT_STANDS,
  listRows,
  listText,
  readRows,
  type Columns,
  type ListEncoding,
  type ListProblem,
  type ListRows,
  type Mended,
  type ReadRow,
} from '../core/stock';
import { ok, type Result } from '../core/result';

/** A list that was opened: what its page needs to know of it. */
export interface OpenedList {
  readonly headings: readonly string[];
  readonly rows: number;
  readonly encoding: ListEncoding;
}

/** How the rows of a list read. */
export interface JudgedList {
  readonly good: number;
  readonly bad: number;
  readonly firstGood: readonly ReadRow[];
  readonly firstBad: readonly ReadRow[];
}

/** Rows a page shows. */
const SHOWN = 25;

/** Reads a list away from the page, and keeps it there: the page is given what it shows and what it sends. */
class ListReader {
  private list: ListRows = { headings: [], rows: [] };
  private good: readonly ReadRow[] = [];
  private at = 0;
  private readonly taken = new Set<number>();

  /** @param onRead told how much of the file was read, 0 to 1 */
  async open(file: Blob, onRead: (share: number) => void): Promise<Result<OpenedList, ListProblem>> {
    const bytes = new Uint8Array(file.size);
    let at = 0;
    const reader = file.stream().getReader();
    for (let read = await reader.read(); !read.done; read = await reader.read()) {
      bytes.set(read.value, at);
      at += read.value.length;
      onRead(at / file.size);
    }
    const text = listText(bytes);
    if (!text.ok) return text;
    const rows = listRows(Papa.parse<string[]>(text.value.text, CSV_AS_IT_STANDS));
    if (!rows.ok) return rows;
    this.list = rows.value;
    this.taken.clear();
    const { headings } = this.list;
    return ok({ headings, rows: this.list.rows.length, encoding: text.value.encoding });
  }

  /** Reads every row with these columns and these mended cells. */
  judge(columns: Columns, mended: Mended): JudgedList {
    const rows = readRows(this.list, columns, mended);
    this.good = rows.filter(({ part, line }) => part !== null && !this.taken.has(line));
    this.at = 0;
    const bad = rows.filter(({ part }) => part === null);
    return {
      good: this.good.length,
      bad: bad.length,
      firstGood: this.good.slice(0, SHOWN),
      firstBad: bad.slice(0, SHOWN),
    };
  }

  /** Some of the rows that read well and were not taken in. */
  some(from: number, most: number): readonly ReadRow[] {
    return this.good.slice(from, from + most);
  }

  /** The next rows that read well and were not taken in. Whatever is judged anew meanwhile, none is left out. */
  next(most: number): readonly ReadRow[] {
    const rows: ReadRow[] = [];
    for (; this.at < this.good.length && rows.length < most; this.at += 1) {
      const row = this.good[this.at]!;
      if (!this.taken.has(row.line)) rows.push(row);
    }
    return rows;
  }

  /** Goes back to the first row that was not taken in. */
  again(): void {
    this.at = 0;
  }

  /** Rows that are in stock now. */
  wereTaken(lines: readonly number[]): void {
    for (const line of lines) this.taken.add(line);
  }
}

export type { ListReader };
expose(new ListReader());
