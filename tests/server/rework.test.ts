import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CaliperMessage } from '../../src/contract';
import { DEFAULT_SCHOOLS, resolveSchools } from '../../src/core/schools';
import { caliperCommand, caliperStream } from '../../src/server/simulated/caliper';
import { appraisedJob } from '../../src/server/use-cases/appraised';
import { benchView } from '../../src/server/use-cases/bench';
import { jobSheet, jobView, putReadings } from '../../src/server/use-cases/jobs';
import { chooseSchool, rulesInForce, shopPage } from '../../src/server/use-cases/shop';
import { createJob } from '../../src/server/use-cases/take-in';
import { workCardView } from '../../src/server/use-cases/work-card';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const jobOf = async (tag: string) => (await benchView(context, { page: '1' })).jobs.find((job) => job.tag === tag)!.id;

describe('schools', () => {
  it('are chosen by the shop, and an answer that is none is refused', async () => {
    expect((await rulesInForce(context)).schools).toEqual(DEFAULT_SCHOOLS);
    expect(await chooseSchool(context, { school: 'levelling', answer: 'draw-file' })).toMatchObject({
      levelling: 'draw-file',
    });
    expect((await shopPage(context)).schools.levelling).toBe('draw-file');
    await expect(chooseSchool(context, { school: 'closeRails', answer: 'perhaps' })).rejects.toMatchObject({
      code: 'no-such-school',
    });
    expect(resolveSchools({ levelling: 'hammer', closeRails: 'on' })).toEqual({ ...DEFAULT_SCHOOLS, closeRails: 'on' });
  });

  it('are followed on the work card', async () => {
    const id = await jobOf('L-0417');
    await chooseSchool(context, { school: 'levelling', answer: 'wood-block' });
    const card = await workCardView(context, await appraisedJob(context, id));
    expect(card.levelling.school).toBe('file in a wood block');
    expect(card.edges.map(({ edge }) => edge)).toEqual(['A', 'B']);
    // By what is believed of the rails, which is near what was read by caliper or rod.
    const planned = [0.05, 0.35, 0.65, 0.65, 0.45, 0.3];
    expect(card.edges[0]!.rows.map(({ near }, i) => Math.abs((near ?? 9) - planned[i]!) < 0.035)).toEqual([
      true,
      true,
      true,
      true,
      true,
      true,
    ]);
    expect(card.operations.at(-1)).toBe('Turn the bar over');
    expect(card.cautions.join(' ')).toContain('never spin its bearing with air');
  });
});

describe('the turn-over log', () => {
  it('says for each job of the saw how the bar came and went', async () => {
    const id = await jobOf('L-0417');
    const reading = {
      id: crypto.randomUUID(),
      path: 'bar.edgeDownNow',
      text: 'B',
      unit: 'mm' as const,
      instrument: null,
      supersedes: null,
    };
    await putReadings(context, id, { by: 'Tam', readings: [reading] });
    const { turnOvers } = await jobView(context, id);
    expect(turnOvers).toMatchObject([{ tag: 'L-0417', by: 'Tam', came: 'A', went: 'B' }]);
  });

  it('begins anew with the job that found another bar on the saw', async () => {
    const id = await jobOf('L-0417');
    const { customer, saw } = await jobView(context, id);
    const told = { by: 'Tam', customer: { id: customer.id }, saw: { id: saw!.id }, complaint: '', promisedFor: null };
    const enter = (job: string, path: string, text: string) =>
      putReadings(context, job, {
        by: 'Tam',
        readings: [{ id: crypto.randomUUID(), path, text, unit: 'mm', instrument: null, supersedes: null }],
      });
    const changed = await createJob(context, told);
    await enter(changed.id, 'saw.sameBar', 'no');
    await enter(changed.id, 'bar.edgeDown', 'B');
    const next = await createJob(context, told);
    expect((await jobSheet(context, next.id)).written.saw?.turnLog).toEqual([{ came: 'B' }]);
  });

  it('goes with the next job of the saw, where it counts before what is told', async () => {
    const id = await jobOf('L-0417');
    const went = { path: 'bar.edgeDownNow', text: 'B', unit: 'mm' as const, instrument: null, supersedes: null };
    await putReadings(context, id, { by: 'Tam', readings: [{ ...went, id: crypto.randomUUID() }] });
    const { customer, saw } = await jobView(context, id);
    const told = { by: 'Tam', customer: { id: customer.id }, saw: { id: saw!.id }, complaint: '', promisedFor: null };
    const next = await createJob(context, told);
    const { written } = await jobSheet(context, next.id);
    expect(written.saw?.turnLog).toEqual([{ came: 'A', went: 'B' }]);
    const own = { format: 'serrata-bench-sheet', version: 1, saw: { turnLog: [{ came: 'B' }] } };
    const brought = await createJob(context, { ...told, sheet: own });
    expect((await jobSheet(context, brought.id)).written.saw?.turnLog).toEqual([{ came: 'B' }]);
  });
});

describe('the simulated caliper', () => {
  /** Reads its stream until a message of that kind comes. */
  async function hear(kind: CaliperMessage['kind'], then: () => void = () => undefined): Promise<CaliperMessage> {
    const reader = caliperStream('GET').body!.getReader();
    then();
    const decoder = new TextDecoder();
    for (;;) {
      const { value, done } = await reader.read();
      if (done) throw new Error('The stream ended.');
      const message = JSON.parse(decoder.decode(value).replace(/^data: /, '')) as CaliperMessage;
      if (message.kind !== kind) continue;
      await reader.cancel();
      return message;
    }
  }

  it('shows its jaws with the jitter of a hand, and sends a reading when its button is pressed', async () => {
    caliperCommand({ line: 'up', battery: 80, jaw: 7.5 });
    expect((await hear('live')).mm).toBeCloseTo(7.5, 1);
    const reading = await hear('reading', () => caliperCommand({ press: true }));
    expect(Math.abs(reading.mm - 7.5)).toBeLessThanOrEqual(0.025);
    expect(reading.battery).toBe(80);
  });

  it('ends its stream when the line drops, and refuses a new one until it is up', async () => {
    caliperCommand({ line: 'up', battery: 80 });
    const reader = caliperStream('GET').body!.getReader();
    caliperCommand({ line: 'down' });
    expect((await reader.read()).done).toBe(true);
    expect(() => caliperStream('GET')).toThrow('does not answer');
    caliperCommand({ line: 'up', battery: 0 });
    expect(() => caliperStream('GET')).toThrow('does not answer');
    expect(caliperCommand({ battery: 60 })).toMatchObject({ line: 'up', battery: 60 });
  });
});
