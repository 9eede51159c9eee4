import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addStock, allShops, partOf, partsBySku, putPart } from '../../src/data/repositories';
import { forShop, type Context } from '../../src/server/context';
import { askedBy } from '../../src/server/people/actor';
import { actorOf } from '../../src/server/people/sessions';
import { Refusal } from '../../src/server/refusal';
import { assessedJob } from '../../src/server/use-cases/appraised';
import { benchView } from '../../src/server/use-cases/bench';
import { sawGearView, allSawsView, pieceView } from '../../src/server/use-cases/gear';
import { figuresView } from '../../src/server/use-cases/figures';
import { jobParts } from '../../src/server/use-cases/job-parts';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { givePassword, joinShop, peopleView, signIn } from '../../src/server/use-cases/people';
import { auditView } from '../../src/server/use-cases/people';
import { movePart } from '../../src/server/use-cases/shelf';
import { changeLimit, changeShopFacts, rulesInForce, shopPage, shopView } from '../../src/server/use-cases/shop';
import { partElsewhere } from '../../src/server/use-cases/sister-shops';
import { beginShop, giveShopOwner, shareGear, shopsView, workFor } from '../../src/server/use-cases/shops';
import { orderFrom, searchView, stockAnswers, stockView } from '../../src/server/use-cases/stock';
import { createJob } from '../../src/server/use-cases/take-in';
import { demoContext, type TestContext } from '../support/context';
import { jobOf, signPlan } from '../support/signing';
import { FROM, OTHER_PASSWORD, PASSWORD } from '../support/people';

let first: TestContext;
let second: Context;
let own: string;
beforeEach(async () => {
  first = demoContext();
  await beginShop(first, { name: 'Lower Lock', sharesGear: true, owner: 'Wren Ashby', password: '' });
  second = forShop(first, (await allShops(first.store.whole.db)).at(-1)!.id);
  own = (await createJob(second, taken({ name: 'Reed cutters' }))).id;
});
afterEach(() => first.done());

const taken = (
  customer: { readonly name: string } | { readonly id: string },
  saw: { readonly id: string } | null = null,
) => ({
  ...{ by: 'Wren Ashby', customer, saw, complaint: 'blunt', promisedFor: null },
});

const LOOK = new URLSearchParams();

describe('several shops on one store', () => {
  it('each see their own jobs, shelf, people, limits and rates', async () => {
    const bench = await benchView(second, { page: null });
    expect(bench.jobs.map(({ id }) => id)).toEqual([own]);
    expect(bench.shop).toMatchObject({ name: 'Lower Lock', isDemo: false, people: [{ name: 'Wren Ashby' }] });
    expect((await benchView(first, { page: null })).jobs.some(({ id }) => id === own)).toBe(false);
    expect((await stockView(second, LOOK)).total).toBe(0);
    expect((await stockView(first, LOOK)).total).toBeGreaterThan(20);
    await changeLimit(second, 'bar.depth.325', { by: 'Wren Ashby', value: '4 mm', source: null });
    expect((await rulesInForce(second)).limits['bar.depth.325'].value).not.toEqual(
      (await rulesInForce(first)).limits['bar.depth.325'].value,
    );
    expect((await shopPage(first)).changes.some(({ by }) => by === 'Wren Ashby')).toBe(false);
    expect((await shopPage(second)).codes).toEqual([]);
    await changeShopFacts(second, {
      by: 'Wren Ashby',
      name: 'Lower Lock',
      currency: 'USD',
      timeZone: 'UTC',
      style: 'en-US',
    });
    expect((await shopView(first)).currency).not.toBe('USD');
    expect((await peopleView(second)).accounts.map(({ name }) => name)).toEqual(['Wren Ashby']);
    expect(JSON.stringify(await figuresView(second, '2000-01-01', ''))).not.toContain('Ines');
  });

  it('count their jobs for themselves', async () => {
    expect((await jobView(second, own)).job.tag).toBe('L-0001');
  });

  it('find nothing of one another by id, and say where it is', async () => {
    const theirs = await jobOf(first, 'L-0427');
    await expect(jobView(second, theirs)).rejects.toMatchObject({ status: 404, code: 'elsewhere' });
    await expect(assessedJob(second, theirs)).rejects.toBeInstanceOf(Refusal);
    const reading = {
      id: crypto.randomUUID(),
      path: 'bar.gauge',
      text: '1.3',
      unit: 'mm' as const,
      instrument: null,
      supersedes: null,
    };
    await expect(putReadings(second, theirs, { by: 'Wren Ashby', readings: [reading] })).rejects.toMatchObject({
      status: 404,
    });
    const { id } = (await jobView(first, theirs)).readings[0]!;
    await expect(putReadings(second, own, { by: 'Wren Ashby', readings: [{ ...reading, id }] })).rejects.toMatchObject({
      code: 'id-taken',
    });
    expect(await searchView(second, 'L-0427')).toEqual([]);
    expect(await searchView(first, 'L-0427')).not.toEqual([]);
  });

  it('keep what they write apart, and one chain of records over all of it', async () => {
    const { parts } = await stockView(first, LOOK);
    const { sku, quantity } = parts.find((part) => part.quantity > 1)!;
    await expect(
      movePart(second, sku, { id: crypto.randomUUID(), by: 'Wren Ashby', kind: 'taken', pieces: 1, note: '' }),
    ).rejects.toBeInstanceOf(Refusal);
    const { parts: after } = await stockView(first, LOOK);
    expect(after.find((part) => part.sku === sku)!.quantity).toBe(quantity);
    const [{ links }] = (await first.store.whole.db.all<{ links: number }>(
      sql`SELECT count(*) AS links FROM chain_link WHERE record <> 'began'`,
    )) as [{ links: number }];
    const [{ records }] = (await first.store.whole.db.all<{ records: number }>(
      sql`SELECT (SELECT count(*) FROM reading) + (SELECT count(*) FROM sign_off) + (SELECT count(*) FROM hand_over)
        + (SELECT count(*) FROM limit_change) + (SELECT count(*) FROM shop_change) + (SELECT count(*) FROM hand_study)
        + (SELECT count(*) FROM stock_movement) + (SELECT count(*) FROM part_order) + (SELECT count(*) FROM part_order_event)
        + (SELECT count(*) FROM gear_change) + (SELECT count(*) FROM people_event) AS records`,
    )) as [{ records: number }];
    expect(links).toBe(records);
  });

  it('see one another’s customers and saws where those choose so, and a saw’s past follows it', async () => {
    const [saw] = (await allSawsView(first, LOOK)).saws.filter(({ last }) => last !== null);
    const here = await sawGearView(first, saw!.id);
    const there = await sawGearView(second, saw!.id);
    expect(there.jobs.map(({ jobId }) => jobId)).toEqual(here.jobs.map(({ jobId }) => jobId));
    expect(there.jobs[0]!.tag).toBe(`${here.jobs[0]!.tag} (${here.shop.name})`);
    const { id } = await createJob(second, taken({ id: saw!.customer.id }, { id: saw!.id }));
    const both = await sawGearView(first, saw!.id);
    expect(both.jobs).toHaveLength(here.jobs.length + 1);
    expect(both.jobs.find(({ jobId }) => jobId === id)!.tag).toBe('L-0002 (Lower Lock)');
    // A piece is named by the job that it was first seen in, of whichever shop.
    const piece = there.set[0]!.id;
    expect((await pieceView(second, piece)).piece.id).toBe(piece);

    await shareGear(first, { sharesGear: false });
    expect((await allSawsView(second, LOOK)).saws.map(({ id: found }) => found)).toEqual([saw!.id]);
    expect((await jobView(second, id)).customer.id).toBe(saw!.customer.id);
    await expect(jobView(second, await jobOf(first, 'L-0427'))).rejects.toMatchObject({ code: 'not-found' });
    // Others of the first shop's saws are not there any more.
    const hidden = (await allSawsView(first, LOOK)).saws.find(({ id: other }) => other !== saw!.id)!;
    await expect(sawGearView(second, hidden.id)).rejects.toMatchObject({ status: 404 });
  });

  it('are offered what lies on a sister’s shelf, never of another class, and their own first', async () => {
    const { parts } = await stockView(first, new URLSearchParams('kind=chain'));
    const { version: _version, ...chain } = parts.find(
      ({ quantity, kickbackClass }) => quantity > 0 && kickbackClass === 'low-kickback',
    )!;
    const { name } = await shopView(first);
    expect(await partElsewhere(second, chain)).toContainEqual({ shop: name, sku: chain.sku, pieces: chain.quantity });
    expect(await partElsewhere(first, chain)).toEqual([]);
    const standard = (await partElsewhere(second, { ...chain, kickbackClass: 'standard' })).map(({ sku }) => sku);
    expect(standard).not.toContain(chain.sku);

    const order = orderFrom(
      new URLSearchParams({
        ...{ pitch: chain.pitch!, gauge: chain.gauge!, links: String(chain.driveLinks), class: 'low-kickback' },
        sequence: chain.sequence ?? '',
      }),
    )!;
    const answers = await stockAnswers(second, order);
    expect(answers[0]).toMatchObject({ answer: 'fits', shop: name });
    expect((await stockAnswers(first, order)).every(({ shop }) => shop === null)).toBe(true);
    // Once it is on one's own shelf, nobody is sent elsewhere.
    await second.store.write((tx) => addStock(tx, [chain]));
    expect((await stockAnswers(second, order)).every(({ shop }) => shop === null)).toBe(true);
  });

  it('are told as having a part of a signed plan that is out here', async () => {
    const job = await jobOf(first, 'L-0417');
    const [sku] = await signPlan(first, job, ({ chain, bar }) => chain === 'replace' && bar === 'recondition');
    const [shelved] = await partsBySku(first.store.db, [sku!]);
    const part = partOf(shelved!);
    await second.store.write((tx) => addStock(tx, [{ ...part, quantity: 2 }]));
    await first.store.write((tx) => putPart(tx, { ...part, quantity: 0 }));
    const { parts } = await jobParts(first, job);
    expect(parts.find((each) => each.sku === sku)!.elsewhere).toEqual([{ shop: 'Lower Lock', sku, pieces: 2 }]);
  });

  it('are each signed in to by their own people, and by one name one person', async () => {
    await expect(joinShop(first, { name: 'wren ashby' })).rejects.toMatchObject({ code: 'name-taken' });
    await joinShop(first, { name: 'Una', role: 'owner' });
    const una = (await peopleView(first)).accounts.find(({ name }) => name === 'Una')!;
    await givePassword(first, una.id, PASSWORD, FROM);
    const begun = await signIn(first, { name: 'Una', password: PASSWORD }, FROM);
    const shown = { token: null, inside: null, shop: null };
    const actor = await actorOf(first, { session: begun.secret, ...shown });
    await askedBy(actor, async () => {
      const { id } = (await shopsView(first)).shops.at(-1)!;
      await giveShopOwner(first, id, { name: 'Wren Ashby', password: OTHER_PASSWORD });
      await expect(giveShopOwner(first, id, { name: 'Una', password: OTHER_PASSWORD })).rejects.toMatchObject({
        code: 'name-taken',
      });
      await expect(workFor(first, { shop: id })).rejects.toMatchObject({ code: 'people-sign-in' });
    });
    const theirs = await signIn(first, { name: 'WREN ASHBY', password: OTHER_PASSWORD }, FROM);
    expect(await actorOf(first, { session: theirs.secret, ...shown })).toMatchObject({
      name: 'Wren Ashby',
      shop: second.store.shop,
    });
    const all = { by: '', from: null, until: null, kind: null, before: null };
    const [ours, others] = await Promise.all([auditView(first, all), auditView(second, all)]);
    expect(ours.rows.every(({ says }) => !says.includes('Wren'))).toBe(true);
    expect(others.rows.some(({ says }) => says.includes('Wren'))).toBe(true);
    expect(JSON.stringify(others)).not.toContain('Ines');
  });

  it('let a bench where nobody signs in work for one of them', async () => {
    const shop = second.store.shop;
    expect(await workFor(first, { shop })).toBe(shop);
    const shown = { session: null, token: null, inside: null };
    expect(await actorOf(first, { ...shown, shop })).toEqual({ as: 'bench', shop });
    expect(await actorOf(first, { ...shown, shop: 'no-such-shop' })).toEqual({ as: 'bench', shop: '' });
    await expect(workFor(first, { shop: 'no-such-shop' })).rejects.toMatchObject({ status: 404 });
  });

  it('cannot be called as another is, and are told with who works there', async () => {
    const again = { name: 'Lower Lock', sharesGear: true, owner: 'Odo', password: '' };
    await expect(beginShop(first, again)).rejects.toMatchObject({ code: 'name-taken' });
    await expect(beginShop(first, { ...again, name: 'Weir', owner: 'Ines Holloway' })).rejects.toMatchObject({
      code: 'name-taken',
    });
    expect((await shopsView(second)).shops).toMatchObject([
      { id: '', isOwn: false },
      { name: 'Lower Lock', isOwn: true, people: 1, sharesGear: true, hasOwner: false },
    ]);
  });
});
