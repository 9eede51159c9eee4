import { useEffect, useRef, useState } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { nextOrder, type LongTableProps, type Order } from './column';
import { ColumnChoice } from './ColumnChoice';
import { Cells, Heads, Sheet } from './Parts';
import { useShownColumns } from './shown-columns';
import type { WholeTable } from './WholeTable';
import * as texts from '#language/screens/table';

type Whole = typeof WholeTable;

/** All rows, ordered and drawn as they are scrolled to, come with a part of the programme that most visits never need. */
function useWhole(isWanted: boolean) {
  const [whole, setWhole] = useState<{ readonly View: Whole } | 'trouble' | null>(null);
  useEffect(() => {
    if (!isWanted) return undefined;
    let isStale = false;
    import('./WholeTable').then(
      (there) => !isStale && setWhole({ View: there.WholeTable }),
      () => !isStale && setWhole('trouble'),
    );
    return () => {
      isStale = true;
    };
  }, [isWanted]);
  return whole;
}

/** How far below the screen the last row is when further ones are fetched. */
const AHEAD = '600px';

/**
 * A table of any length. The first rows come with the page; all others are fetched once somebody scrolls on or orders
 * them, and only those on the screen are drawn.
 */
export function LongTable<Row>(props: LongTableProps<Row>) {
  const { name, id, columns, keyOf, rowHeight, first, total, note } = props;
  const [shown, setShown] = useShownColumns(id, columns);
  const [order, setOrder] = useState<Order | null>(null);
  const [isWanted, setIsWanted] = useState(false);
  const whole = useWhole(isWanted);
  const end = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (isWanted || total <= first.length || !end.current) return undefined;
    const seen = new IntersectionObserver(
      (entries) => {
        if (entries.some((each) => each.isIntersecting)) setIsWanted(true);
      },
      { rootMargin: AHEAD },
    );
    seen.observe(end.current);
    return () => seen.disconnect();
  }, [isWanted, total, first.length]);
  const onOrder = (column: string) => {
    setOrder(nextOrder(order, column));
    setIsWanted(true);
  };
  return (
    <div>
      <div className="mb-1 flex flex-wrap items-center justify-between gap-x-4">
        <p className="text-sm text-ink-soft">{note}</p>
        <ColumnChoice columns={columns} shown={shown} onChange={setShown} />
      </div>
      {whole !== null && whole !== 'trouble' ? (
        <whole.View<Row> {...props} columns={shown} order={order} onOrder={onOrder} />
      ) : (
        <Sheet name={name} columns={shown} total={total}>
          <Heads columns={shown} order={order} onOrder={onOrder} />
          <tbody>
            {first.map((row, i) => (
              <tr
                key={keyOf(row)}
                aria-rowindex={i + 2}
                className="border-b border-line"
                style={{ height: `${rowHeight}rem` }}
              >
                <Cells columns={shown} row={row} />
              </tr>
            ))}
          </tbody>
        </Sheet>
      )}
      {whole === 'trouble' && <Notice kind="error">{texts.restNotFetched}</Notice>}
      <div ref={end} />
    </div>
  );
}
