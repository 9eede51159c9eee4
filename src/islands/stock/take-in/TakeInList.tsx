import { useState } from 'react';
import { X } from 'lucide-react';
import { STOCK_COLUMNS, type StockColumn } from '../../../core/stock';
import { Notice } from '../../../ui/parts/Notice';
import { cellProblem, list as inWords, stockColumnName } from '../../../wording';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../frame/preferences';
import { undoneSentence } from '../Imports';
import { missingColumns, type ReadRow, type RowProblem } from './list-state';
import { readList, useTakeIn, type TakeIn } from './use-take-in';

/** Takes a stock list in: columns matched, rows previewed, bad rows mended here, progress, and undone as one. */
export default function TakeInList({ onClose }: { onClose: () => void }) {
  const { who } = useFrame();
  const takeIn = useTakeIn(who || UNNAMED);
  const [refused, setRefused] = useState<string | null>(null);
  const pick = async (file: File | undefined) => {
    if (!file) return;
    try {
      const list = await readList(file);
      if (list.rows.length === 0) return setRefused(`${file.name} holds no rows below its headings.`);
      setRefused(null);
      takeIn.open(list);
    } catch {
      setRefused(`${file.name} cannot be read as CSV: a header row, then one part a row would be right.`);
    }
  };
  return (
    <section aria-label="Take in a list" className="mb-5 border-2 border-line-strong bg-sheet p-4">
      <div className="mb-3 flex items-start justify-between gap-4">
        <div>
          <h2 className="text-lg font-bold">Take in a list</h2>
          <p className="text-sm text-ink-soft">
            CSV with a header row. Rows that cannot be read stay here with their reason; the others are taken in.
          </p>
        </div>
        <button type="button" className="quiet px-3" onClick={onClose} aria-label="Close the list">
          <X size={18} aria-hidden="true" />
        </button>
      </div>
      <label className="grid max-w-md gap-1">
        <span className="text-sm font-semibold text-ink-soft">The list</span>
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          className="entry py-2"
          onChange={({ target }) => void pick(target.files?.[0])}
        />
      </label>
      {refused && <Notice kind="error">{refused}</Notice>}
      {takeIn.list && takeIn.columns && (
        <>
          <ColumnMatching takeIn={takeIn} />
          <Preview takeIn={takeIn} />
          <BadRows takeIn={takeIn} />
          <Act takeIn={takeIn} />
        </>
      )}
    </section>
  );
}

function ColumnMatching({ takeIn: { list, columns, choose } }: { takeIn: TakeIn }) {
  if (!list || !columns) return null;
  const missing = missingColumns(columns);
  return (
    <fieldset className="mt-4">
      <legend className="mb-1 font-bold">Which heading is which</legend>
      <div className="grid grid-cols-7 gap-2 max-lg:grid-cols-4 max-md:grid-cols-2">
        {STOCK_COLUMNS.map((column) => (
          <label key={column} className="grid gap-0.5">
            <span className="text-sm font-semibold text-ink-soft">{stockColumnName[column]}</span>
            <select
              className="entry w-full"
              value={columns[column] ?? ''}
              onChange={({ target }) => choose(column, target.value === '' ? null : Number(target.value))}
            >
              <option value="">not in the list</option>
              {list.headings.map((heading, i) => (
                <option key={`${heading}${i}`} value={i}>
                  {heading || `column ${i + 1}`}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
      {missing.length > 0 && (
        <div className="mt-2">
          <Notice kind="caution">
            Say which heading holds {inWords(missing.map((column) => stockColumnName[column].toLowerCase()))}: without
            it no row can be read.
          </Notice>
        </div>
      )}
    </fieldset>
  );
}

const PREVIEWED = 4;
const PREVIEW_COLUMNS: readonly StockColumn[] = [
  'sku',
  'kind',
  'name',
  'pitch',
  'gauge',
  'driveLinks',
  'quantity',
  'price',
];

/** The first rows as they will stand on the shelf; what the list does not have stays there as it is. */
function Preview({ takeIn: { good, columns } }: { takeIn: TakeIn }) {
  if (good.length === 0) return null;
  return (
    <div className="mt-4 overflow-x-auto">
      <h3 className="mb-1 font-bold">
        {good.length === 1 ? '1 row reads well' : `${good.length} rows read well`}
        {good.length > PREVIEWED && <span className="font-normal text-ink-soft">; the first {PREVIEWED}:</span>}
      </h3>
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            {PREVIEW_COLUMNS.map((column) => (
              <th key={column} scope="col" className="px-2 py-1">
                {stockColumnName[column]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {good.slice(0, PREVIEWED).map(({ line, row }) => (
            <tr key={line} className="border-b border-line">
              {PREVIEW_COLUMNS.map((column) => (
                <td key={column} className="px-2 py-1">
                  {columns?.[column] === null ? <span className="text-ink-soft">stays</span> : row[column]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-ink-soft">
        “Stays”: the list has no such column, so a part that is on the shelf already keeps what it has.
      </p>
    </div>
  );
}

function problemText(problem: RowProblem): string {
  return problem.code === 'twice' ? `${problem.text} stands in line ${problem.line} already.` : cellProblem(problem);
}

const BAD_SHOWN = 25;

/** Rows that cannot be read, each with its line, its reasons, and its cells to put right on the spot. */
function BadRows({ takeIn: { bad, mend, columns } }: { takeIn: TakeIn }) {
  if (bad.length === 0 || !columns || missingColumns(columns).length > 0) return null;
  return (
    <section aria-label="Rows to mend" className="mt-4">
      <h3 className="mb-1 font-bold text-oxide">
        {bad.length === 1 ? '1 row cannot be read yet' : `${bad.length} rows cannot be read yet`}
      </h3>
      <ul>
        {bad.slice(0, BAD_SHOWN).map((row) => (
          <BadRow key={row.line} row={row} onMend={mend} />
        ))}
      </ul>
      {bad.length > BAD_SHOWN && (
        <p className="text-sm text-ink-soft">and {bad.length - BAD_SHOWN} more, shown as these are mended.</p>
      )}
    </section>
  );
}

function BadRow({ row, onMend }: { row: ReadRow; onMend: TakeIn['mend'] }) {
  const problems = row.problems ?? [];
  const columns = [...new Set(problems.map(({ column }) => column))];
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 border-t border-line py-2">
      <span className="figures text-sm">line {row.line}</span>
      <div>
        <p className="truncate text-sm text-ink-soft">
          {STOCK_COLUMNS.map((column) => row.row[column])
            .filter(Boolean)
            .join(' · ')}
        </p>
        {problems.map((problem) => {
          const text = problemText(problem);
          return (
            <p key={text} className="text-sm font-semibold text-oxide">
              {text}
            </p>
          );
        })}
        <div className="mt-1 flex flex-wrap gap-3">
          {columns.map((column) => (
            <label key={column} className="flex items-center gap-2 text-sm">
              <span className="font-semibold">{stockColumnName[column]}</span>
              <input
                className="entry w-44 figures"
                aria-label={`Line ${row.line}, ${stockColumnName[column]}`}
                defaultValue={row.row[column] ?? ''}
                onBlur={({ target }) => onMend(row.line, column, target.value)}
                onKeyDown={(event) => event.key === 'Enter' && onMend(row.line, column, event.currentTarget.value)}
              />
            </label>
          ))}
        </div>
      </div>
    </li>
  );
}

/** The act, its progress, and its undoing. */
function Act({ takeIn }: { takeIn: TakeIn }) {
  const { good, bad, progress, columns } = takeIn;
  const { who } = useFrame();
  const [undone, setUndone] = useState<string | null>(null);
  const running = progress?.state === 'running';
  const undo = async () => {
    if (!progress) return;
    try {
      const result = await api.post<{ restored: number; kept: string[] }>(`/api/stock/imports/${progress.id}/undo`, {
        by: who || UNNAMED,
      });
      setUndone(undoneSentence(result));
    } catch (error) {
      setUndone(failure(error, 'It was not undone.'));
    }
  };
  const ready = columns !== null && missingColumns(columns).length === 0;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      {undone === null && (
        <button
          type="button"
          className="act"
          disabled={!ready || good.length === 0 || running}
          onClick={() => void takeIn.takeIn()}
        >
          {good.length === 1 ? 'Take 1 row in' : `Take ${good.length} rows in`}
        </button>
      )}
      {bad.length > 0 && ready && (
        <span className="text-sm text-ink-soft">
          {bad.length === 1 ? 'The bad row stays' : `The ${bad.length} bad rows stay`} here to be mended.
        </span>
      )}
      {progress && (
        <div role="status" className="flex grow items-center gap-3">
          <progress
            className="h-3 grow accent-pine"
            value={progress.taken}
            max={Math.max(1, progress.of)}
            aria-label="Rows taken in"
          />
          <span className="figures text-sm">
            {progress.taken} of {progress.of}
          </span>
          {progress.state === 'stopped' && (
            <span className="text-sm font-semibold text-oxide">
              {progress.trouble} Take the rest in when it is back.
            </span>
          )}
        </div>
      )}
      {progress && !running && undone === null && (
        <>
          <button type="button" className="quiet" onClick={() => void undo()}>
            Undo this list
          </button>
          <a className="grid quiet place-items-center" href="/stock">
            Show the shelf
          </a>
        </>
      )}
      {undone && <Notice kind="good">{undone}</Notice>}
    </div>
  );
}
