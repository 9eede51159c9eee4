import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Column } from './column';

const keptAt = (table: string): string => `serrata:columns:${table}`;

/** Columns that somebody chose on this device; null where nobody did, or what is kept is none. */
function kept(table: string): readonly string[] | null {
  try {
    const ids: unknown = JSON.parse(window.localStorage.getItem(keptAt(table)) ?? 'null');
    return Array.isArray(ids) ? ids.filter((id) => typeof id === 'string') : null;
  } catch {
    return null;
  }
}

/** The columns of a table that are shown: as chosen on this device, else those that are no extras. */
export function useShownColumns<Row>(
  table: string,
  columns: readonly Column<Row>[],
): readonly [readonly Column<Row>[], (ids: readonly string[]) => void] {
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  // The server does not know what is kept here.
  useEffect(() => setChosen(kept(table)), [table]);
  const choose = useCallback(
    (ids: readonly string[]) => {
      setChosen(ids);
      try {
        window.localStorage.setItem(keptAt(table), JSON.stringify(ids));
      } catch {
        // A full or forbidden store: the choice lasts as long as the page.
      }
    },
    [table],
  );
  const shown = useMemo(
    () => columns.filter(({ id, isName, isExtra }) => isName || (chosen ? chosen.includes(id) : !isExtra)),
    [columns, chosen],
  );
  return [shown, choose];
}
