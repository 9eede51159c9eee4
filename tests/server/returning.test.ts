import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { appraisedJob } from '../../src/server/use-cases/appraised';
import { pieceView, sawGearView } from '../../src/server/use-cases/gear';
import { jobSheet, putReadings } from '../../src/server/use-cases/jobs';
import { createJob } from '../../src/server/use-cases/take-in';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const SAW = 's-brask-66';

const told = { by: 'Tam', customer: { id: 'c-towpath' }, saw: { id: SAW }, complaint: '', promisedFor: null };
const enter = (job: string, path: string, text: string) =>
  putReadings(context, job, {
    by: 'Tam',
    readings: [{ id: crypto.randomUUID(), path, text, unit: 'mm', instrument: null, supersedes: null }],
  });

describe('a saw that comes again', () => {
  it('brings what its earlier jobs let foresee, and nothing of cutters, which hands file', async () => {
    const { id } = await createJob(context, told);
    const { written } = await jobSheet(context, id);
    const foreseen = written.saw!.foreseen!;
    expect(foreseen.map(({ of }) => of)).toEqual(['bar.depth', 'bar.play', 'chain.elongation', 'sprocket.wear']);
    expect(
      foreseen.every(({ seen, on, doubt }) => seen === 'L-0309' && /^\d{4}-\d\d-\d\d$/.test(on!) && doubt! > 0),
    ).toBe(true);
    const [depth] = foreseen;
    expect(depth).toMatchObject({ edge: expect.stringMatching(/^[AB]$/), at: 300 });
    const { set } = await sawGearView(context, SAW);
    const { wears } = await pieceView(context, set.find(({ part }) => part === 'bar')!.id);
    const last = wears.find(({ wear }) => wear === 'bar.depth')!.points.at(-1)!;
    // Sixteen days of three hours a week on: a little less than it went with.
    expect(depth!.value).toBeLessThan(last.value);
    expect(depth!.value).toBeGreaterThan(last.value - 0.2);
  });

  it('keeps its own forecast where a sheet brings one', async () => {
    const saw = { foreseen: [{ of: 'bar.depth' as const, value: 8, doubt: 0.1 }] };
    const { id } = await createJob(context, { ...told, sheet: { format: 'serrata-bench-sheet', version: 1, saw } });
    expect((await jobSheet(context, id)).written.saw?.foreseen).toEqual(saw.foreseen);
  });

  it('has nothing of a part that was said to be another, the next time', async () => {
    const changed = await createJob(context, told);
    await enter(changed.id, 'saw.sameChain', 'no');
    await enter(changed.id, 'chain.checks.crack', 'no');
    const next = await createJob(context, told);
    const { written } = await jobSheet(context, next.id);
    expect(written.saw?.foreseen?.map(({ of }) => of)).toEqual(['bar.depth', 'bar.play', 'sprocket.wear']);
  });

  it('is asked first whether the bar is the same, once its pitch is known', async () => {
    const { id } = await createJob(context, told);
    await enter(id, 'job.brought', 'whole-saw');
    await enter(id, 'bar.stamp', '.325 .050 72DL');
    const { past, plan } = (await appraisedJob(context, id)).appraisal;
    expect(past.wouldSpare).toMatchObject({ asks: 'saw.sameBar', foreseen: { seen: 'L-0309' } });
    expect(plan.steps.map(({ measure }) => measure)).toContain('saw.sameBar');
  });
});
