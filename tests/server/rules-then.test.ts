import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { SCHOOLS, type SchoolId } from '../../src/core/schools';
import type { Rules } from '../../src/core/assess';
import { shopStanding, shopStandingAt } from '../../src/data/repositories';
import { assessedJob } from '../../src/server/use-cases/appraised';
import { benchView } from '../../src/server/use-cases/bench';
import { forgetCode, learnCode } from '../../src/server/use-cases/codes';
import { handOverView } from '../../src/server/use-cases/hand-over';
import { handOverJob } from '../../src/server/use-cases/handing-over';
import { jobView } from '../../src/server/use-cases/jobs';
import { changeLimit, chooseSchool, rulesInForce, rulesOf } from '../../src/server/use-cases/shop';
import { reopen } from '../../src/server/use-cases/sign-off';
import { putStudyAside, studiesOf, studyHand } from '../../src/server/use-cases/studies';
import { demoContext, type TestContext } from '../support/context';
import { jobOf } from '../support/signing';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[];
const CODES = ['X1', 'x1', 'Y-2', '5'];
const LIMITS = ['bar.step', 'bar.play', 'chain.cutter'] as const;

/** A change of what the shop judges by; that it may make no sense just then is no matter here. */
type Change = () => Promise<unknown>;

const by = 'Tam';
const changed = (what: number, which: number): Change =>
  [
    () => changeLimit(context, LIMITS[which % 3]!, { by, value: String(0.3 + which / 100), source: 'maker, so' }),
    () => changeLimit(context, LIMITS[which % 3]!, { by, value: null, source: null }),
    () => {
      const school = SCHOOL_IDS[which % SCHOOL_IDS.length]!;
      return chooseSchool(context, { by, school, answer: SCHOOLS[school][which % 2]! });
    },
    () => {
      const pitch = which % 2 === 0 ? ('325' as const) : ('38' as const);
      const code = { code: CODES[which % CODES.length]!, pitch, gauge: null, driveLinks: which, kickbackClass: null };
      return learnCode(context, { by, code: { ...code, replacedBy: '', note: '' } });
    },
    () => forgetCode(context, { by, code: CODES[which % CODES.length]! }),
    () => {
      const takes = Array.from({ length: 10 }, (_, i) => (8 + ((i * which) % 7) / 100).toFixed(2));
      const said = { takes, known: '8.000', knownDoubt: '0.001', note: '' };
      return studyHand(context, { id: crypto.randomUUID(), by, instrument: 'caliper', unit: 'mm', ...said });
    },
    async () => {
      const standing = (await studiesOf(context)).filter(({ setAside }) => setAside === null);
      const one = standing[which % Math.max(standing.length, 1)];
      return one && putStudyAside(context, { by, id: one.id });
    },
  ][what]!;
const KINDS = 7;

describe('rules as they stood', () => {
  it('are those that were in force at each moment, whatever was changed since, taken back and changed again', async () => {
    const story = fc.array(fc.tuple(fc.nat(KINDS - 1), fc.nat(40)), { minLength: 25, maxLength: 25 });
    for (const moves of fc.sample(story, { seed: 1959, numRuns: 3 })) {
      const stood: { readonly at: string; readonly rules: Rules }[] = [];
      for (const [what, which] of moves) {
        await changed(what, which)().catch(() => undefined);
        stood.push({ rules: await rulesInForce(context), at: context.now().toISOString() });
      }
      const { db } = context.store;
      const now = await shopStanding(db);
      for (const { at, rules } of stood) expect(rulesOf(await shopStandingAt(db, now, at))).toEqual(rules);
      expect(new Set(stood.map(({ rules }) => JSON.stringify(rules))).size).toBeGreaterThan(10);
    }
  });
});

describe('a job that has gone', () => {
  it('is told by the rules it went by on every screen, until it is opened again', async () => {
    const id = await jobOf(context, 'L-0416');
    const { revision } = await handOverView(context, id);
    const giving = { unit: 'mm', origin: 'http://127.0.0.1:4173' } as const;
    await handOverJob(context, id, { by, revision, nextVisit: null, note: 'so' }, giving);
    const onBench = async () =>
      (await benchView(context, { page: '1', done: true })).jobs.find((job) => job.id === id)!;
    const told = async () => ({
      ...{ view: await jobView(context, id), document: await assessedJob(context, id) },
      ...{ bench: await onBench(), draft: (await handOverView(context, id)).draft.parts },
    });
    const went = await told();
    expect(went.view.rulesAsOf).toBeNull();
    expect(went.document.verdicts.chain.action).not.toBe('replace');
    // A change that would judge nothing of it otherwise is not told.
    await changeLimit(context, 'plan.labour', { by, value: '9000', source: null });
    expect(await told()).toEqual(went);
    // By this limit its chain would be condemned.
    await changeLimit(context, 'chain.cutter', { by, value: '6.5', source: null });
    const { view, ...rest } = await told();
    const { view: before, ...restBefore } = went;
    expect(rest).toEqual(restBefore);
    expect(view).toEqual({ ...before, rulesAsOf: expect.any(String) as string });
    await reopen(context, id);
    expect((await jobView(context, id)).rulesAsOf).toBeNull();
    expect((await assessedJob(context, id)).verdicts.chain.action).toBe('replace');
  });

  it('is told so of the demo’s own, whose shop had its rules before the first of them', async () => {
    const { jobs } = await benchView(context, { page: '1', done: true });
    expect(jobs.length).toBeGreaterThan(3);
    for (const { id } of jobs) expect((await jobView(context, id)).rulesAsOf).toBeNull();
  });
});
