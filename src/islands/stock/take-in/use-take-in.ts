import { useCallback, useEffect, useRef, useState } from 'react';
import { proxy } from 'comlink';
import { IMPORT_BATCH, type BatchTaken, type ImportBatch } from '../../../contract';
import {
  columnsIn,
  missingColumns,
  MOST_LIST_BYTES,
  proposedColumns,
  type Columns,
  type Mended,
  type StockColumn,
} from '../../../core/stock';
import { listProblem } from '../../../wording';
import type { JudgedList, OpenedList } from '../../../workers/list-reader';
import { startReading, type ListReading } from '../../../workers/list-reading';
import { api, failure } from '../../frame/api';
import { compared, type Comparison, type Seen } from './comparison';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/stock-list';

/** How far the taking-in has come. */
export interface Progress {
  readonly id: string;
  readonly taken: number;
  readonly of: number;
  readonly state: 'running' | 'stopped' | 'done';
  readonly trouble: string | null;
}

/** A list that is open, by the name of its file. */
export interface NamedList extends OpenedList {
  readonly name: string;
}

const NO_ROWS: JudgedList = { good: 0, bad: 0, firstGood: [], firstBad: [] };

/** A list on its way into stock: its columns, what was mended, what it would change, what is taken in. */
export function useTakeIn(by: string) {
  const reading = useRef<ListReading | null>(null);
  const stop = useRef(false);
  const seen = useRef<Seen>(new Map());
  /** Raised where the shelf is to be looked at anew, though nothing of the list has changed. */
  const [looks, setLooks] = useState(0);
  const [opening, setOpening] = useState<number | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [list, setList] = useState<NamedList | null>(null);
  const [columns, setColumns] = useState<Columns | null>(null);
  const [mended, setMended] = useState<Mended>({});
  const [judged, setJudged] = useState<JudgedList>(NO_ROWS);
  const [comparison, setComparison] = useState<Comparison | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);

  const forget = useCallback(() => {
    reading.current?.end();
    reading.current = null;
    setOpening(null);
    setList(null);
    setColumns(null);
    setMended({});
    setJudged(NO_ROWS);
    setComparison(null);
    setProgress(null);
  }, []);
  useEffect(() => () => reading.current?.end(), []);

  /** Opens a file in place of what was open. */
  const open = async (file: File) => {
    forget();
    setRefused(null);
    if (file.size > MOST_LIST_BYTES)
      return setRefused(listProblem({ code: 'too-large', bytes: file.size, most: MOST_LIST_BYTES }));
    const started = startReading();
    reading.current = started;
    setOpening(0);
    try {
      const opened = await started.reader.open(file, proxy(setOpening));
      setOpening(null);
      if (!opened.ok) return setRefused(listProblem(opened.error));
      setList({ ...opened.value, name: file.name });
      setColumns(proposedColumns(opened.value.headings));
    } catch {
      setOpening(null);
      setRefused(texts.notReadAsCsv);
    }
  };

  // What the rows read as, and what they would change, whenever columns or cells change.
  useEffect(() => {
    const reader = reading.current?.reader;
    if (!reader || !columns) return;
    let isStale = false;
    const look = async () => {
      const found = await reader.judge(columns, mended);
      if (isStale) return;
      setJudged(found);
      setComparison(null);
      if (missingColumns(columns).length > 0) return;
      await compared(reader, found.good, columnsIn(columns), seen.current, (next) => {
        if (!isStale) setComparison(next);
        return isStale;
      });
    };
    void look();
    return () => {
      isStale = true;
    };
  }, [columns, mended, looks]);

  const choose = (column: StockColumn, at: number | null) =>
    setColumns((before) => before && { ...before, [column]: at });
  const mend = (line: number, column: StockColumn, text: string) =>
    setMended((before) => ({ ...before, [line]: { ...before[line], [column]: text } }));

  /** Sends what is good in batches; what is bad stays on the screen. A batch that fails stops it, and it can go on. */
  const takeIn = async () => {
    const reader = reading.current?.reader;
    if (!list || !columns || !reader) return;
    const has = columnsIn(columns);
    const id = progress?.id ?? crypto.randomUUID();
    const of = judged.good;
    stop.current = false;
    const came = (taken: number, trouble: string | null = null) => {
      const state = trouble !== null ? 'stopped' : taken === of ? 'done' : 'running';
      setProgress({ id, taken, of, state, trouble });
    };
    let taken = 0;
    let moved = 0;
    came(taken);
    await reader.again();
    for (;;) {
      const batch = await reader.next(IMPORT_BATCH);
      if (batch.length === 0) break;
      const parts = batch.flatMap(({ part }) => (part ? [part] : []));
      try {
        if (stop.current) throw new Error(texts.stoppedHere);
        const was = parts.map(({ sku }) => seen.current.get(sku) ?? null);
        const request: ImportBatch = { by, name: list.name, parts, columns: [...has], was };
        const answer = await api.post<BatchTaken>(`/api/stock/imports/${id}`, request);
        const left = new Set(answer.moved.map(({ sku }) => sku));
        await reader.wereTaken(batch.filter(({ part }) => part && !left.has(part.sku)).map(({ line }) => line));
        taken += answer.taken;
        moved += left.size;
      } catch (error) {
        came(taken, failure(error, stop.current ? texts.stopped : common.theServerCannotBeReached));
        break;
      }
      came(taken);
    }
    if (moved > 0) came(taken, texts.movedSinceShown(moved));
    // What is left of the list is laid beside the shelf as it stands now.
    setLooks((before) => before + 1);
  };

  return {
    opening,
    refused,
    list,
    columns,
    judged,
    comparison,
    progress,
    open,
    forget,
    choose,
    mend,
    takeIn,
    stopHere: () => {
      stop.current = true;
    },
  };
}

export type TakeIn = ReturnType<typeof useTakeIn>;
