import { useCallback, useMemo, useState } from 'react';
import { IMPORT_BATCH } from '../../../contract';
import { STOCK_COLUMNS, type StockColumn, type StockPart } from '../../../core/stock';
import { api, failure } from '../../frame/api';
import { proposed, readRows, type Columns, type Mended, type RawList, type ReadRow } from './list-state';

/** How far the taking-in has come. */
export interface Progress {
  readonly id: string;
  readonly taken: number;
  readonly of: number;
  readonly state: 'running' | 'stopped' | 'done';
  readonly trouble: string | null;
}

/** Reads a CSV file in the browser; the reader is fetched only when a list is taken in. */
export async function readList(file: File): Promise<RawList> {
  const { default: Papa } = await import('papaparse');
  const text = (await file.text()).replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const [headings = [], ...rows] = data;
  return { name: file.name, headings, rows };
}

/** A list on its way into stock: its columns, what was mended, what is taken in. */
export function useTakeIn(by: string) {
  const [list, setList] = useState<RawList | null>(null);
  const [columns, setColumns] = useState<Columns | null>(null);
  const [mended, setMended] = useState<Mended>({});
  const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
  const [progress, setProgress] = useState<Progress | null>(null);

  const rows = useMemo(() => (list && columns ? readRows(list, columns, mended) : []), [list, columns, mended]);
  const good = rows.filter((row) => row.part !== null && !taken.has(row.line));
  const bad = rows.filter((row) => row.part === null);

  const open = useCallback((next: RawList) => {
    setList(next);
    setColumns(proposed(next));
    setMended({});
    setTaken(new Set());
    setProgress(null);
  }, []);

  const choose = (column: StockColumn, at: number | null) =>
    setColumns((before) => before && { ...before, [column]: at });
  const mend = (line: number, column: StockColumn, text: string) =>
    setMended((before) => ({ ...before, [line]: { ...before[line], [column]: text } }));

  /** Sends what is good in batches; what is bad stays on the screen. A batch that fails stops it, and it can go on. */
  const takeIn = async () => {
    if (!list || !columns) return;
    const has = STOCK_COLUMNS.filter((column) => columns[column] !== null);
    const id = progress?.id ?? crypto.randomUUID();
    const of = good.length;
    let sent = 0;
    setProgress({ id, taken: 0, of, state: 'running', trouble: null });
    for (let i = 0; i < good.length; i += IMPORT_BATCH) {
      const batch: readonly ReadRow[] = good.slice(i, i + IMPORT_BATCH);
      const parts = batch.flatMap(({ part }): StockPart[] => (part ? [part] : []));
      try {
        await api.post(`/api/stock/imports/${id}`, { by, name: list.name, parts, columns: has });
      } catch (error) {
        const why = failure(error, 'The server cannot be reached.');
        setProgress({ id, taken: sent, of, state: 'stopped', trouble: why });
        return;
      }
      sent += batch.length;
      setTaken((before) => new Set([...before, ...batch.map(({ line }) => line)]));
      setProgress({ id, taken: sent, of, state: sent === of ? 'done' : 'running', trouble: null });
    }
  };

  return { list, columns, good, bad, taken, progress, open, choose, mend, takeIn };
}

export type TakeIn = ReturnType<typeof useTakeIn>;
