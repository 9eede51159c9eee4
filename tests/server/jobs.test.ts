import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import type { NewReadingMessage, PutReadings } from '../../src/contract';
import { currentReadings, readingHistory, findSignOff } from '../../src/data/repositories';
import { openStore } from '../../src/data/store';
import { Refusal } from '../../src/server/refusal';
import { benchView } from '../../src/server/use-cases/bench';
import { assessedJob } from '../../src/server/use-cases/appraised';
import { jobSheet, jobView, putReadings } from '../../src/server/use-cases/jobs';
import { reopen, signOff } from '../../src/server/use-cases/sign-off';
import { createJob, ownersView } from '../../src/server/use-cases/take-in';
import { learnCode } from '../../src/server/use-cases/codes';
import { changeLimit, chooseSchool, rulesInForce, rulesMark, shopPage } from '../../src/server/use-cases/shop';
import { joinShop } from '../../src/server/use-cases/people';
import { testContext, type TestContext } from '../support/context';
import { learnedCode } from '../support/learned-code';

let context: TestContext;
beforeEach(() => {
  context = testContext();
});
afterEach(() => context.done());

const newJob = {
  by: 'Ines',
  customer: { name: 'Towpath crew' },
  saw: { label: 'Ondral 52', mount: 'M2' },
  complaint: 'pulls left',
  promisedFor: null,
};
const reading = (path: string, text: string, supersedes: string | null = null): NewReadingMessage => ({
  id: crypto.randomUUID(),
  path,
  text,
  unit: 'mm',
  instrument: null,
  supersedes,
});
const put = (jobId: string, ...readings: NewReadingMessage[]) =>
  putReadings(context, jobId, { by: 'Tam', readings } satisfies PutReadings);

describe('taking in a job', () => {
  it('finds the customer again by name and numbers the tags', async () => {
    const first = await createJob(context, newJob);
    const second = await createJob(context, { ...newJob, customer: { name: 'TOWPATH CREW' } });
    expect([first.tag, second.tag]).toEqual(['L-0001', 'L-0002']);
    const [a, b] = await Promise.all([jobView(context, first.id), jobView(context, second.id)]);
    expect(a.customer.id).toBe(b.customer.id);
    expect((await jobSheet(context, first.id)).written).toMatchObject({
      job: { complaint: 'pulls left', reference: 'L-0001' },
      saw: { mount: 'M2' },
    });
  });

  it('offers known customers by what is typed of their names, however many there are', async () => {
    for (let i = 0; i < 60; i += 1)
      await createJob(context, { ...newJob, customer: { name: `Crew ${i}` }, saw: { label: `Saw ${i}`, mount: null } });
    await createJob(context, { ...newJob, customer: { name: 'Weir crew' }, saw: { label: 'Ondral 52', mount: null } });
    await createJob(context, { ...newJob, customer: { name: 'crew' }, saw: null });
    const names = async (typed: string) => (await ownersView(context, typed)).map(({ name }) => name);
    expect(await names('wei')).toEqual(['Weir crew']);
    expect((await names('Crew'))[0]).toBe('crew');
    expect(await names('Crew 59')).toEqual(['Crew 59']);
    expect(await names('nobody of the kind')).toEqual([]);
    // Before anything is typed: who came last.
    expect((await names('')).slice(0, 3)).toEqual(['crew', 'Weir crew', 'Crew 59']);
    expect(await names('')).toHaveLength(40);
    await createJob(context, { ...newJob, customer: { name: 'Crew 0' }, saw: null });
    expect((await names('')).slice(0, 2)).toEqual(['Crew 0', 'crew']);
    expect(await names('"*')).toEqual(await names(''));
    const [weir] = await ownersView(context, 'weir');
    expect(weir!.saws.map(({ label }) => label)).toEqual(['Ondral 52']);
  });

  it('knows a customer whatever the capitals, in any letters and signs', async () => {
    const customersOf = async (...names: readonly string[]) => {
      for (const name of names) await createJob(context, { ...newJob, customer: { name }, saw: null });
      const owners = await ownersView(context, '');
      return owners.map(({ name }) => name).filter((name) => name !== newJob.customer.name);
    };
    expect(await customersOf('Ünal', 'ünal', 'U\u0308NAL', 'Ünal & Sons')).toEqual(['Ünal & Sons', 'Ünal']);
    expect((await customersOf('Weir', 'WEIR', 'Weir crew', '¡!', '¡!', 'कमल', 'कमल')).sort()).toEqual(
      ['Ünal', 'Ünal & Sons', 'Weir', 'Weir crew', '¡!', 'कमल'].sort(),
    );
    expect((await ownersView(context, 'कम')).map(({ name }) => name)).toEqual(['कमल']);
  });

  it('asked for twice under one id is one job', async () => {
    const id = crypto.randomUUID();
    const [first, second] = await Promise.all([1, 2].map(() => createJob(context, { ...newJob, id })));
    expect(second).toEqual(first);
    expect(first!.id).toBe(id);
    expect((await benchView(context, { page: '1' })).jobs.filter((job) => job.id === id)).toHaveLength(1);
  });

  it('refuses a saw of another customer', async () => {
    await createJob(context, newJob);
    const customers = await ownersView(context, '');
    const saw = { id: customers[0]!.saws[0]!.id };
    await expect(createJob(context, { ...newJob, customer: { name: 'Orchard' }, saw })).rejects.toMatchObject({
      code: 'saw-of-another',
    });
  });

  it('starts from an imported bench sheet, and names what is wrong with one', async () => {
    const sheet = { format: 'serrata-bench-sheet', version: 1, bar: { stamp: '325 .050', checks: { bow: '0.2 mm' } } };
    const { id } = await createJob(context, { ...newJob, sheet });
    expect((await jobSheet(context, id)).written.bar).toEqual({ stamp: '325 .050', checks: { bow: '0.2 mm' } });
    await expect(createJob(context, { ...newJob, sheet: { ...sheet, colour: 1 } })).rejects.toMatchObject({
      code: 'sheet-refused',
      problems: [expect.stringContaining('colour')],
    });
  });
});

describe('readings', () => {
  it('are kept as typed, wrong ones too, and never overwritten', async () => {
    const { id } = await createJob(context, newJob);
    const first = reading('bar.checks.bow', '0,2');
    await put(id, first);
    await put(id, reading('bar.checks.bow', 'five', first.id));
    expect((await readingHistory(context.store.db, id, 'bar.checks.bow')).map(({ text }) => text)).toEqual([
      '0,2',
      'five',
    ]);
    expect((await jobSheet(context, id)).refused).toMatchObject([{ path: 'bar.checks.bow', text: 'five' }]);
    await expect(context.store.db.run(sql`UPDATE reading SET text = 'x'`)).rejects.toThrow();
    await expect(context.store.db.run(sql`DELETE FROM reading`)).rejects.toThrow();
  });

  it('sent twice are stored once', async () => {
    const { id } = await createJob(context, newJob);
    const once = reading('bar.mount', 'M2');
    await put(id, once);
    expect((await put(id, once)).results).toEqual([{ outcome: 'stored', id: once.id }]);
    expect(await readingHistory(context.store.db, id, 'bar.mount')).toHaveLength(1);
  });

  it('based on what no longer stands come back as a conflict', async () => {
    const { id } = await createJob(context, newJob);
    const [mine, theirs] = [reading('bar.mount', 'M2'), reading('bar.mount', 'M4')];
    await put(id, theirs);
    const { results } = await put(id, mine);
    expect(results).toMatchObject([{ outcome: 'conflict', id: mine.id, current: { text: 'M4', by: 'Tam' } }]);
    expect((await currentReadings(context.store.db, [id], ['bar.mount'])).map(({ text }) => text)).toEqual(['M4']);
  });

  it('many at once wait for one another', async () => {
    const { id } = await createJob(context, newJob);
    await Promise.all(Array.from({ length: 30 }, (_, i) => put(id, reading(`chain.cuttersLeft.${i}`, '6.1 mm'))));
    expect(await currentReadings(context.store.db, [id])).toHaveLength(33);
  });

  it('are there for another process', async () => {
    const { id } = await createJob(context, newJob);
    await put(id, reading('bar.mount', 'M2'));
    const other = openStore(`file:${context.path}`);
    expect((await currentReadings(other.db, [id], ['bar.mount'])).map(({ text }) => text)).toEqual(['M2']);
    other.close();
  });

  it('change what the Bench says of the job', async () => {
    const { id } = await createJob(context, newJob);
    const before = (await benchView(context, { page: '1' })).jobs[0]!;
    expect(before.summary.brought).toEqual([]);
    await put(id, reading('bar.checks.crack', 'yes'));
    const after = (await benchView(context, { page: '1' })).jobs[0]!;
    expect(after.summary.verdicts.bar).toBe('replace');
    expect(after.complaint).toBe('pulls left');
  });

  it('are told in each unit, on the Bench and on a job that opens', async () => {
    const { id } = await createJob(context, newJob);
    await put(id, reading('bar.checks.bow', '0.9 mm'));
    const { kept } = await jobView(context, id);
    expect(kept.why.bar.mm).toMatch(/0\.90? mm/);
    expect(kept.why.bar.in).toMatch(/0\.035\d? in/);
    expect(JSON.stringify([kept.why.bar.in, kept.next.text.in])).not.toMatch(/\d mm/);
  });
});

describe('signing off', () => {
  const rules = async () => rulesMark(await rulesInForce(context));

  it.each([
    ['a limit', () => changeLimit(context, 'bar.bow', { by: 'Ines', value: '0.3', source: null })],
    ['a school', () => chooseSchool(context, { school: 'closeRails', answer: 'on' })],
    [
      'a code',
      () =>
        learnCode(context, { by: 'Ines', code: learnedCode({ code: 'QX', pitch: '325', gauge: '.050', note: '' }) }),
    ],
  ])('is refused when %s was changed since the verdict was shown', async (_what, change) => {
    const { id } = await createJob(context, newJob);
    const { lastReading } = await put(id, reading('bar.checks.bow', '0.4 mm'));
    const { rulesMark: seen } = await jobView(context, id);
    await change();
    await expect(signOff(context, id, { by: 'Ines', upToReading: lastReading, rules: seen })).rejects.toMatchObject({
      code: 'rules-changed',
    });
    expect((await jobView(context, id)).signOffs).toEqual([]);
    const { rulesMark: now } = await jobView(context, id);
    expect(await signOff(context, id, { by: 'Ines', upToReading: lastReading, rules: now })).toHaveLength(1);
  });

  it('keeps sheet, limits and assessment as they stood', async () => {
    const { id } = await createJob(context, newJob);
    const { lastReading } = await put(id, reading('bar.checks.crack', 'yes'));
    const [signed] = await signOff(context, id, {
      by: 'Ines',
      upToReading: lastReading,
      rules: await rules(),
    });
    await changeLimit(context, 'bar.bow', { by: 'Ines', value: '0.4', source: null });
    const record = await findSignOff(context.store.db, signed!.id);
    expect(record).toMatchObject({
      by: 'Ines',
      version: '0.1.0',
      sheet: { bar: { checks: { crack: 'yes' } } },
      limits: { 'bar.bow': { value: 0.5 } },
    });
    expect((record!.assessment as { verdicts: { bar: { action: string } } }).verdicts.bar.action).toBe('replace');
    const { jobs } = await benchView(context, { page: '1' });
    expect(jobs).toMatchObject([{ id, state: 'signed-off' }]);
    expect((await benchView(context, { page: '1', done: true })).jobs).toEqual([]);
    await reopen(context, id);
    expect((await jobView(context, id)).signOffs).toHaveLength(1);
    expect((await benchView(context, { page: '1' })).jobs).toHaveLength(1);
  });

  it('is refused when readings have come in since', async () => {
    const { id } = await createJob(context, newJob);
    const { lastReading } = await put(id, reading('bar.checks.crack', 'no'));
    await put(id, reading('bar.checks.bow', '0.9 mm'));
    await expect(
      signOff(context, id, { by: 'Ines', upToReading: lastReading, rules: await rules() }),
    ).rejects.toMatchObject({
      code: 'read-again',
    });
  });
});

describe('what a job’s page opens with', () => {
  it('is what its readings come to, up to the newest, by the rules in force', async () => {
    const { id } = await createJob(context, newJob);
    const kept = async () => (await jobView(context, id)).kept;
    expect((await kept()).judged).toEqual([]);
    await put(id, reading('bar.checks.bow', '0.4 mm'));
    expect(await kept()).toMatchObject({ judged: ['bar', 'nose'], verdicts: { bar: 'undecided' } });
    await changeLimit(context, 'bar.bow', { by: 'Ines', value: '0.26 mm', source: null });
    expect((await kept()).verdicts.bar).toBe('replace');
    expect((await assessedJob(context, id)).verdicts.bar.action).toBe('replace');
  });
});

describe('the shop', () => {
  it('changes a limit, remembers who did, and puts the default back', async () => {
    await changeLimit(context, 'bar.depth.325', { by: 'Ines', value: '5.5 mm', source: null });
    expect((await rulesInForce(context)).limits['bar.depth.325']).toMatchObject({ value: 5.5, provenance: 'shop' });
    await changeLimit(context, 'bar.depth.325', { by: 'Tam', value: '5.8', source: 'bar maker' });
    expect((await rulesInForce(context)).limits['bar.depth.325']).toMatchObject({
      value: 5.8,
      provenance: 'published',
      source: 'bar maker',
    });
    await changeLimit(context, 'bar.depth.325', { by: 'Tam', value: null, source: null });
    expect((await rulesInForce(context)).limits['bar.depth.325']).toMatchObject({ value: 6, provenance: 'memory' });
    expect((await shopPage(context)).changes.map(({ by }) => by)).toEqual(['Tam', 'Tam', 'Ines']);
  });

  it('refuses a limit that makes no sense', async () => {
    await expect(changeLimit(context, 'bar.bow', { by: 'Ines', value: 'wide', source: null })).rejects.toBeInstanceOf(
      Refusal,
    );
    await expect(changeLimit(context, 'bar.bowl', { by: 'Ines', value: '1', source: null })).rejects.toMatchObject({
      status: 404,
    });
  });

  it('makes summaries again when a limit changes', async () => {
    const { id } = await createJob(context, newJob);
    await put(id, reading('driveSprocket.wear', '0.2 mm'));
    expect((await benchView(context, { page: '1' })).jobs[0]!.summary.verdicts.driveSprocket).toBe('keep');
    await changeLimit(context, 'sprocket.wear.watch', { by: 'Ines', value: '0.05', source: null });
    await changeLimit(context, 'sprocket.wear', { by: 'Ines', value: '0.06', source: null });
    expect((await benchView(context, { page: '1' })).jobs[0]!.summary.verdicts.driveSprocket).toBe('replace');
  });

  it('lets a person come to the bench once', async () => {
    expect((await joinShop(context, { name: 'Wilf' })).people.map(({ name }) => name)).toEqual(['Wilf']);
    await expect(joinShop(context, { name: 'wilf' })).rejects.toMatchObject({ code: 'name-taken' });
  });
});

describe('readings that somebody else brings in', () => {
  const brought = async (typedBy: string, format?: number) => {
    const { id } = await createJob(context, {
      ...{ by: 'Ines Holloway', customer: { name: 'Brought in' }, saw: null, complaint: '', promisedFor: null },
    });
    const reading = { id: crypto.randomUUID(), path: 'bar.stamp', text: '325', unit: 'mm' as const };
    await putReadings(context, id, {
      ...{ by: 'Ines Holloway', typedBy, ...(format === undefined ? {} : { format }) },
      readings: [{ ...reading, instrument: null, supersedes: null }],
    });
    return (await jobView(context, id)).readings.find(({ path }) => path === 'bar.stamp')!.by;
  };

  it('bear both names; a name that nobody of the shop has is not taken', async () => {
    await joinShop(context, { name: 'Tam Okoro' });
    expect(await brought('Tam Okoro')).toBe('Tam Okoro, brought in by Ines Holloway');
    expect(await brought('ines holloway')).toBe('Ines Holloway');
    expect(await brought('Nobody At All')).toBe('Ines Holloway');
  });

  it('written by a newer page wait for a newer server', async () => {
    await expect(brought('Tam Okoro', 2)).rejects.toMatchObject({ status: 503, code: 'older-server' });
  });
});
