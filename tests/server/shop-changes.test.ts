import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { forgetCode, learnCode } from '../../src/server/use-cases/codes';
import {
  changeLimit,
  changeShopFacts,
  chooseSchool,
  rulesInForce,
  shopPage,
  shopView,
} from '../../src/server/use-cases/shop';
import { joinShop } from '../../src/server/use-cases/people';
import { limitChanges } from '../../src/data/repositories';
import { demoContext, type TestContext } from '../support/context';
import { learnedCode } from '../support/learned-code';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

/** Of two edits that were based on the same, made at once: the first is stored, the second is told. */
async function firstOfTwo(edits: readonly Promise<unknown>[]): Promise<string> {
  const [first, second] = await Promise.allSettled(edits);
  expect(first!.status).toBe('fulfilled');
  expect(second).toMatchObject({ status: 'rejected', reason: { status: 409, code: 'changed-since' } });
  return String((second as PromiseRejectedResult).reason);
}

const facts = async () => {
  const { name, currency, timeZone, style } = await shopView(context);
  return { name, currency, timeZone, style } as Parameters<typeof changeShopFacts>[1];
};

describe('of two who change the same at once', () => {
  it('one has changed a limit', async () => {
    const was = (await rulesInForce(context)).limits['bar.play'].value;
    const change = (value: string) => changeLimit(context, 'bar.play', { by: 'Ines', value, source: null, was });
    expect(await firstOfTwo([change('0.41'), change('0.43')])).toContain('it is 0.41 mm now');
    expect((await rulesInForce(context)).limits['bar.play'].value).toBe(0.41);
  });

  it('one has chosen a school', async () => {
    const { levelling: was } = (await rulesInForce(context)).schools;
    const choose = (answer: string) => chooseSchool(context, { by: 'Ines', school: 'levelling', answer, was });
    expect(await firstOfTwo([choose('belt-then-file'), choose('wood-block')])).toContain('belt, then file');
    expect((await rulesInForce(context)).schools.levelling).toBe('belt-then-file');
  });

  it('one has written down what the shop says of itself', async () => {
    const was = await facts();
    const write = (name: string) => changeShopFacts(context, { ...was, name, by: 'Ines', was });
    expect(await firstOfTwo([write('Upper lock'), write('Lower lock')])).toContain('Upper lock');
    expect((await shopView(context)).name).toBe('Upper lock');
  });

  it('one has taught a code', async () => {
    const teach = (gauge: '.050' | '.058') =>
      learnCode(context, { by: 'Ines', code: learnedCode({ code: 'Q7', pitch: '325', gauge, note: '' }), was: null });
    expect(await firstOfTwo([teach('.050'), teach('.058')])).toContain('has taught what Q7 stands for');
  });

  it('one has joined the bench', async () => {
    const joined = await Promise.allSettled([joinShop(context, { name: 'Una' }), joinShop(context, { name: 'una' })]);
    expect(joined.map(({ status }) => status)).toEqual(['fulfilled', 'rejected']);
    const { people } = await shopView(context);
    expect(people.filter(({ name }) => name.toLowerCase() === 'una')).toHaveLength(1);
  });
});

describe('a change of the shop', () => {
  it('is written down with who and when, for good', async () => {
    const was = await facts();
    await changeShopFacts(context, { ...was, currency: 'EUR', by: 'Tam' });
    await chooseSchool(context, { by: 'Tam', school: 'levelling', answer: 'wood-block' });
    await learnCode(context, { by: 'Ines', code: learnedCode({ code: 'Q7', pitch: '325', gauge: null, note: '' }) });
    await forgetCode(context, { by: 'Tam', code: 'q 7' });
    const { written } = await shopPage(context);
    expect(written.slice(0, 4).map(({ what, value, by }) => [what, value, by])).toEqual([
      ['code.Q7', null, 'Tam'],
      [
        'code.Q7',
        '{"pitch":"325","gauge":null,"driveLinks":null,"kickbackClass":null,"replacedBy":"","note":""}',
        'Ines',
      ],
      ['school.levelling', 'wood-block', 'Tam'],
      ['currency', 'EUR', 'Tam'],
    ]);
    for (const statement of [sql`DELETE FROM shop_change`, sql`UPDATE shop_change SET "by" = 'x'`])
      await expect(context.store.whole.db.run(statement)).rejects.toThrow();
  });

  it('thousands of them cost the bench nothing: the newest of each limit is found by itself', async () => {
    await context.store.whole.db.run(sql`
      WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 20000)
      INSERT INTO limit_change (limit_id, value, at, "by") SELECT 'bar.play', '{"value":0.5}', '2026-11-20', 'x' FROM n`);
    await changeLimit(context, 'bar.play', { by: 'Ines', value: '0.37', source: null });
    expect((await rulesInForce(context)).limits['bar.play'].value).toBe(0.37);
    const plan = await context.store.db.all<{ detail: string }>(
      sql`EXPLAIN QUERY PLAN SELECT value FROM limit_change WHERE limit_id = 'bar.play' ORDER BY seq DESC LIMIT 1`,
    );
    expect(plan.map(({ detail }) => detail).join()).toMatch(
      /^SEARCH main.limit_change USING INDEX limit_change_id[^,]*$/,
    );
    expect(await limitChanges(context.store.db, 30)).toHaveLength(30);
    await changeLimit(context, 'bar.play', { by: 'Ines', value: null, source: null });
    expect((await rulesInForce(context)).limits['bar.play'].provenance).not.toBe('shop');
  });
});
