import { eq, sql, type SQL } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { shop } from '../schema';
import { THIS_SHOP } from './names';

/** Of the shop that is written for: whatever changes or takes away rows says so. */
export const ofThisShop = ({ shopId }: { readonly shopId: SQLiteColumn }): SQL => eq(shopId, THIS_SHOP);

/** A customer or a saw of the shop that is written for, or of one that shares its gear: whoever sees it may mend it. */
export const seenHere = ({ shopId }: { readonly shopId: SQLiteColumn }): SQL =>
  sql`(${shopId} = ${THIS_SHOP} OR ${shopId} IN (SELECT ${shop.id} FROM ${shop} WHERE ${shop.sharesGear}))`;
