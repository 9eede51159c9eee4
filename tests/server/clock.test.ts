import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { benchView } from '../../src/server/use-cases/bench';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { storePhoto } from '../../src/server/use-cases/photos';
import { movePart, partCard } from '../../src/server/use-cases/shelf';
import { reopen, signOff } from '../../src/server/use-cases/sign-off';
import { stockView } from '../../src/server/use-cases/stock';
import { takeInBatch } from '../../src/server/use-cases/stock-imports';
import { createJob, ownersView } from '../../src/server/use-cases/take-in';
import { demoContext, type TestContext } from '../support/context';

let fixed: TestContext;
/** The clock runs backwards: every look at it is an hour earlier than the one before. */
let context: typeof fixed;

beforeEach(async () => {
  fixed = demoContext();
  let hour = 0;
  context = { ...fixed, now: () => new Date(Date.UTC(2026, 10, 20) - (hour += 3_600_000)) };
});
afterEach(() => fixed.done());

const by = 'Ines';
const someJob = (saw: string | null = null) =>
  createJob(context, {
    by,
    customer: { name: 'Crew of the clock' },
    saw: saw === null ? null : { id: saw },
    complaint: '',
    promisedFor: null,
  });
const put = async (job: string, path: string, text: string) => {
  const { readings } = await jobView(context, job);
  const supersedes = readings.find((reading) => reading.path === path)?.id ?? null;
  const reading = { id: crypto.randomUUID(), path, text, unit: 'mm', instrument: null, supersedes } as const;
  return putReadings(context, job, { by, readings: [reading] });
};

describe('with a clock that runs backwards', () => {
  it('what was typed last stands', async () => {
    const { id } = await someJob();
    for (const text of ['M1', 'M2', 'M3']) await put(id, 'bar.mount', text);
    const standing = (await jobView(context, id)).readings.filter(({ path }) => path === 'bar.mount');
    expect(standing.map(({ text }) => text)).toEqual(['M3']);
  });

  it('sign-offs, photographs, movements, lists and jobs stand in the order in which they were made', async () => {
    const first = await someJob();
    const second = await someJob();
    for (const person of ['Ines', 'Tam', 'Odo']) {
      const { lastReading } = await put(first.id, 'job.complaint', `seen by ${person}`);
      const { rulesMark: rules } = await jobView(context, first.id);
      await signOff(context, first.id, { by: person, upToReading: lastReading, rules });
      await reopen(context, first.id);
    }
    const png = readFileSync(new URL('../../docs/screenshots/order.png', import.meta.url));
    const bytes = png.buffer.slice(png.byteOffset, png.byteOffset + png.length) as ArrayBuffer;
    for (const person of ['Ines', 'Tam']) await storePhoto(context, first.id, person, bytes);
    const view = await jobView(context, first.id);
    expect(view.signOffs.map((each) => each.by)).toEqual(['Odo', 'Tam', 'Ines']);
    expect(view.photos.map((each) => each.by)).toEqual(['Ines', 'Tam']);

    for (const person of ['Ines', 'Tam'])
      await movePart(context, 'LD-3250-72', { id: person, by: person, kind: 'taken', pieces: 1, note: '' });
    const { part, movements } = await partCard(context, 'LD-3250-72');
    expect(movements.map((each) => each.by)).toEqual(['Tam', 'Ines']);
    const { version: _version, ...plain } = part;
    for (const id of ['one', 'two']) await takeInBatch(context, id, { by, name: id, parts: [plain] });
    const { imports } = await stockView(context, new URLSearchParams());
    expect(imports.map(({ name }) => name)).toEqual(['two', 'one']);
    const customers = await ownersView(context, '');
    const customerId = customers.find(({ name }) => name === 'Crew of the clock')!.id;
    const { jobs } = await benchView(context, { page: '1', customerId });
    expect(jobs.map(({ tag }) => tag)).toEqual([second.tag, first.tag]);
  });

  it('the turning of a bar is told from job to job', async () => {
    const customers = await ownersView(context, '');
    const { id: saw } = customers.flatMap(({ saws }) => saws)[0]!;
    const customer = { id: customers.find(({ saws }) => saws.some(({ id }) => id === saw))!.id };
    const take = () => createJob(context, { by, customer, saw: { id: saw }, complaint: '', promisedFor: null });
    for (const edge of ['A', 'B', 'A']) {
      const { id } = await take();
      await put(id, 'bar.edgeDown', edge);
    }
    const { id } = await take();
    const { turnOvers } = await jobView(context, id);
    expect(turnOvers.slice(0, 3).map(({ came }) => came)).toEqual(['A', 'B', 'A']);
    const log = (await jobView(context, id)).readings.filter(({ path }) => /^saw\.turnLog\.\d+\.came$/.test(path));
    expect(log.slice(-3).map(({ text }) => text)).toEqual(['A', 'B', 'A']);
  });
});
