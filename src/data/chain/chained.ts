import { getTableColumns, getTableName } from 'drizzle-orm';
import {
  gearChange,
  handOver,
  handStudy,
  limitChange,
  partOrder,
  partOrderEvent,
  peopleEvent,
  reading,
  shopChange,
  signOff,
  stockMovement,
} from '../schema';

/** Tables whose records never change, each with the column that names one. */
const CHAINED = [
  { table: reading, key: reading.seq },
  { table: signOff, key: signOff.id },
  { table: limitChange, key: limitChange.seq },
  { table: shopChange, key: shopChange.seq },
  { table: handStudy, key: handStudy.seq },
  { table: stockMovement, key: stockMovement.seq },
  { table: partOrder, key: partOrder.id },
  { table: partOrderEvent, key: partOrderEvent.seq },
  { table: handOver, key: handOver.id },
  { table: gearChange, key: gearChange.seq },
  { table: peopleEvent, key: peopleEvent.seq },
] as const;

export type ChainedTable = (typeof CHAINED)[number]['table'];

/** How a chained table is called in the store. */
export interface ChainedName {
  readonly record: string;
  readonly key: string;
}

export const CHAINED_NAMES: readonly ChainedName[] = CHAINED.map(({ table, key }) => ({
  record: getTableName(table),
  key: key.name,
}));

export const nameOf = (table: ChainedTable): ChainedName =>
  CHAINED_NAMES.find(({ record }) => record === getTableName(table))!;

/** A record as the store itself has it: its columns by their names there, written as the store writes them. */
export function storedRow(
  table: ChainedTable,
  row: Readonly<Record<string, unknown>>,
): Readonly<Record<string, unknown>> {
  return Object.fromEntries(
    Object.entries(getTableColumns(table)).map(([property, column]) => {
      const value = row[property] ?? null;
      return [column.name, value === null ? null : column.mapToDriverValue(value)];
    }),
  );
}
