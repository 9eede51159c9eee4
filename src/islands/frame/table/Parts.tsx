import { ArrowDown, ArrowUp, ChevronsUpDown } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Column, Order } from './column';
import * as texts from '#language/screens/table';

interface HeadsProps<Row> {
  readonly columns: readonly Column<Row>[];
  readonly order: Order | null;
  readonly onOrder: (id: string) => void;
}

/** What stands over the columns; pressed, a head orders the rows by its column. */
export function Heads<Row>({ columns, order, onOrder }: HeadsProps<Row>) {
  return (
    <thead className="bg-paper xl:sticky xl:top-12 xl:z-10">
      <tr className="border-b-2 border-ink text-left text-sm" aria-rowindex={1}>
        {columns.map(({ id, head, value, isRight }) => {
          if (!value) return <UnorderedHead key={id} head={head} />;
          const its = order?.id === id ? order : null;
          const Sign = its === null ? ChevronsUpDown : its.isDown ? ArrowDown : ArrowUp;
          return (
            <th
              key={id}
              scope="col"
              aria-sort={its === null ? 'none' : its.isDown ? 'descending' : 'ascending'}
              className={`px-2 ${isRight ? 'text-right' : ''}`}
            >
              <button
                type="button"
                className="inline-flex min-h-9 items-center gap-1 font-bold hover:underline max-md:min-h-[44px]"
                title={texts.orderBy(head)}
                onClick={() => onOrder(id)}
              >
                {head}
                <Sign size={14} aria-hidden="true" className={its === null ? 'text-ink-soft' : ''} />
              </button>
            </th>
          );
        })}
      </tr>
    </thead>
  );
}

/** The head of what rows are not ordered by: it is only heard. */
const UnorderedHead = ({ head }: { head: string }) => (
  <th scope="col">
    <span className="sr-only">{head}</span>
  </th>
);

interface CellsProps<Row> {
  readonly columns: readonly Column<Row>[];
  readonly row: Row;
}

/** What stands in the columns of one row. */
export const Cells = <Row,>({ columns, row }: CellsProps<Row>) =>
  columns.map(({ id, cell, isName, isRight, className = '' }) =>
    isName ? (
      <th key={id} scope="row" className={`px-2 text-left font-normal group-data-[cut]:truncate ${className}`}>
        {cell(row)}
      </th>
    ) : (
      <td key={id} className={`px-2 group-data-[cut]:truncate ${isRight ? 'text-right figures' : ''} ${className}`}>
        {cell(row)}
      </td>
    ),
  );

interface SheetProps<Row> {
  readonly name: string;
  readonly columns: readonly Column<Row>[];
  /** Rows that there are, on the screen or not. */
  readonly total: number;
  readonly children: ReactNode;
}

/** What names the rows has so much room at least, rem. */
const LEAST_NAME = 16;
/** A table up to so wide fits a desk's screen, rem: then its heads stay in sight, which they do not in a box of their own. */
const FITS = 80;

/**
 * The table around heads and rows; where it is wider than the screen it alone is moved. Its columns are as wide as they
 * are said to be, whatever rows are drawn.
 */
export function Sheet<Row>({ name, columns, total, children }: SheetProps<Row>) {
  const width = columns.reduce((sum, each) => sum + (each.width ?? LEAST_NAME), 0);
  return (
    <div className={`overflow-x-auto ${width <= FITS ? 'xl:overflow-x-visible' : ''}`}>
      <table
        className="w-full table-fixed border-collapse"
        style={{ minWidth: `${width}rem` }}
        aria-label={name}
        aria-rowcount={total + 1}
      >
        <colgroup>
          {columns.map((each) => (
            <col key={each.id} style={each.width === undefined ? {} : { width: `${each.width}rem` }} />
          ))}
        </colgroup>
        {children}
      </table>
    </div>
  );
}
