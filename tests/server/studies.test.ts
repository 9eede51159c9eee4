import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { readSheet } from '../../src/core/sheet';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { createJob } from '../../src/server/use-cases/take-in';
import { assessedJob } from '../../src/server/use-cases/appraised';
import { jobSheet, jobView, putReadings } from '../../src/server/use-cases/jobs';
import { rulesInForce, rulesMark } from '../../src/server/use-cases/shop';
import { signOff } from '../../src/server/use-cases/sign-off';
import { putStudyAside, studiesOf, studyHand } from '../../src/server/use-cases/studies';
import type { StudyHand } from '../../src/contract';
import { UNNAMED } from '../../src/wording';
import { testContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => void (context = testContext()));
afterEach(() => context.done());

const ID = '0d3f1f3a-3f36-4a53-9f0e-0c1f5e5a1b01';
const study = (over: Partial<StudyHand> = {}): StudyHand => ({
  id: ID,
  by: 'Ines',
  instrument: 'caliper',
  unit: 'mm',
  takes: ['8.02', '8.03', '8.01', '8.02', '8.04', '8.02', '8.00', '8.03', '8.01', '8.02'],
  known: '8.000',
  knownDoubt: '0.001',
  note: '',
  ...over,
});

/** A job with one wear read by somebody with the caliper. */
async function wornSprocket(by: string): Promise<string> {
  const { id } = await createJob(context, {
    by,
    customer: { name: 'Towpath' },
    saw: null,
    complaint: '',
    promisedFor: null,
  });
  await putReadings(context, id, {
    by,
    readings: [
      {
        id: crypto.randomUUID(),
        path: 'driveSprocket.wear',
        text: '0.51',
        unit: 'mm',
        instrument: 'caliper',
        supersedes: null,
      },
    ],
  });
  return id;
}

const wearOf = async (id: string) =>
  (await assessedJob(context, id)).checks.find((check) => check.id === 'sprocket.wear')!;

describe('a study of a hand and its tool', () => {
  it('counts in all readings of that hand with that tool from then on, and in no other', async () => {
    const [own, other] = [await wornSprocket('Ines'), await wornSprocket('Tam')];
    const before = await wearOf(own);
    expect(before.value).toBeCloseTo(0.51, 9);
    await studyHand(context, study());
    const after = await wearOf(own);
    expect(after.value).toBeCloseTo(0.49, 9);
    expect(after.uncertainty!).toBeLessThan(before.uncertainty!);
    expect(await wearOf(other)).toEqual(before);
  });

  it('goes with the sheet, so that the sheet alone means the same', async () => {
    const id = await wornSprocket('Ines');
    await studyHand(context, study());
    const { written } = await jobSheet(context, id);
    expect(written.studies).toEqual([expect.objectContaining({ by: 'Ines', known: '8 mm', knownDoubt: '0.001 mm' })]);
    const read = readSheet(JSON.parse(JSON.stringify(written)));
    const wear =
      read.ok && appraise(read.value, DEFAULT_RULES, null).checks.find((check) => check.id === 'sprocket.wear');
    expect(wear && wear.value).toBeCloseTo(0.49, 9);
  });

  it('changes what a verdict is looked at with: who signs by the old rules is told', async () => {
    const id = await wornSprocket('Ines');
    const seen = rulesMark(await rulesInForce(context));
    const upToReading = (await jobView(context, id)).readings.at(-1)!.seq;
    await studyHand(context, study());
    await expect(signOff(context, id, { by: 'Ines', upToReading, rules: seen })).rejects.toMatchObject({
      code: 'rules-changed',
    });
  });

  it('is set aside and stays to be seen; what was usual counts again', async () => {
    const id = await wornSprocket('Ines');
    await studyHand(context, study());
    await putStudyAside(context, { by: 'Tam', id: ID });
    expect((await studiesOf(context))[0]).toMatchObject({ id: ID, setAside: { by: 'Tam' } });
    expect((await wearOf(id)).value).toBeCloseTo(0.51, 9);
    await expect(putStudyAside(context, { by: 'Tam', id: ID })).rejects.toMatchObject({ status: 404 });
  });

  it('is stored once however often it is sent, and never changed', async () => {
    await studyHand(context, study());
    await studyHand(context, study());
    expect(await studiesOf(context)).toHaveLength(1);
    await expect(context.store.whole.write((tx) => tx.run(sql`UPDATE hand_study SET note = 'x'`))).rejects.toThrow();
    await expect(context.store.whole.write((tx) => tx.run(sql`DELETE FROM hand_study`))).rejects.toThrow();
  });

  it('with too few takes is kept and does not count', async () => {
    const id = await wornSprocket('Ines');
    await studyHand(context, study({ takes: ['8.02', '8.03'] }));
    expect(await studiesOf(context)).toHaveLength(1);
    expect((await wearOf(id)).value).toBeCloseTo(0.51, 9);
  });

  it('is refused where a take cannot be read, each named, and where nobody says whose hand it is', async () => {
    await expect(studyHand(context, study({ takes: ['8.02', 'eight', ''] }))).rejects.toMatchObject({
      status: 422,
      problems: [expect.stringMatching(/^Take 2: /), expect.stringMatching(/^Take 3: /)],
    });
    await expect(studyHand(context, study({ by: UNNAMED }))).rejects.toMatchObject({ code: 'no-name' });
    await expect(studyHand(context, study({ known: 'big' }))).rejects.toMatchObject({ code: 'size-refused' });
    expect(await studiesOf(context)).toEqual([]);
  });

  it('in inches is the same length', async () => {
    await studyHand(context, study({ unit: 'in', takes: ['0.315', '0.3151'], known: null, knownDoubt: null }));
    const [stored] = await studiesOf(context);
    expect(stored!.takes[0]).toBeCloseTo(8.001, 6);
    expect(stored!.known).toBeNull();
  });
});
