import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { NewReadingMessage } from '../../src/contract';
import { currentReadings } from '../../src/data/repositories';
import type { Context } from '../../src/server/context';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { changeLimit, rulesInForce, rulesMark } from '../../src/server/use-cases/shop';
import { reopen, signOff } from '../../src/server/use-cases/sign-off';
import { createJob } from '../../src/server/use-cases/take-in';
import { testContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = testContext();
});
afterEach(() => context.done());

const newJob = () =>
  createJob(context, { by: 'Ines', customer: { name: 'Crew' }, saw: null, complaint: '', promisedFor: null });
const crack = (text: string, id: string = crypto.randomUUID()): NewReadingMessage => ({
  id,
  path: 'bar.checks.crack',
  text,
  unit: 'mm',
  instrument: null,
  supersedes: null,
});
const put = (jobId: string, reading: NewReadingMessage) =>
  putReadings(context, jobId, { by: 'Tam', readings: [reading] });

/** Signs a job off as it stands, by the clock of a context. */
async function sign(jobId: string, by: string, at: Context = context) {
  const rules = rulesMark(await rulesInForce(context));
  const [{ seq } = { seq: 0 }] = (await currentReadings(context.store.db, [jobId])).slice(-1);
  return signOff(at, jobId, { by, upToReading: seq, rules });
}

describe('what is acknowledged is stored', () => {
  it('a reading that is sent twice is one', async () => {
    const { id } = await newJob();
    const reading = crack('no');
    await put(id, reading);
    expect((await put(id, reading)).results).toEqual([{ outcome: 'stored', id: reading.id }]);
    expect(await currentReadings(context.store.db, [id])).toHaveLength(1);
  });

  it('the id of a reading is not taken for another job, place or text', async () => {
    const [{ id: first }, { id: second }] = [await newJob(), await newJob()];
    const reading = crack('no');
    await put(first, reading);
    for (const [job, other] of [
      [second, reading],
      [first, { ...reading, text: 'yes' }],
      [first, { ...reading, instrument: 'caliper' }],
      [first, { ...reading, path: 'bar.checks.slot', text: 'ok' }],
    ] as const)
      await expect(put(job, other)).rejects.toMatchObject({ status: 409, code: 'id-taken' });
    expect(await currentReadings(context.store.db, [second])).toEqual([]);
    expect((await currentReadings(context.store.db, [first])).map(({ text }) => text)).toEqual(['no']);
  });
});

describe('a sign-off', () => {
  it('is one, of three who sign at once; the others are told who has', async () => {
    const { id } = await newJob();
    await put(id, crack('yes'));
    const all = await Promise.allSettled(['Ines', 'Tam', 'Ola'].map((by) => sign(id, by)));
    expect(all.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected', 'rejected']);
    const [signed] = (await jobView(context, id)).signOffs;
    for (const each of all)
      if (each.status === 'rejected')
        expect(each.reason).toMatchObject({
          code: 'signed-already',
          message: `${signed!.by} has signed this off already.`,
        });
  });

  it('can be made again when the job was opened again', async () => {
    const { id } = await newJob();
    await put(id, crack('yes'));
    await sign(id, 'Ines');
    await reopen(context, id);
    expect(await sign(id, 'Tam')).toHaveLength(2);
  });

  it('stands in the order in which it was made, whatever the clock says', async () => {
    const { id } = await newJob();
    await put(id, crack('yes'));
    await sign(id, 'first');
    await reopen(context, id);
    await sign(id, 'second', { ...context, now: () => new Date('2001-01-01T00:00:00Z') });
    expect((await jobView(context, id)).signOffs.map(({ by }) => by)).toEqual(['second', 'first']);
  });
});

describe('the store itself', () => {
  it('lets nobody change or delete a sign-off, or a change of a limit', async () => {
    const { id } = await newJob();
    await put(id, crack('yes'));
    await sign(id, 'Ines');
    await changeLimit(context, 'bar.bow', { by: 'Ines', value: '0.4', source: null });
    for (const statement of [
      'DELETE FROM sign_off',
      "UPDATE sign_off SET by = 'somebody'",
      "UPDATE limit_change SET by = 'somebody'",
      'DELETE FROM limit_change',
      "UPDATE reading SET text = 'no'",
      'DELETE FROM reading',
    ])
      await expect(context.store.db.run(sql.raw(statement)), statement).rejects.toThrow();
    expect((await jobView(context, id)).signOffs).toHaveLength(1);
  });
});
