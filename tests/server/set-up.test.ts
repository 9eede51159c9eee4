import { existsSync } from 'node:fs';
import { afterEach, describe, expect, it } from 'vitest';
import { beginAnew } from '../../src/data/keeping/begin-anew';
import { openStore } from '../../src/data/store';
import { loadDemo } from '../../src/server/demo';
import { benchView } from '../../src/server/use-cases/bench';
import { joinShop, signIn } from '../../src/server/use-cases/people';
import { settleSetUp, setUpView } from '../../src/server/use-cases/set-up';
import { BEGUN_FACT } from '../../src/server/use-cases/set-up-facts';
import { changeLimit, changeShopFacts, shopPage, shopView } from '../../src/server/use-cases/shop';
import { demoContext, testContext, type TestContext } from '../support/context';
import { FROM, PASSWORD, shownBy, withPassword } from '../support/people';

let context: TestContext;
afterEach(() => context.done());

const states = async () => Object.fromEntries((await setUpView(context)).items.map(({ id, state }) => [id, state]));

describe('a set-up', () => {
  it('is what an empty store begins with, and nothing else', async () => {
    context = testContext();
    expect((await benchView(context, { page: null })).isNew).toBe(true);
    await joinShop(context, { name: 'Una' });
    expect((await benchView(context, { page: null })).isNew).toBe(false);
    await context.done();
    context = demoContext();
    expect((await benchView(context, { page: null })).isNew).toBe(false);
    // What came otherwise is not asked for what it did not begin with.
    expect((await shopPage(context)).stillOpen).toEqual([]);
    expect((await shopView(context)).isDemo).toBe(true);
  });

  it('knows what was said and brought by what there is, and what was left by who left it', async () => {
    context = testContext();
    expect(new Set(Object.values(await states()))).toEqual(new Set(['open']));
    await changeShopFacts(context, { name: 'Weir Lane', unit: 'in' } as never);
    await joinShop(context, { name: 'Una' });
    await changeLimit(context, 'plan.labour', { by: 'Una', value: '5200', source: null });
    await settleSetUp(context, { by: 'Una', item: 'limits', state: 'done' });
    await settleSetUp(context, { by: 'Una', item: 'saws', state: 'left' });
    expect(await states()).toEqual({
      ...{ shop: 'done', people: 'done', limits: 'done', rates: 'done' },
      ...{ stock: 'open', saws: 'left', 'sign-in': 'open' },
    });
    const { stillOpen, shop, written } = await shopPage(context);
    expect(stillOpen).toEqual(['stock', 'sign-in']);
    expect(shop.unit).toBe('in');
    expect(written[0]).toMatchObject({ what: 'setUp.saws', value: 'left', by: 'Una' });
    await settleSetUp(context, { by: 'Una', item: 'saws', state: 'open' });
    expect((await states()).saws).toBe('open');
  });
});

describe('a demo that is left', () => {
  it('takes whoever can sign in along, so that nobody else comes in', async () => {
    context = demoContext();
    await withPassword(context, 'Una', 'owner');
    const { secret } = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    await beginAnew(context.store.url, BEGUN_FACT, `${context.path}.kept`);
    expect(await shownBy(context, null)).toEqual({ as: 'nobody' });
    expect(await shownBy(context, secret)).toEqual({ as: 'nobody' });
    const again = await signIn(context, { name: 'Una', password: PASSWORD }, FROM);
    expect(await shownBy(context, again.secret)).toMatchObject({ name: 'Una', role: 'owner' });
    expect((await shopView(context)).people.map(({ name }) => name)).toEqual(['Una']);
  });

  it('leaves an empty shop that no demo is loaded into, and is kept whole', async () => {
    context = demoContext();
    const kept = `${context.path}.kept`;
    await beginAnew(context.store.url, BEGUN_FACT, kept);
    expect((await benchView(context, { page: null })).total).toBe(0);
    expect((await shopView(context)).isDemo).toBe(false);
    expect(await loadDemo(context)).toEqual({ loaded: 0 });
    expect((await shopPage(context)).stillOpen).toContain('shop');
    expect(existsSync(`${context.path}.empty`)).toBe(false);
    const demo = { ...context, store: openStore(`file:${kept}`) };
    expect((await benchView(demo, { page: null })).total).toBeGreaterThan(10);
    demo.store.close();
  });
});
