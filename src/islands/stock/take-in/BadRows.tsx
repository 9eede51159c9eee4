import { missingColumns, STOCK_COLUMNS, type ReadRow, type RowProblem } from '../../../core/stock';
import { cellProblem, stockColumnName } from '../../../wording';
import type { TakeIn } from './use-take-in';
import * as texts from '#language/screens/stock-list';

function problemText(problem: RowProblem): string {
  return problem.code === 'twice' ? texts.standsInLineAlready(problem.text, problem.line) : cellProblem(problem);
}

/** Rows that cannot be read, each with its line, its reasons, and its cells to put right on the spot. */
export function BadRows({ takeIn: { judged, mend, columns } }: { takeIn: TakeIn }) {
  const { bad, firstBad } = judged;
  if (bad === 0 || !columns || missingColumns(columns).length > 0) return null;
  return (
    <section aria-label={texts.rowsToMend} className="mt-4">
      <h3 className="mb-1 font-bold text-oxide">{texts.rowsCannotBeReadYet(bad)}</h3>
      <ul>
        {firstBad.map((row) => (
          <BadRow key={row.line} row={row} onMend={mend} />
        ))}
      </ul>
      {bad > firstBad.length && <p className="text-sm text-ink-soft">{texts.andMoreToMend(bad - firstBad.length)}</p>}
    </section>
  );
}

function BadRow({ row, onMend }: { row: ReadRow; onMend: TakeIn['mend'] }) {
  const problems = row.problems ?? [];
  const columns = [...new Set(problems.map(({ column }) => column))];
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 border-t border-line py-2">
      <span className="figures text-sm">{texts.line(row.line)}</span>
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
                aria-label={texts.columnOfLine(row.line, stockColumnName[column])}
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
