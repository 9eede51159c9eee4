/** Some rows of a long table, in its order. */
export interface RowsView<Row> {
  readonly rows: readonly Row[];
  /** How many rows go before the next ones; null where these are the last. */
  readonly next: number | null;
}
