import { sql, type SQL } from 'drizzle-orm';

/** Whose rows are meant: of a store's first shop it is empty, as all is that was written before there were others. */
export type ShopId = string;
export const FIRST_SHOP: ShopId = '';

/** What a shop's id is made of: it stands in statements as it is. */
export const IS_SHOP_ID = /^[a-z0-9-]{0,40}$/;

/** What stands in a statement for the shop that it is for, until it goes to the store. */
export const SHOP_SIGN = "'{this shop}'";
/** The same in a record of the chain, which names no shop where it is the first. */
export const RECORD_SIGN = "'{this shop, of a record}'";

/** What stands in a statement that is of all shops on purpose. */
export const ALL_SHOPS_SIGN = '/* of all shops */';
/** A condition that all rows meet, whichever shop they are of: a statement with it is not narrowed. */
export const OF_ALL_SHOPS: SQL = sql.raw(`1 ${ALL_SHOPS_SIGN}`);

export const THIS_SHOP: SQL<string> = sql.raw(SHOP_SIGN) as SQL<string>;
export const THIS_SHOP_OF_A_RECORD: SQL<string | null> = sql.raw(RECORD_SIGN) as SQL<string | null>;
