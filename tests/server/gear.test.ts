import Papa from 'papaparse';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import {
  customerGear,
  dueAsCalendar,
  dueAsCsv,
  gearView,
  pieceView,
  sawGearView,
} from '../../src/server/use-cases/gear';
import { handOverView } from '../../src/server/use-cases/hand-over';
import { handOverJob } from '../../src/server/use-cases/handing-over';
import { actOnPart } from '../../src/server/use-cases/job-parts';
import { changeLimit } from '../../src/server/use-cases/shop';
import { reopen } from '../../src/server/use-cases/sign-off';
import { partName } from '../../src/wording';
import { demoContext, testContext, type TestContext } from '../support/context';
import { jobOf, signPlan } from '../support/signing';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const OLD_SAW = 's-brask-66';
const GIVING = { unit: 'mm', origin: 'http://127.0.0.1:4173' } as const;
const MISSING = { status: 404 };

describe('a saw with three years behind it', () => {
  it('has one bar all along, and the chains and sprockets that came and went', async () => {
    const { set, past, jobs, numbers } = await sawGearView(context, OLD_SAW);
    expect(jobs).toHaveLength(9);
    expect(set.map(({ part, looks }) => [part, looks])).toEqual([
      ['bar', 9],
      ['chain', 4],
      ['driveSprocket', 4],
      ['nose', 9],
    ]);
    expect(past.map(({ part, looks, ended }) => [part, looks, ended!.how])).toEqual(
      expect.arrayContaining([
        ['chain', 2, 'gone'],
        ['chain', 3, 'gone'],
        ['driveSprocket', 5, 'gone'],
      ]),
    );
    expect(numbers.marks).toMatchObject({ pitch: '325', gauge: '.050', driveLinks: 72, kickbackClass: 'low-kickback' });
    expect(numbers.chains.map(({ sku }) => sku)).toContain('LD-3250-72');
  });

  it('has a bar whose life is told from its readings, each with its job', async () => {
    const { set } = await sawGearView(context, OLD_SAW);
    const { wears, piece, use, seen } = await pieceView(context, set.find(({ part }) => part === 'bar')!.id);
    expect(use).toMatchObject({ hoursPerWeek: 3, isTold: true });
    expect(seen).toHaveLength(9);
    const depth = wears.find(({ wear }) => wear === 'bar.depth')!;
    expect(depth.points).toHaveLength(18);
    expect(depth.points.every(({ tag }) => /^L-03\d\d$/.test(tag))).toBe(true);
    // What the simulation wears and dresses off in an hour.
    expect(depth.rate.value).toBeLessThan(-0.0045);
    expect(depth.rate.value).toBeGreaterThan(-0.0075);
    const { on } = piece.first!;
    expect(on.from! < on.middle! && on.middle! < on.until!).toBe(true);
    expect(depth.ahead[0]!.day).toBe(depth.points.at(-1)!.day);
    expect(depth.ahead.every(({ low, value, high }) => low < value && value < high)).toBe(true);
  });

  it('is foreseen by the limit in force, and not by the one that its jobs went by', async () => {
    const bar = async () => (await sawGearView(context, OLD_SAW)).set.find(({ part }) => part === 'bar')!.first!;
    const before = await bar();
    await changeLimit(context, 'bar.depth.325', { by: 'Ines', value: '5 mm', source: null });
    const after = await bar();
    expect([before.limit, after.limit]).toEqual([6, 5]);
    expect(after.on.middle! > before.on.middle!).toBe(true);
  });

  it('says nothing ahead of a piece that is not on it any more', async () => {
    const { past } = await sawGearView(context, OLD_SAW);
    const { piece, wears } = await pieceView(context, past[0]!.id);
    expect(piece).toMatchObject({ first: null, ended: { how: 'gone' } });
    expect(wears.every(({ reach, ahead }) => reach === null && ahead.length === 0)).toBe(true);
  });
});

describe('a new chain', () => {
  it('is on the saw from the hand-over on, under its number, and no more once the job is open again', async () => {
    const id = await jobOf(context, 'L-0423');
    const skus = await signPlan(context, id, ({ chain, bar }) => chain === 'replace' && bar === 'keep');
    for (const sku of skus)
      await actOnPart(context, id, { id: context.newId(), by: 'Ines', act: 'take', sku }, 'http://127.0.0.1:9');
    const { revision } = await handOverView(context, id);
    await handOverJob(context, id, { by: 'Ines', revision, nextVisit: null, note: 'so' }, GIVING);
    const chains = async () => {
      const { set, past } = await sawGearView(context, 's-ondral-38');
      return [...set, ...past].filter(({ part }) => part === 'chain');
    };
    const [now, before] = await chains();
    expect(now).toMatchObject({ began: { how: 'fitted', jobId: id }, looks: 0, first: null, ended: null });
    expect(skus).toContain(now!.sold!.sku);
    expect(before).toMatchObject({ ended: { how: 'replaced', jobId: id } });
    // The numbers for next time are those that the papers gave.
    const { numbers } = await sawGearView(context, 's-ondral-38');
    const given = (await handOverView(context, id)).last!.document.numbers;
    expect([numbers.marks.pitch, numbers.marks.gauge, numbers.marks.driveLinks]).toEqual([
      given.pitch,
      given.gauge,
      given.driveLinks,
    ]);
    expect(now!.marks.kickbackClass).toBe('low-kickback');
    expect(numbers.chains.every(({ kickbackClass }) => kickbackClass === 'low-kickback')).toBe(true);
    expect((await pieceView(context, now!.id)).wears).toEqual([]);
    await reopen(context, id);
    expect((await chains()).map(({ began }) => began.how)).toEqual(['found']);
    await expect(pieceView(context, now!.id)).rejects.toMatchObject(MISSING);
  });
});

describe('gear', () => {
  it('shows the saws that were here last, each with whose it is', async () => {
    const { saws, customers } = await gearView(context, '  ');
    expect(saws).toHaveLength(12);
    expect(customers).toEqual([]);
    expect(saws[0]).toMatchObject({ saw: { label: 'Ondral 55' }, customer: { name: 'Towpath crew' } });
  });

  it('finds saws by name, tag and owner, and owners by name', async () => {
    expect((await gearView(context, 'TP-02')).saws.map(({ saw }) => saw.id)).toEqual([OLD_SAW]);
    const { saws, customers } = await gearView(context, 'towpath');
    expect(customers.map(({ name }) => name)).toEqual(['Towpath crew']);
    expect(saws.every(({ customer }) => customer.name === 'Towpath crew')).toBe(true);
    expect(await gearView(context, '" nobody-at-all *')).toMatchObject({ saws: [], customers: [] });
  });

  it('has a page for each customer, with all of their saws', async () => {
    const view = await customerGear(context, 'c-towpath', null);
    expect(view.total).toBe(view.saws.length);
    expect(view.saws.map(({ saw }) => saw.id)).toContain(OLD_SAW);
    expect(await customerGear(context, 'c-towpath', '99')).toMatchObject({ page: 1 });
  });

  it('offers no chain by the numbers of parts that do not belong together', async () => {
    const { numbers } = await sawGearView(context, 's-velm-e18');
    expect(numbers).toMatchObject({ clashes: true, chains: [] });
    expect((await sawGearView(context, OLD_SAW)).numbers.clashes).toBe(false);
  });

  it('knows nothing of what is not there', async () => {
    await expect(customerGear(context, 'nobody', null)).rejects.toMatchObject(MISSING);
    await expect(sawGearView(context, 'none')).rejects.toMatchObject(MISSING);
    const found = await jobOf(context, 'L-0422');
    for (const id of [
      '',
      'bar',
      'bar.found.none',
      `bar.found.${found}`,
      `bar.fitted.${await jobOf(context, 'L-0417')}`,
    ])
      await expect(pieceView(context, id)).rejects.toMatchObject(MISSING);
  });

  it('is empty in an empty store', async () => {
    const empty = testContext();
    expect(await gearView(empty, '')).toMatchObject({ saws: [], customers: [] });
    await empty.done();
  });
});

describe('what is due of a fleet', () => {
  it('is told within a year, the soonest first, each with its piece', async () => {
    const { due, today } = await customerGear(context, 'c-towpath', null);
    expect(due.length).toBeGreaterThan(5);
    const days = due.flatMap(({ because }) => (because.code === 'limit' ? [because.reach.on.middle!] : []));
    const late = days.filter((day) => day < today);
    expect(days.slice(late.length)).toEqual(days.slice(late.length).toSorted());
    for (const { piece } of due) expect((await pieceView(context, piece)).piece.ended).toBeNull();
  });

  it('goes out as CSV and comes back the same, and as a calendar with a day each', async () => {
    const { due } = await customerGear(context, 'c-towpath', null);
    const { file } = await dueAsCsv(context, 'c-towpath');
    const { data, errors } = Papa.parse<Record<string, string>>(file, { header: true, skipEmptyLines: true });
    expect(errors).toEqual([]);
    expect(data.map(({ saw, part }) => [saw, part])).toEqual(due.map(({ saw, part }) => [saw.label, partName[part]]));
    const limits = due.flatMap(({ because }) => (because.code === 'limit' ? [because.reach] : []));
    expect(data.filter(({ limit }) => limit !== '').map(({ likely, limit }) => [likely, Number(limit)])).toEqual(
      limits.map(({ on, limit }) => [on.middle ?? '', limit]),
    );
    const { file: calendar } = await dueAsCalendar(context, 'c-towpath', 'http://127.0.0.1:4173');
    expect(calendar.startsWith('BEGIN:VCALENDAR')).toBe(true);
    expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(due.length);
    expect(new Set(calendar.match(/UID:.*/g))).toHaveProperty('size', due.length);
    await expect(dueAsCsv(context, 'nobody')).rejects.toMatchObject(MISSING);
  });
});
