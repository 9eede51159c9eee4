import { getTableName, is } from 'drizzle-orm';
import { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { describe, expect, it } from 'vitest';
import * as schema from '../schema';
import { ALL_SHOPS_SIGN, RECORD_SIGN, SHOP_SIGN } from './names';
import { OutOfBounds, scoped } from './scope';
import { seenFrom, WHOSE } from './scoped-tables';

const TABLES = Object.values(schema).filter((each) => is(each, SQLiteTable));

describe('the bounds of a shop', () => {
  it('know of every table whose rows it has', () => {
    const names = TABLES.map((table) => getTableName(table as SQLiteTable));
    // The search is made of the others, and is no table of the schema.
    expect(new Set([...names, 'search', 'search_row'])).toEqual(new Set(Object.keys(WHOSE)));
  });

  it('are those of the column that a table has, or of the table that its rows are of', () => {
    for (const table of TABLES as SQLiteTable[]) {
      const names = 'shopId' in table;
      const whose = WHOSE[getTableName(table)]!;
      expect(names, getTableName(table)).toBe(typeof whose === 'string' && whose !== 'store');
    }
  });

  it('narrow whatever is looked at, however deep it stands in a statement', () => {
    const made = scoped('SELECT * FROM job WHERE id IN (SELECT job_id FROM reading)', 'b');
    expect(made).toContain(`"job" AS NOT MATERIALIZED (SELECT rowid AS rowid, * FROM main.job WHERE shop_id = 'b')`);
    expect(made).toContain(`"reading" AS NOT MATERIALIZED (SELECT rowid AS rowid, * FROM main.reading WHERE EXISTS`);
    expect(made.endsWith('SELECT * FROM job WHERE id IN (SELECT job_id FROM reading)')).toBe(true);
  });

  it('stand before the names that a statement gives itself', () => {
    expect(scoped('WITH RECURSIVE n AS (SELECT 1) SELECT * FROM n, job', 'b')).toMatch(
      /^WITH RECURSIVE "job" AS NOT MATERIALIZED \(.*\),\s+n AS \(SELECT 1\) SELECT \* FROM n, job$/,
    );
  });

  it('hold for a record that names no shop where it is the first', () => {
    expect(seenFrom('limit_change', "''")).toBe("shop_id IS nullif('', '')");
    expect(scoped(`INSERT INTO limit_change (shop_id) VALUES (${RECORD_SIGN})`, '')).toContain('VALUES (NULL)');
    expect(scoped(`INSERT INTO limit_change (shop_id) VALUES (${RECORD_SIGN})`, 'b')).toContain(`VALUES ('b')`);
  });

  it.each([
    `INSERT INTO job (id, tag) VALUES ('x', 'L-1')`,
    `INSERT OR IGNORE INTO "person" (id, name) VALUES ('x', 'Ines')`,
    `UPDATE job SET state = 'open' WHERE id = 'x'`,
    `DELETE FROM "stock_part" WHERE sku = 'x'`,
    `WITH n(i) AS (SELECT 1) INSERT INTO job (id, tag) SELECT i, i FROM n`,
    `UPDATE OR IGNORE job SET state = 'open'`,
  ])('catch a write that does not say for which shop: %s', (planted) => {
    expect(() => scoped(planted, '')).toThrow(OutOfBounds);
    expect(() => scoped(planted, 'b')).toThrow(OutOfBounds);
  });

  it.each([`SELECT * FROM main.job`, `SELECT * FROM "main"."job"`, `SELECT * FROM main . job`])(
    'catch a look that goes around them: %s',
    (planted) => expect(() => scoped(planted, '')).toThrow(OutOfBounds),
  );

  it('catch what names a shop where all are looked at', () => {
    expect(() => scoped(`INSERT INTO job (shop_id) VALUES (${SHOP_SIGN})`, null)).toThrow(OutOfBounds);
  });

  it('are left where a statement says that it is of all shops, and by no text of somebody’s', () => {
    expect(scoped(`SELECT id FROM job WHERE 1 ${ALL_SHOPS_SIGN}`, 'b')).toBe(
      `SELECT id FROM job WHERE 1 ${ALL_SHOPS_SIGN}`,
    );
    // What people type goes beside a statement, and never into it; a text in it is read as one all the same.
    expect(scoped(`SELECT 'main.job' FROM job`, 'b')).toContain('main.job WHERE shop_id');
  });
});
