import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CounterEntry } from '../../src/contract';
import { simulatedSupplier } from '../../src/server/simulated/supplier';
import {
  counterReply,
  counterSlip,
  mountsKnown,
  rememberForNextTime,
  sawMemory,
  sawsFor,
} from '../../src/server/use-cases/counter';
import { forgetCode, learnCode } from '../../src/server/use-cases/codes';
import { jobSheet, jobView } from '../../src/server/use-cases/jobs';
import { askSupplier, setSupplierMood, supplierMood, supplierStandIn } from '../../src/server/use-cases/supplier';
import { createJob } from '../../src/server/use-cases/take-in';
import { demoContext, type TestContext } from '../support/context';
import { learnedCode } from '../support/learned-code';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const said = (given: Record<string, string>): CounterEntry[] =>
  Object.entries(given).map(([path, text]) => ({ path, text, unit: 'mm' }));
const ask = (given: Record<string, string>, kind: 'chain' | 'bar' = 'chain') =>
  counterReply(context, { entries: said(given), kind, inHand: false });

describe('the counter', () => {
  it('goes from an 18 inch bar and no idea to a part that fits', async () => {
    const nothing = await ask({ 'bar.listedLength': '18 in' });
    expect(nothing).toMatchObject({ stock: [], order: null, question: { path: 'bar.stamp' } });
    expect(nothing.cautions[0]).toContain('62 links');
    const stamped = await ask({
      'bar.listedLength': '18 in',
      'bar.stamp': '325 .050 72DL',
      'job.operatorTrained': 'no',
    });
    expect(stamped.stock[0]).toMatchObject({ answer: 'fits', part: { sku: 'LD-3250-72K' } });
    expect(stamped.order).toEqual({
      pitch: '325',
      gauge: '.050',
      links: 72,
      kickbackClass: 'low-kickback',
      sequence: null,
      counted: false,
    });
    expect(stamped.stock.every(({ part, answer }) => answer !== 'fits' || part.kickbackClass === 'low-kickback')).toBe(
      true,
    );
  });

  it('names what was mistyped and answers with the rest', async () => {
    const reply = await ask({ 'bar.stamp': '325 .050', 'chain.driveLinks.0': 'many' });
    expect(reply.refused).toMatchObject([{ path: 'chain.driveLinks.0' }]);
    expect(reply.numbers.find(({ property }) => property === 'pitch')).toMatchObject({ status: 'settled' });
  });

  it('names equal parts on the shelf for one that is out', async () => {
    const reply = await ask({
      'bar.stamp': '3/8 .063 72DL',
      'chain.chassis': 'large',
      'job.operatorTrained': 'yes',
      'chain.kickbackClass': 'standard',
    });
    const gone = reply.stock.find(({ part }) => part.sku === 'LD-3863-72');
    expect(gone).toMatchObject({ answer: 'near', misses: ['fits, none on the shelf'], equals: [] });
  });

  it('reads the codes that the shop has learned, and forgets them', async () => {
    await learnCode(context, { by: 'Ines', code: learnedCode({ code: 'Z8', pitch: '404', gauge: '.063', note: '' }) });
    expect((await ask({ 'chain.stamp': 'z8' })).numbers.map(({ status }) => status)).toEqual([
      'settled',
      'settled',
      'unknown',
    ]);
    await forgetCode(context, { code: 'z8' });
    expect((await ask({ 'chain.stamp': 'z8' })).numbers[0]).toMatchObject({ status: 'unknown' });
    await expect(
      learnCode(context, { by: 'Ines', code: learnedCode({ code: 'X', pitch: null, gauge: null, note: '' }) }),
    ).rejects.toMatchObject({ code: 'code-means-nothing' });
  });

  it('remembers a saw for the next call', async () => {
    const entries = said({ 'bar.stamp': '325 .050 72DL', 'saw.mount': 'M2' });
    const known = await rememberForNextTime(context, {
      by: 'Tam',
      saw: { customer: 'Weir keepers', label: 'Brask 55' },
      entries,
    });
    expect(await sawsFor(context, 'weir')).toEqual([known]);
    const memory = await sawMemory(context, known.id);
    expect(memory.note).toContain('Remembered by Tam');
    expect(memory.entries).toContainEqual({ path: 'bar.stamp', text: '325 .050 72DL', unit: 'mm' });
    await rememberForNextTime(context, { by: 'Ines', saw: { id: known.id }, entries: said({ 'bar.stamp': '404' }) });
    const later = await sawMemory(context, known.id);
    expect(later.entries).toContainEqual({ path: 'bar.stamp', text: '404', unit: 'mm' });
    await expect(rememberForNextTime(context, { by: 'I', saw: { id: 'none' }, entries })).rejects.toMatchObject({
      status: 404,
    });
  });

  it('knows a saw from its last job where nobody remembered it', async () => {
    const [saw] = await sawsFor(context, 'TP-11');
    const memory = await sawMemory(context, saw!.id);
    expect(memory.note).toContain('From job L-0418');
    expect(memory.entries.some(({ path }) => path === 'bar.stamp')).toBe(true);
    expect(memory.entries.some(({ path }) => path.startsWith('bar.edges'))).toBe(false);
  });

  it('becomes a job with all that was said', async () => {
    const { id } = await createJob(context, {
      by: 'Ines',
      customer: { name: 'Weir keepers' },
      saw: null,
      complaint: '',
      promisedFor: null,
      entries: said({ 'bar.stamp': '325 .050 72DL', 'chain.driveLinks.0': '72' }),
    });
    expect((await jobSheet(context, id)).written).toMatchObject({
      bar: { stamp: '325 .050 72DL' },
      chain: { driveLinks: [72] },
    });
    expect((await jobView(context, id)).codes.length).toBeGreaterThan(0);
  });

  it('writes a slip that says when the links were not counted', async () => {
    const params = new URLSearchParams({
      pitch: '325',
      gauge: '.050',
      links: '72',
      class: 'low-kickback',
      counted: 'no',
    });
    const slip = await counterSlip(context, params);
    expect(slip).toMatchObject({ order: { driveLinks: 72, kickbackClass: 'low-kickback' } });
    expect(slip?.fit[0]?.text).toContain('count them before');
    params.set('counted', 'yes');
    expect((await counterSlip(context, params))?.fit).toEqual([]);
    expect(await counterSlip(context, new URLSearchParams({ pitch: '325' }))).toBeNull();
  });
});

describe('the simulated supplier', () => {
  const question = { pitch: '325', gauge: '.050', links: 72, standard: false };

  it('answers the same question the same way, and keeps standard chain to itself unless asked', () => {
    const first = simulatedSupplier('slow', question);
    expect(simulatedSupplier('slow', question)).toEqual(first);
    if (first.line !== 'up') throw new Error('The slow mood answers.');
    expect(first.answer.offers.every(({ kickbackClass }) => kickbackClass === 'low-kickback')).toBe(true);
    const standard = simulatedSupplier('slow', { ...question, standard: true });
    expect(standard.line === 'up' && standard.answer.offers.length).toBe(2);
  });

  it('as usual is sometimes out of stock and sometimes not to be reached', () => {
    const moods = Array.from({ length: 120 }, (_, i) => simulatedSupplier('usual', { ...question, links: 40 + i }));
    expect(moods.some(({ line }) => line === 'dead')).toBe(true);
    expect(moods.some((each) => each.line === 'up' && each.answer.offers.length === 0)).toBe(true);
    expect(moods.filter((each) => each.line === 'up' && each.answer.offers.length > 0).length).toBeGreaterThan(60);
  });

  it('has the mood that the shop sets', async () => {
    expect(await supplierMood(context)).toBe('usual');
    await setSupplierMood(context, { mood: 'unreachable' });
    expect(await supplierStandIn(context, new URLSearchParams('pitch=325'))).toEqual({ line: 'dead' });
  });
});

describe('asking a supplier', () => {
  let server: Server | null = null;
  afterEach(() => {
    server?.closeAllConnections();
    server?.close();
  });
  const answering = (handle: Parameters<typeof createServer>[1]): Promise<string> =>
    new Promise((resolve) => {
      server = createServer(handle!).listen(0, '127.0.0.1', () =>
        resolve(`http://127.0.0.1:${(server!.address() as AddressInfo).port}/`),
      );
    });
  const offer = { sku: 'A', name: 'A chain', kickbackClass: 'low-kickback', priceCents: 100, days: 1 };

  it.each([
    ['offers', (body: string) => body, { state: 'offers' }],
    ['nothing', () => '{"offers":[]}', { state: 'none' }],
    ['nonsense', () => '<html>', { state: 'no-answer' }],
    ['another shape', () => '{"offers":[{"sku":1}]}', { state: 'no-answer' }],
  ] as const)('that answers %s is heard', async (_name, text, state) => {
    const address = await answering((_request, response) => response.end(text(JSON.stringify({ offers: [offer] }))));
    expect(await askSupplier(address, new URLSearchParams(), 60_000)).toMatchObject(state);
  });

  it('that is down, silent or not there blocks nothing', async () => {
    const down = await answering((_request, response) => {
      response.statusCode = 502;
      response.end();
    });
    expect(await askSupplier(down, new URLSearchParams())).toMatchObject({ state: 'no-answer' });
    server?.close();
    const silent = await answering(() => undefined);
    expect(await askSupplier(silent, new URLSearchParams(), 60)).toMatchObject({
      state: 'no-answer',
      why: 'The supplier did not answer within 0.06 s.',
    });
    expect(await askSupplier('http://127.0.0.1:9/', new URLSearchParams())).toMatchObject({ state: 'no-answer' });
  });

  it('that talks without end is left in the middle of it', async () => {
    let left = false;
    const address = await answering((_request, response) => {
      const talk = setInterval(() => response.write('x'.repeat(50_000)), 1);
      response.once('close', () => {
        clearInterval(talk);
        left = true;
      });
    });
    expect(await askSupplier(address, new URLSearchParams(), 60_000)).toMatchObject({ state: 'no-answer' });
    await expect.poll(() => left).toBe(true);
  });

  it('finds a drive sprocket whatever else is known of the loop and the saw', async () => {
    const reply = await counterReply(context, {
      entries: Object.entries({
        'bar.stamp': '18 in 325 .050 72DL',
        'saw.mount': 'M2',
        'driveSprocket.type': 'rim',
        'driveSprocket.teeth': '7',
        'saw.splines': '7',
      }).map(([path, text]) => ({ path, text, unit: 'mm' as const })),
      kind: 'drive-sprocket',
      inHand: false,
    });
    expect(reply.stock[0]).toMatchObject({ answer: 'fits', part: { sku: 'LS-325-7R' } });
  });

  it('tells what each mount of the shop is', async () => {
    const mounts = await mountsKnown(context);
    expect(mounts.find(({ mount }) => mount === 'M4')).toMatchObject({
      bars: 1,
      saws: expect.arrayContaining(['Brask 70']),
    });
    expect(mounts.find(({ mount }) => mount === 'M5')).toMatchObject({ bars: 0, saws: ['Brask 90'] });
  });
});
