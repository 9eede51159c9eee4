import type { InStatement } from '@libsql/client';
import { ALL_SHOPS_SIGN, RECORD_SIGN, SHOP_SIGN, type ShopId } from './names';
import { namesItsShop, seenFrom, WHOSE } from './scoped-tables';

/** A statement that would pass a shop's bounds: a fault of ours, never of whoever asks. */
export class OutOfBounds extends Error {
  constructor(why: string, statement: string) {
    super(`${why}: ${statement.slice(0, 200)}`);
  }
}

/** What of a statement is no text of somebody's. */
const withoutTexts = (statement: string): string => statement.replace(/'(?:[^']|'')*'/g, "''");

const TABLES = new RegExp(`\\b(${Object.keys(WHOSE).join('|')})\\b`, 'g');
const tablesOf = (statement: string): readonly string[] => [...new Set(statement.match(TABLES) ?? [])];

/** What a statement does; null of what looks at no rows and changes none. */
function kindOf(bare: string): 'looks' | 'writes' | null {
  const word = /^\s*(\w+)/.exec(bare)?.[1]?.toLowerCase() ?? '';
  // Names that a statement gives itself stand before a look and before a write.
  if (word === 'with') return TARGET.test(bare) ? 'writes' : 'looks';
  if (word === 'select') return 'looks';
  return ['insert', 'update', 'delete', 'replace'].includes(word) ? 'writes' : null;
}

const TARGET = /\b(?:insert(?:\s+or\s+\w+)?\s+into|replace\s+into|update(?:\s+or\s+\w+)?|delete\s+from)\s+"?(\w+)"?/i;

/** Asks how a statement would be done. */
const EXPLAINS = /^\s*explain\s+(?:query\s+plan\s+)?/i;

/** A statement with each table that it looks into narrowed to what is seen from a shop. */
function narrowed(statement: string, tables: readonly string[], literal: string): string {
  const seen = tables.flatMap((table) => {
    const condition = seenFrom(table, literal);
    // Named like the table, it stands in its place; the engine looks into the table itself, along its indexes.
    return condition
      ? [`"${table}" AS NOT MATERIALIZED (SELECT rowid AS rowid, * FROM main.${table} WHERE ${condition})`]
      : [];
  });
  if (seen.length === 0) return statement;
  const own = /^\s*with(\s+recursive)?\b/i.exec(statement);
  if (!own) return `WITH ${seen.join(', ')} ${statement}`;
  return `WITH${own[1] ?? ''} ${seen.join(', ')}, ${statement.slice(own[0].length)}`;
}

/**
 * A statement as it goes to the store for one shop: what it looks at is that shop's and what others share, and what it
 * writes it writes for that shop.
 * @param shop null for one that looks at all shops and may write for none
 * @throws OutOfBounds where it would write for whichever shop, or goes around the bounds
 */
export function scoped(statement: string, shop: ShopId | null): string {
  const asks = EXPLAINS.exec(statement)?.[0];
  if (asks) return asks + scoped(statement.slice(asks.length), shop);
  const bare = withoutTexts(statement);
  const kind = kindOf(bare);
  if (kind === null) return statement;
  if (shop === null) {
    if (statement.includes(SHOP_SIGN) || statement.includes(RECORD_SIGN))
      throw new OutOfBounds('Written for no shop', statement);
    return statement;
  }
  const isOfAll = statement.includes(ALL_SHOPS_SIGN);
  if (/\bmain\s*\.|"main"/i.test(bare)) throw new OutOfBounds('Goes around the bounds of shops', statement);
  const target = kind === 'writes' ? TARGET.exec(bare)?.[1] : undefined;
  const saysWhose = statement.includes(SHOP_SIGN) || statement.includes(RECORD_SIGN);
  if (target !== undefined && namesItsShop(target) && !saysWhose && !isOfAll)
    throw new OutOfBounds('Does not say for which shop', statement);
  const literal = `'${shop}'`;
  const looks = !isOfAll && (kind === 'looks' || /\bselect\b/i.test(bare));
  const whole = looks ? narrowed(statement, tablesOf(bare), literal) : statement;
  return whole.replaceAll(SHOP_SIGN, literal).replaceAll(RECORD_SIGN, shop === '' ? 'NULL' : literal);
}

/** Statements of lists differ in their lengths; so many are remembered. */
const MOST_REMEMBERED = 2000;

/** {@link scoped}, which remembers what it made of a statement. */
export function scopedTo(shop: ShopId | null): (statement: InStatement | string) => InStatement {
  const remembered = new Map<string, string>();
  const textOf = (text: string): string => {
    const known = remembered.get(text);
    if (known !== undefined) return known;
    const made = scoped(text, shop);
    if (remembered.size >= MOST_REMEMBERED) remembered.clear();
    remembered.set(text, made);
    return made;
  };
  return (statement) =>
    typeof statement === 'string' ? textOf(statement) : { ...statement, sql: textOf(statement.sql) };
}
