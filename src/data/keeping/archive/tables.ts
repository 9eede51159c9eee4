import { getTableColumns, getTableName, type Table } from 'drizzle-orm';
import {
  accessToken,
  changed,
  chainLink,
  credential,
  customer,
  gearChange,
  handOver,
  handStudy,
  job,
  learnedCode,
  limitChange,
  partOrder,
  partOrderEvent,
  peopleEvent,
  person,
  photo,
  practiceRound,
  reading,
  saw,
  sawMemory,
  sawModel,
  session,
  shop,
  shopChange,
  shopFact,
  signOff,
  stockImport,
  stockImportBatch,
  stockImportRow,
  stockMovement,
  stockPart,
  testCut,
} from '../../schema';

/**
 * What lets somebody in stays with the store and its backups: no archive holds as much as a hash of it. What changed
 * last is told of this store alone.
 */
export const LEFT_OUT: readonly string[] = [credential, session, accessToken, changed].map(getTableName);

/**
 * Every other table of the store, so that what a row refers to comes before it. The search is made of them and is not
 * among them.
 */
const TABLES: readonly Table[] = [
  shop,
  shopFact,
  customer,
  person,
  saw,
  job,
  reading,
  sawMemory,
  sawModel,
  photo,
  signOff,
  limitChange,
  learnedCode,
  handStudy,
  shopChange,
  stockPart,
  stockMovement,
  partOrder,
  partOrderEvent,
  handOver,
  gearChange,
  peopleEvent,
  testCut,
  stockImport,
  stockImportRow,
  stockImportBatch,
  practiceRound,
  chainLink,
];

/** A table by its name in the store, and its columns in order. */
export interface ArchivedTable {
  readonly name: string;
  readonly columns: readonly string[];
  /** The column whose bytes stand in files of their own. */
  readonly bytes: string | null;
}

export const ARCHIVED: readonly ArchivedTable[] = TABLES.map((table) => {
  const columns = Object.values(getTableColumns(table));
  return {
    name: getTableName(table),
    columns: columns.map(({ name }) => name),
    bytes: columns.find(({ dataType }) => dataType === 'buffer')?.name ?? null,
  };
});

/** Bench sheets, one a line, as `serrata assess - --lines` reads them. */
export const SHEETS = 'sheets.jsonl';

export const tableFile = (name: string): string => `tables/${name}.csv`;
