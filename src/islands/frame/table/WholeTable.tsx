import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { Notice } from '../../../ui/parts/Notice';
import type { Column, LongTableProps, Order } from './column';
import { Cells, Heads, Sheet } from './Parts';
import { useAllRows } from './all-rows';
import * as texts from '#language/screens/table';

interface WholeTableProps<Row> extends Omit<LongTableProps<Row>, 'id' | 'note'> {
  readonly order: Order | null;
  readonly onOrder: (id: string) => void;
}

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() });

/** Of more rows each is as high as the others: measured one by one, each would move all below it. */
const MOST_MEASURED = 3000;
/** How many px a rem is before the page was looked at. */
const USUAL_REM = 16;
/** Rows drawn above and below the screen. */
const MORE = 12;

/** What is compared: words whatever their capitals. */
const comparable = (value: string | number | null): string | number | undefined =>
  typeof value === 'string' ? value.toLowerCase() || undefined : (value ?? undefined);

/** Rows in the order that somebody asked for; what says nothing comes last, whichever way. */
function useOrdered<Row>(columns: readonly Column<Row>[], rows: readonly Row[], order: Order | null): readonly Row[] {
  const defined = useMemo(() => {
    const helper = createColumnHelper<typeof features, { readonly row: Row }>();
    return columns.map(({ id, value = () => null }) =>
      helper.accessor(({ row }): unknown => comparable(value(row)), {
        id,
        sortFn: sortFn_basic,
        sortUndefined: 'last',
      }),
    );
  }, [columns]);
  const data = useMemo(() => rows.map((row) => ({ row })), [rows]);
  const sorting = useMemo(() => (order ? [{ id: order.id, desc: order.isDown }] : []), [order]);
  const table = useTable({ features, columns: defined, data, state: { sorting }, onSortingChange: () => undefined });
  const { rows: ordered } = table.getRowModel();
  return useMemo(() => ordered.map(({ original }) => original.row), [ordered]);
}

/** All rows of a table: those on the screen are drawn, the others are room. */
export function WholeTable<Row>(props: WholeTableProps<Row>) {
  const { name, columns, keyOf, rowHeight, first, total, address, order, onOrder } = props;
  const { rows, isWhole, trouble, again } = useAllRows(address, first);
  const ordered = useOrdered(columns, rows, order);
  const body = useRef<HTMLTableSectionElement>(null);
  const [{ above, rem }, setLaid] = useState({ above: 0, rem: USUAL_REM });
  // As they come they stand where they will stay; rows that are ordered are only those that are here.
  const all = isWhole || order !== null ? ordered.length : Math.max(total, ordered.length);
  useLayoutEffect(() => {
    const top = body.current?.getBoundingClientRect().top ?? 0;
    setLaid({ above: top + window.scrollY, rem: parseFloat(getComputedStyle(document.documentElement).fontSize) });
  }, []);
  const isCut = all > MOST_MEASURED;
  const height = useCallback(() => rowHeight * rem, [rowHeight, rem]);
  // The same function for as long as the rows are: with another one all of them would be laid out anew.
  const keyAt = useCallback((i: number) => (i < ordered.length ? keyOf(ordered[i]!) : i), [ordered, keyOf]);
  const windowed = useWindowVirtualizer<HTMLTableRowElement>({
    count: all,
    estimateSize: height,
    overscan: MORE,
    scrollMargin: above,
    getItemKey: keyAt,
  });
  const drawn = windowed.getVirtualItems();
  const [before, after] = [
    (drawn[0]?.start ?? above) - above,
    windowed.getTotalSize() - ((drawn.at(-1)?.end ?? above) - above),
  ];
  return (
    <>
      <p role="status" className="text-sm text-ink-soft">
        {isWhole || trouble !== null ? '' : texts.fetchingTheRest(rows.length, total)}
      </p>
      {trouble !== null && (
        <Notice kind="error">
          {trouble}{' '}
          <button type="button" className="underline" onClick={again}>
            {texts.tryAgain}
          </button>
        </Notice>
      )}
      <Sheet name={name} columns={columns} total={all}>
        <Heads columns={columns} order={order} onOrder={onOrder} />
        <tbody ref={body}>
          <Room height={before} columns={columns.length} />
          {drawn.map(({ key, index }) => (
            <tr
              key={key}
              {...(isCut ? { 'data-cut': true } : { ref: windowed.measureElement, 'data-index': index })}
              aria-rowindex={index + 2}
              className="group border-b border-line"
              style={{ height: `${rowHeight}rem` }}
            >
              {index < ordered.length ? (
                <Cells columns={columns} row={ordered[index]!} />
              ) : (
                <td className="px-2 text-ink-soft" colSpan={columns.length}>
                  {texts.onItsWay}
                </td>
              )}
            </tr>
          ))}
          <Room height={after} columns={columns.length} />
        </tbody>
      </Sheet>
    </>
  );
}

/** Rows that are not drawn take up their room. */
const Room = ({ height, columns }: { height: number; columns: number }) =>
  height > 0 ? (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height }} />
    </tr>
  ) : null;
