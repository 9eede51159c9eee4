import { memo, useCallback, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useFrame } from '../../frame/frame-context';
import { TypesHere } from '../others/TypesHere';
import { Conflict } from '../parts/Conflict';
import { useJob, useJobStore, useOfStore } from '../store/JobContext';
import type { InstrumentId } from '../../../core/quantity';
import { instrumentShort } from '../../../wording';
import { writtenBy } from '../../caliper/field';
import { TOOL_KEY } from '../tools/tool-in-hand';
import type { Snapshot } from '../store/job-store';
import { keeping } from '../store/keeping';
import type { Meaning } from '../store/meaning';
import { fieldState, heldAt, useFieldActions, type FieldState } from '../store/useField';
import { plannedText, type Edge, type StationRow } from './stations';
import * as texts from '#language/screens/job-bar';

/** Columns in the order of the entry path; the position is asked for only by going there. */
const COLUMNS = [
  { name: 'at', label: 'at' },
  { name: 'near', label: texts.nearRail },
  { name: 'far', label: texts.farRail },
  { name: 'mouth', label: texts.grooveWidth },
] as const;
type Column = (typeof COLUMNS)[number]['name'];
const PATH_START = 1;

interface StationTableProps {
  readonly edge: Edge;
  readonly rows: readonly StationRow[];
  readonly selected: string | null;
  readonly onSelect: (key: string) => void;
  readonly onEdge: (edge: Edge) => void;
}

/** Readings of one edge. Enter walks near → far → width → next station; arrows move; `[` and `]` change the edge. */
export function StationTable({ edge, rows, selected, onSelect, onEdge }: StationTableProps) {
  const { unit } = useFrame();
  const { entered } = useJob();
  const readings = useOfStore((snapshot) => snapshot);
  const [fieldsOf] = useState(() => keeping(rowFields));
  const fields = fieldsOf(rows, readings, entered, unit);
  const table = useRef<HTMLTableElement>(null);
  // A caret that stood in the table begins the other edge where its path begins.
  useEffect(() => {
    if (table.current?.contains(document.activeElement)) focusIn(table.current, 0, PATH_START);
  }, [edge]);
  const count = rows.length;
  const onMove = useCallback<StationCellsProps['onMove']>(
    (event, row, column, accepted) => {
      const { selectionStart, selectionEnd, value } = event.currentTarget;
      const [atStart, atEnd] = [selectionEnd === 0, selectionStart === value.length];
      const step = moveFor(event.key, { row, column, accepted, atStart, atEnd, rows: count });
      if (step === 'edge-A' || step === 'edge-B') onEdge(step === 'edge-A' ? 'A' : 'B');
      else if (step && table.current) focusIn(table.current, step.row, step.column);
      else return;
      event.preventDefault();
    },
    [count, onEdge],
  );
  return (
    <div>
      <table ref={table} className="w-full border-collapse">
        <caption className="sr-only">{texts.stationsOfEdge(edge)}</caption>
        <thead>
          <tr className="text-left text-[13px] text-ink-soft">
            <th scope="col" className="w-8 font-semibold max-md:w-5">
              <span className="sr-only">{texts.station}</span>
            </th>
            {COLUMNS.map(({ name, label }) => (
              <th key={name} scope="col" className="pb-1 font-semibold">
                {label} <span className="figures font-normal max-md:hidden">{unit}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <StationCells
              key={row.key}
              edge={edge}
              row={row}
              fields={fields[i]!}
              number={i}
              selected={selected === row.key}
              onSelect={onSelect}
              onMove={onMove}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Puts the caret into a cell, all of its text chosen. */
function focusIn(table: HTMLTableElement, row: number, column: number): void {
  const cell = table.querySelector<HTMLInputElement>(`[data-cell="${row}:${column}"]`);
  cell?.focus();
  cell?.select();
}

interface Caret {
  readonly row: number;
  readonly column: number;
  readonly accepted: boolean;
  readonly atStart: boolean;
  readonly atEnd: boolean;
  readonly rows: number;
}

/**
 * Where a key leads from a cell: another cell, another edge, or nowhere. A refused entry is not walked away from by
 * Enter.
 */
export function moveFor(
  key: string,
  { row, column, accepted, atStart, atEnd, rows }: Caret,
): { row: number; column: number } | 'edge-A' | 'edge-B' | null {
  const last = COLUMNS.length - 1;
  if (key === '[') return 'edge-A';
  if (key === ']') return 'edge-B';
  if (key === 'ArrowUp') return { row: Math.max(0, row - 1), column };
  if (key === 'ArrowDown') return { row: Math.min(rows - 1, row + 1), column };
  if (key === 'ArrowLeft' && atStart) return { row, column: Math.max(0, column - 1) };
  if (key === 'ArrowRight' && atEnd) return { row, column: Math.min(last, column + 1) };
  if (key !== 'Enter' || !accepted) return null;
  if (column < last) return { row, column: column + 1 };
  return row + 1 < rows ? { row: row + 1, column: PATH_START } : { row, column };
}

type RowFields = Readonly<Record<Column, FieldState>>;

/** What the fields of each row show. */
function rowFields(
  rows: readonly StationRow[],
  readings: Pick<Snapshot, 'standing' | 'drafts'>,
  entered: Meaning['entered'],
  unit: 'mm' | 'in',
): readonly RowFields[] {
  return rows.map(({ path }) => {
    const field = (column: Column) => {
      const at = `${path}.${column}`;
      return fieldState(at, heldAt(at, readings), entered, unit);
    };
    return { at: field('at'), near: field('near'), far: field('far'), mouth: field('mouth') };
  });
}

interface StationCellsProps {
  readonly edge: Edge;
  readonly row: StationRow;
  readonly fields: RowFields;
  readonly number: number;
  readonly selected: boolean;
  readonly onSelect: (key: string) => void;
  readonly onMove: (event: KeyboardEvent<HTMLInputElement>, row: number, column: number, accepted: boolean) => void;
}

/**
 * One station: its four fields, and under them what is wrong with any. Drawn anew only when its own fields change: a
 * key changes one station of many.
 */
const StationCells = memo(function StationCells(props: StationCellsProps) {
  const { edge, row, fields, number, selected, onSelect, onMove } = props;
  const { resolve } = useFieldActions();
  const troubled = COLUMNS.filter(({ name }) => fields[name].refused !== null || fields[name].conflict !== null);
  const sayId = `say-${edge}-${row.key}`;
  return (
    <>
      <tr className={selected ? 'bg-steel-pale' : ''}>
        <th scope="row" className="pl-1 text-left figures text-ink-soft">
          {number + 1}
        </th>
        {COLUMNS.map(({ name, label }, column) => (
          <td key={name} className="p-0.5">
            <Cell
              row={row}
              column={name}
              cell={`${number}:${column}`}
              label={texts.readingOfStation(edge, number + 1, label)}
              field={fields[name]}
              at={fields.at.path}
              sayId={sayId}
              onSelect={onSelect}
              onKeyDown={(event, accepted) => onMove(event, number, column, accepted)}
            />
          </td>
        ))}
      </tr>
      <tr className={selected ? 'bg-steel-pale' : ''}>
        <td colSpan={COLUMNS.length + 1} className="p-0">
          <div id={sayId} className="text-sm">
            {COLUMNS.map(({ name }) => (
              <TypesHere key={name} path={fields[name].path} />
            ))}
            {troubled.map(({ name, label }) => (
              <div key={name} className="px-2 pb-1.5">
                {fields[name].refused && (
                  <p className="font-semibold text-oxide">
                    {label}: {fields[name].refused}
                  </p>
                )}
                <Conflict field={{ ...fields[name], resolve: (keep) => resolve(fields[name].path, keep) }} />
              </div>
            ))}
          </div>
        </td>
      </tr>
    </>
  );
});

interface CellProps {
  readonly row: StationRow;
  readonly column: Column;
  readonly cell: string;
  readonly label: string;
  readonly field: FieldState;
  /** Path of the station's position. */
  readonly at: string;
  readonly sayId: string;
  readonly onSelect: (key: string) => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>, accepted: boolean) => void;
}

function Cell({ row, column, cell, label, field, at, sayId, onSelect, onKeyDown }: CellProps) {
  const store = useJobStore();
  const actions = useFieldActions();
  const { position } = useFrame();
  /** A planned station gets its planned position with its first reading. */
  const type = (text: string, tool?: InstrumentId) => {
    if (row.planned && column !== 'at' && text.trim() !== '') store.type(at, plannedText(row.at), 'mm');
    actions.type(field.path, text, tool);
  };
  const enter = () => {
    if (column !== 'at') actions.enter(at);
    actions.enter(field.path);
  };
  return (
    <div className="relative">
      <input
        data-cell={cell}
        data-path={field.path}
        // A planned place need not be typed: the caret is led to what is measured there.
        data-aside={column === 'at' || undefined}
        aria-label={label}
        aria-invalid={field.refused !== null}
        aria-describedby={sayId}
        inputMode="decimal"
        autoComplete="off"
        className="entry w-full min-w-0 figures max-md:px-1.5"
        value={field.text}
        placeholder={column === 'at' && row.planned ? position(row.at) : ''}
        onFocus={() => onSelect(row.key)}
        onChange={({ target }) => type(target.value, writtenBy(target))}
        onBlur={enter}
        onKeyDown={(event) => {
          if (event.key === TOOL_KEY && actions.cycleTool(field.path)) event.preventDefault();
          if (event.key === '[' || event.key === ']' || event.key === 'Enter') enter();
          onKeyDown(event, actions.isRight(field.path));
        }}
      />
      {field.tool && (
        <span className="pointer-events-none absolute right-1.5 bottom-0.5 text-[11px] text-ink-soft">
          {instrumentShort(field.tool)}
        </span>
      )}
    </div>
  );
}
