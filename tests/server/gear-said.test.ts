import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { GearAct, SawFactsView, TakeInSaws } from '../../src/contract';
import {
  changeGear,
  customerGear,
  gearView,
  otherSawsOf,
  pieceTagged,
  pieceView,
  sawGearView,
  takeInSaws,
} from '../../src/server/use-cases/gear';
import { sawMemory } from '../../src/server/use-cases/counter';
import { ownersView } from '../../src/server/use-cases/take-in';
import { searchView } from '../../src/server/use-cases/stock';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const OLD_SAW = 's-brask-66';
const by = 'Ines';

const say = (act: GearAct, id: string = crypto.randomUUID()) => changeGear(context, { id, by, act });
const undo = (change: string) => say({ say: 'undone', change });

const FACTS: SawFactsView = { label: 'Tarn 31', tag: 'X-9', mount: 'M2', maxRpm: 12_500, retired: false };

/** Enters a saw beside the old one, of the same customer. */
async function entered(facts: Partial<SawFactsView> = {}): Promise<string> {
  const id = crypto.randomUUID();
  const { customer } = await sawGearView(context, OLD_SAW);
  await say({ say: 'saw-entered', customerId: customer.id, facts: { ...FACTS, ...facts } }, id);
  return id;
}

const onNow = async (saw: string, part: string) =>
  (await sawGearView(context, saw)).set.find((piece) => piece.part === part) ?? null;

describe('customers and saws', () => {
  it('are entered once, however often it is sent, and found', async () => {
    const [id, sawId] = [crypto.randomUUID(), crypto.randomUUID()];
    const facts = { name: 'Reed cutters of the lower basin', contact: 'at the lock', retired: false };
    expect(await say({ say: 'customer-entered', facts }, id)).toEqual({ href: `/gear/customers/${id}` });
    await say({ say: 'customer-entered', facts }, id);
    await say({ say: 'saw-entered', customerId: id, facts: FACTS }, sawId);
    const view = await customerGear(context, id, null);
    expect(view.customer).toMatchObject({ name: facts.name, contact: facts.contact });
    expect(view.saws.map(({ saw }) => saw.label)).toEqual([FACTS.label]);
    expect(view.said.map(({ what }) => what)).toEqual(['customer-entered']);
    expect((await gearView(context, 'X-9')).saws.map(({ saw }) => saw.id)).toEqual([sawId]);
    await expect(
      say({ say: 'customer-entered', facts: { ...facts, name: 'REED cutters of the lower basin' } }),
    ).rejects.toMatchObject({
      status: 422,
    });
  });

  it('are mended from what stood, and what was said is undone in its order', async () => {
    const saw = await entered();
    const ids = [crypto.randomUUID(), crypto.randomUUID()] as const;
    const second = { ...FACTS, tag: 'X-10', mount: null };
    const third = { ...second, label: 'Tarn 31 b' };
    await say({ say: 'saw-mended', sawId: saw, facts: second, was: FACTS }, ids[0]);
    await expect(say({ say: 'saw-mended', sawId: saw, facts: third, was: FACTS })).rejects.toMatchObject({
      status: 409,
    });
    await say({ say: 'saw-mended', sawId: saw, facts: third, was: second }, ids[1]);
    expect((await sawGearView(context, saw)).saw).toMatchObject({ label: 'Tarn 31 b', tag: 'X-10', mount: null });
    await expect(undo(ids[0])).rejects.toMatchObject({ status: 409 });
    await undo(ids[1]);
    await undo(ids[0]);
    await expect(undo(ids[0])).rejects.toMatchObject({ status: 409 });
    const view = await sawGearView(context, saw);
    expect(view.saw).toMatchObject({ label: FACTS.label, tag: FACTS.tag, mount: FACTS.mount, maxRpm: FACTS.maxRpm });
    expect(view.said.map(({ what, undone }) => [what, undone?.by ?? null])).toEqual([
      ['saw-mended', by],
      ['saw-mended', by],
      ['saw-entered', null],
    ]);
  });

  it('that are retired are offered no more, and are there again once that is undone', async () => {
    const saw = await entered();
    const id = crypto.randomUUID();
    const offered = async () => {
      const { customer } = await sawGearView(context, saw);
      const owners = await ownersView(context, customer.name);
      return owners.flatMap((owner) => owner.saws.map((each) => each.id)).includes(saw);
    };
    expect(await offered()).toBe(true);
    await say({ say: 'saw-mended', sawId: saw, facts: { ...FACTS, retired: true }, was: FACTS }, id);
    expect(await offered()).toBe(false);
    expect((await sawGearView(context, saw)).saw.retired).toBe(true);
    await undo(id);
    expect(await offered()).toBe(true);
  });

  it('that are retired are not due any more', async () => {
    const { customer, saw } = await sawGearView(context, OLD_SAW);
    const due = async () => (await customerGear(context, customer.id, null)).due.map((each) => each.saw.id);
    expect(await due()).toContain(OLD_SAW);
    const { label, tag, mount, maxRpm, retired } = saw;
    const was = { label, tag, mount, maxRpm, retired };
    await say({ say: 'saw-mended', sawId: OLD_SAW, facts: { ...was, retired: true }, was });
    expect(await due()).not.toContain(OLD_SAW);
  });

  it('that are retired themselves are offered no more at take-in', async () => {
    const { facts, customer } = await customerGear(context, (await sawGearView(context, OLD_SAW)).customer.id, null);
    const named = async () => (await ownersView(context, customer.name)).some(({ id }) => id === customer.id);
    expect(await named()).toBe(true);
    await say({ say: 'customer-mended', customerId: customer.id, facts: { ...facts, retired: true }, was: facts });
    expect(await named()).toBe(false);
  });
});

describe('two records of one saw', () => {
  it('are one with all its jobs and pieces, and two again as they were once that is undone', async () => {
    const other = await entered();
    const [was, id] = [await sawGearView(context, OLD_SAW), crypto.randomUUID()];
    await say({ say: 'saws-merged', sawId: OLD_SAW, into: other }, id);
    const one = await sawGearView(context, other);
    expect(one.jobs.map(({ tag }) => tag)).toEqual(was.jobs.map(({ tag }) => tag));
    expect(one.set.map((piece) => piece.id)).toEqual(was.set.map((piece) => piece.id));
    // Who asks for the record that is gone is told of the one that stays.
    expect((await sawGearView(context, OLD_SAW)).saw.id).toBe(other);
    expect((await gearView(context, was.saw.label)).saws.some(({ saw }) => saw.id === OLD_SAW)).toBe(false);
    await expect(say({ say: 'saws-merged', sawId: OLD_SAW, into: other })).rejects.toMatchObject({ status: 409 });
    await undo(id);
    const again = await sawGearView(context, OLD_SAW);
    expect({ ...again, others: [], said: [] }).toEqual({ ...was, others: [], said: [] });
    expect((await sawGearView(context, other)).jobs).toEqual([]);
    expect((await gearView(context, was.saw.label)).saws.some(({ saw }) => saw.id === OLD_SAW)).toBe(true);
  });

  it('are chosen among the saws of the customer that are in use', async () => {
    const [other, retired] = [await entered(), await entered()];
    const { customer } = await sawGearView(context, OLD_SAW);
    await say({ say: 'saw-mended', sawId: retired, facts: { ...FACTS, retired: true }, was: FACTS });
    const ids = (await otherSawsOf(context, OLD_SAW)).map(({ id }) => id);
    expect(ids).toContain(other);
    expect(ids).not.toContain(retired);
    expect(ids).not.toContain(OLD_SAW);
    expect(ids).toHaveLength((await customerGear(context, customer.id, null)).total - 2);
    await expect(otherSawsOf(context, 'nowhere')).rejects.toMatchObject({ status: 404 });
  });

  it('are undone from the last', async () => {
    const [second, third] = [await entered({ tag: 'A' }), await entered({ tag: 'B' })];
    const [first, then] = [crypto.randomUUID(), crypto.randomUUID()];
    await say({ say: 'saws-merged', sawId: OLD_SAW, into: second }, first);
    await say({ say: 'saws-merged', sawId: second, into: third }, then);
    expect((await sawGearView(context, OLD_SAW)).saw.id).toBe(third);
    await expect(undo(first)).rejects.toMatchObject({ status: 409 });
    await undo(then);
    await undo(first);
    expect((await sawGearView(context, OLD_SAW)).jobs).toHaveLength(9);
  });

  it('keep what was said of the pieces of either, before they were found to be one and since', async () => {
    const [other, third] = [await entered({ tag: 'A' }), await entered({ tag: 'B' })];
    const [chain, sprocket] = [(await onNow(OLD_SAW, 'chain'))!, (await onNow(OLD_SAW, 'driveSprocket'))!];
    await say({ say: 'piece-tagged', piece: sprocket.id, tag: 'S-1' });
    await say({ say: 'piece-moved', piece: chain.id, to: third });
    const merged = crypto.randomUUID();
    await say({ say: 'saws-merged', sawId: OLD_SAW, into: other }, merged);
    const told = async () => ({
      here: (await sawGearView(context, other)).set.map(({ id, tag }) => [id, tag]),
      there: await onNow(third, 'chain'),
    });
    const before = await told();
    expect(before.here).toContainEqual([sprocket.id, 'S-1']);
    expect(before.here.map(([id]) => id)).not.toContain(chain.id);
    expect(before.there).toMatchObject({ id: chain.id, looks: chain.looks });
    // The saw that it went to turns out to be one with a fourth.
    const fourth = await entered({ tag: 'C' });
    await say({ say: 'saws-merged', sawId: third, into: fourth });
    expect(await onNow(fourth, 'chain')).toMatchObject({ id: chain.id, tag: chain.tag });
    expect((await pieceView(context, chain.id)).saw.id).toBe(fourth);
    await undo(merged);
    expect(await onNow(OLD_SAW, 'driveSprocket')).toMatchObject({ tag: 'S-1' });
    expect(await onNow(OLD_SAW, 'chain')).toBeNull();
  });

  it('are of one customer, and are two', async () => {
    const { customer } = await sawGearView(context, OLD_SAW);
    const elsewhere = (await gearView(context, '')).saws.find((each) => each.customer.id !== customer.id)!.saw.id;
    await expect(say({ say: 'saws-merged', sawId: OLD_SAW, into: elsewhere })).rejects.toMatchObject({ status: 422 });
    await expect(say({ say: 'saws-merged', sawId: OLD_SAW, into: OLD_SAW })).rejects.toMatchObject({ status: 422 });
  });
});

describe('a piece', () => {
  it('is found by the tag that is on it, and no more by one that was taken off', async () => {
    const { id } = (await onNow(OLD_SAW, 'chain'))!;
    const said = crypto.randomUUID();
    expect(await say({ say: 'piece-tagged', piece: id, tag: 'K 19' }, said)).toEqual({ href: `/gear/pieces/${id}` });
    expect(await pieceTagged(context, 'k 19')).toBe(id);
    expect(await pieceTagged(context, 'K 1')).toBeNull();
    expect((await onNow(OLD_SAW, 'chain'))!.tag).toBe('K 19');
    expect(await searchView(context, 'K 19')).toContainEqual({
      kind: 'piece',
      title: 'K 19',
      detail: 'Chain',
      href: `/gear/pieces/${id}`,
    });
    const then = crypto.randomUUID();
    await say({ say: 'piece-tagged', piece: id, tag: 'K 18' }, then);
    await undo(said);
    expect(await pieceTagged(context, 'K 18')).toBe(id);
    await undo(then);
    expect(await pieceTagged(context, 'K 18')).toBeNull();
    expect(await pieceTagged(context, 'K 19')).toBeNull();
    expect((await onNow(OLD_SAW, 'chain'))!.tag).toBe('K-17');
  });

  it('goes over to another saw with its life, and back', async () => {
    const other = await entered();
    const chain = (await onNow(OLD_SAW, 'chain'))!;
    const before = await pieceView(context, chain.id);
    const said = crypto.randomUUID();
    await say({ say: 'piece-moved', piece: chain.id, to: other }, said);
    expect(await onNow(OLD_SAW, 'chain')).toBeNull();
    expect(await onNow(other, 'chain')).toMatchObject({ id: chain.id, from: { id: OLD_SAW }, looks: chain.looks });
    expect((await sawGearView(context, OLD_SAW)).past.find(({ id }) => id === chain.id)).toMatchObject({
      ended: { how: 'moved' },
      to: { id: other },
    });
    const there = await pieceView(context, chain.id);
    expect(there.saw.id).toBe(other);
    expect(there.wears.map(({ points }) => points)).toEqual(before.wears.map(({ points }) => points));
    expect(there.piece.hours).toEqual(before.piece.hours);
    await expect(say({ say: 'piece-moved', piece: chain.id, to: other })).rejects.toMatchObject({ status: 422 });
    await undo(said);
    expect((await onNow(OLD_SAW, 'chain'))!.id).toBe(chain.id);
    expect(await onNow(other, 'chain')).toBeNull();
  });

  it('that left cannot go over, and one that nobody knows cannot be spoken of', async () => {
    const other = await entered();
    const { past } = await sawGearView(context, OLD_SAW);
    await expect(say({ say: 'piece-moved', piece: past[0]!.id, to: other })).rejects.toMatchObject({ status: 409 });
    for (const piece of ['', 'bar.found.nowhere', 'wheel'])
      await expect(say({ say: 'piece-tagged', piece, tag: 'x' })).rejects.toMatchObject({ status: 404 });
  });

  it('is the one before, or another, as somebody says', async () => {
    const { began } = (await onNow(OLD_SAW, 'chain'))!;
    if (began.how !== 'found') throw new Error('The chain of the demo is found on its saw.');
    const chains = async () => {
      const { set, past } = await sawGearView(context, OLD_SAW);
      return [...set, ...past].filter(({ part }) => part === 'chain').length;
    };
    const before = await chains();
    const said = crypto.randomUUID();
    await say({ say: 'piece-told', jobId: began.jobId, part: 'chain', isSame: true }, said);
    expect(await chains()).toBe(before - 1);
    await undo(said);
    expect(await chains()).toBe(before);
    const bar = await pieceView(context, (await onNow(OLD_SAW, 'bar'))!.id);
    await say({ say: 'piece-told', jobId: bar.seen.at(-1)!.jobId, part: 'bar', isSame: false });
    expect((await onNow(OLD_SAW, 'bar'))!.looks).toBe(1);
  });
});

describe('a list of saws', () => {
  const listed = (label: string, more: Partial<TakeInSaws['saws'][number]> = {}) => ({
    ...{ customer: 'Weir wardens', label, tag: '', mount: null, maxRpm: null, marks: '' },
    ...more,
  });
  const take = (saws: TakeInSaws['saws'], id: string = crypto.randomUUID(), onlyTold = false) =>
    takeInSaws(context, { id, by, name: 'saws.csv', saws, onlyTold });

  it('tells what it would do, does it once, and leaves what is known as it is', async () => {
    const id = crypto.randomUUID();
    const { customer, saw } = await sawGearView(context, OLD_SAW);
    const saws = [
      listed('Quern 40', { tag: 'W-1', mount: 'M2', maxRpm: 12_500, marks: '.325 .050 72DL' }),
      listed('Quern 40', { tag: 'W-2' }),
      listed('quern 40', { tag: 'W-2', customer: 'WEIR wardens' }),
      listed(saw.label, { customer: customer.name.toUpperCase(), tag: saw.tag }),
    ];
    const would = { saws: 2, customers: 1, known: 2 };
    expect(await take(saws, id, true)).toEqual(would);
    expect(await take(saws, id)).toEqual(would);
    expect(await take(saws, id)).toMatchObject(would);
    const [first, second] = (await gearView(context, 'Quern')).saws.toSorted((a, b) =>
      a.saw.tag.localeCompare(b.saw.tag),
    );
    expect(first).toMatchObject({
      customer: { name: 'Weir wardens' },
      saw: { tag: 'W-1', mount: 'M2', maxRpm: 12_500 },
      numbers: { marks: {}, told: '.325 .050 72DL' },
    });
    expect(second!.numbers.told).toBe('');
    // The counter begins with what the list told.
    const known = await sawMemory(context, first!.saw.id);
    expect(known.entries).toContainEqual({ path: 'bar.stamp', text: '.325 .050 72DL', unit: 'mm' });
    expect((await gearView(context, '')).lists[0]).toMatchObject({
      what: 'saws-listed',
      said: { name: 'saws.csv', saws: 2 },
    });
  });

  it('is undone as one, but for what was said of its saws since', async () => {
    const id = crypto.randomUUID();
    await take([listed('Quern 41', { marks: '.325 .050 72DL' }), listed('Quern 42'), listed('Quern 43')], id);
    const found = (await gearView(context, 'Quern')).saws;
    const kept = found.find(({ saw }) => saw.label === 'Quern 42')!;
    const { label, tag, mount, maxRpm, retired } = kept.saw;
    const was = { label, tag, mount, maxRpm, retired };
    await say({ say: 'saw-mended', sawId: kept.saw.id, facts: { ...was, tag: 'kept' }, was });
    expect(await undo(id)).toEqual({ href: '/gear' });
    expect((await gearView(context, 'Quern')).saws.map(({ saw }) => saw.tag)).toEqual(['kept']);
    expect((await customerGear(context, kept.customer.id, null)).total).toBe(1);
    expect(await searchView(context, 'Quern 41')).toEqual([]);
    await expect(undo(id)).rejects.toMatchObject({ status: 409 });
  });

  it('takes its customers back with it where nothing else is known of them', async () => {
    const id = crypto.randomUUID();
    await take([listed('Quern 44')], id);
    expect((await gearView(context, 'Weir wardens')).customers).toHaveLength(1);
    await undo(id);
    expect((await gearView(context, 'Weir wardens')).customers).toEqual([]);
    // And the list can be taken in again.
    expect(await take([listed('Quern 44')])).toMatchObject({ saws: 1, customers: 1 });
  });
});

describe('chains that go in turn', () => {
  const chainsOf = async () => {
    const { set, resting, past } = await sawGearView(context, OLD_SAW);
    return [...set, ...resting, ...past].filter(({ part }) => part === 'chain');
  };
  const cameWith = async () => (await sawGearView(context, OLD_SAW)).jobs.map(({ chain }) => chain);

  it('stand beside the one on the saw, with who said so, and go again once that is undone', async () => {
    const before = await chainsOf();
    const [on, ...gone] = before;
    expect(gone).toHaveLength(2);
    const id = crypto.randomUUID();
    await say({ say: 'chains-in-turn', sawId: OLD_SAW, pieces: [on!.id, gone[0]!.id] }, id);
    const view = await sawGearView(context, OLD_SAW);
    expect([...view.set, ...view.resting].filter(({ turns }) => turns === 2).map(({ id: piece }) => piece)).toEqual(
      expect.arrayContaining([on!.id, gone[0]!.id]),
    );
    expect(view.said[0]).toMatchObject({ what: 'chains-in-turn', by });
    // The next job does not know before which of them it comes with.
    await undo(id);
    expect(await chainsOf()).toEqual(before);
  });

  it('came with a job as somebody says, and nothing of it is lost', async () => {
    const [on, other] = await chainsOf();
    await say({ say: 'chains-in-turn', sawId: OLD_SAW, pieces: [on!.id, other!.id] });
    const { jobs } = await sawGearView(context, OLD_SAW);
    const newest = jobs[0]!;
    const told = newest.chain === on!.id ? other!.id : on!.id;
    await say({ say: 'chain-told', jobId: newest.jobId, piece: told });
    const after = await cameWith();
    expect(after[0]).toBe(told);
    expect(after.slice(1)).toEqual(jobs.slice(1).map(({ chain }) => chain));
  });

  it('are refused where one is none of the saw’s chains, and more than a few', async () => {
    const [on] = await chainsOf();
    const bar = (await onNow(OLD_SAW, 'bar'))!;
    await expect(say({ say: 'chains-in-turn', sawId: OLD_SAW, pieces: [on!.id, bar.id] })).rejects.toMatchObject({
      status: 409,
    });
    const { jobs } = await sawGearView(context, OLD_SAW);
    await expect(say({ say: 'chain-told', jobId: jobs[0]!.jobId, piece: on!.id })).rejects.toMatchObject({
      status: 409,
    });
  });
});

it('what was said is never changed and never goes', async () => {
  const saw = await entered();
  for (const wish of [sql`UPDATE gear_change SET by = 'x'`, sql`DELETE FROM gear_change`])
    await expect(context.store.write((tx) => tx.run(wish))).rejects.toThrow();
  expect((await sawGearView(context, saw)).said).toHaveLength(1);
});
