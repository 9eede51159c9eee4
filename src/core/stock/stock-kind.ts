/**
 * Kinds of part a shop keeps. Apart from the schema of a part, so that a page which only names them loads no schema.
 */
export const STOCK_KINDS = ['chain', 'bar', 'drive-sprocket', 'nose', 'file'] as const;
export type StockKind = (typeof STOCK_KINDS)[number];
