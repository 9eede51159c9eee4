import type { Remote } from 'comlink';
import { IMPORT_BATCH, type ShelvedPartView } from '../../../contract';
import { fieldChanges, type FieldChange, type StockColumn } from '../../../core/stock';
import type { ListReader } from '../../../workers/list-reader';
import { api, failure } from '../../frame/api';
import * as texts from '#language/screens/stock-list';

/** What a row of the list would change of the part that stands on the shelf. */
export interface PartChange {
  readonly line: number;
  readonly sku: string;
  readonly name: string;
  readonly changes: readonly FieldChange[];
}

/** A list laid beside the shelf, as far as it was compared. */
export interface Comparison {
  readonly compared: number;
  readonly of: number;
  readonly isNew: number;
  readonly same: number;
  readonly changed: number;
  /** Fields that would be emptied. */
  readonly lost: number;
  /** The first changes; those that lose something come first. */
  readonly shown: readonly PartChange[];
  readonly trouble: string | null;
}

const SHOWN = 30;

const loses = ({ changes }: PartChange): boolean => changes.some(({ isLost }) => isLost);

function shownOf(before: readonly PartChange[], more: readonly PartChange[]): readonly PartChange[] {
  const all = [...before, ...more];
  return [...all.filter(loses), ...all.filter((change) => !loses(change))].slice(0, SHOWN);
}

/** The version of each part that a list was laid beside; null where there was none. */
export type Seen = Map<string, number | null>;

/**
 * Lays the rows that read well beside the shelf, some at a time.
 * @param seen filled with what each part was laid beside
 * @param onCome told how far it has come; answers true when nobody wants to know any more
 */
export async function compared(
  reader: Remote<ListReader>,
  of: number,
  columns: readonly StockColumn[],
  seen: Seen,
  onCome: (comparison: Comparison) => boolean,
): Promise<void> {
  let so: Comparison = { compared: 0, of, isNew: 0, same: 0, changed: 0, lost: 0, shown: [], trouble: null };
  while (so.compared < of) {
    const rows = (await reader.some(so.compared, IMPORT_BATCH)).flatMap((row) => (row.part ? [row] : []));
    if (rows.length === 0) return;
    let shelf: ReadonlyMap<string, ShelvedPartView>;
    try {
      const there = await api.post<readonly ShelvedPartView[]>('/api/stock/shelved', {
        skus: rows.map(({ part }) => part.sku),
      });
      shelf = new Map(there.map((part) => [part.sku, part]));
    } catch (error) {
      onCome({ ...so, trouble: failure(error, texts.notLaidBeside) });
      return;
    }
    for (const { part } of rows) seen.set(part.sku, shelf.get(part.sku)?.version ?? null);
    const known = rows.flatMap(({ line, row, part }): readonly PartChange[] => {
      const before = shelf.get(part.sku);
      return before
        ? [{ line, sku: part.sku, name: part.name, changes: fieldChanges(before, part, row, columns) }]
        : [];
    });
    const changed = known.filter(({ changes }) => changes.length > 0);
    so = {
      ...so,
      compared: so.compared + rows.length,
      isNew: so.isNew + rows.length - known.length,
      same: so.same + known.length - changed.length,
      changed: so.changed + changed.length,
      lost: so.lost + changed.flatMap(({ changes }) => changes).filter(({ isLost }) => isLost).length,
      shown: shownOf(so.shown, changed),
    };
    if (onCome(so)) return;
  }
}
