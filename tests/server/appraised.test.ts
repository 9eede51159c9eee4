import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { resolveLimits } from '../../src/core/limits';
import type { Assessment } from '../../src/core/report';
import { entriesFromSheet, sheetFromEntries } from '../../src/core/sheet';
import { findJob, findSignOff, signOffsOf } from '../../src/data/repositories';
import { assessedJob } from '../../src/server/use-cases/appraised';
import { appraised } from '../../src/server/use-cases/kept-appraisals';
import { jobView } from '../../src/server/use-cases/jobs';
import { meaningOf } from '../../src/islands/job/store/meaning';
import { assessmentDocument } from '../../src/wording';
import { demoContext, type TestContext } from '../support/context';
import { anySheet } from '../support/sheets';
import { jobOf, signPlan } from '../support/signing';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

/** What the screen of a job says, made as the browser makes it. */
async function onScreen(id: string) {
  const view = await jobView(context, id);
  const standing = new Map(
    view.readings.map((reading) => [reading.path, { ...reading, conflict: null }] as const),
  ) as unknown as Parameters<typeof meaningOf>[0]['standing'];
  return meaningOf({ standing, drafts: new Map(), view, who: 'Ines' }).appraisal;
}

describe('a job whose signed plan renews chain and drive sprocket', () => {
  it('asks for the same acts of refitting on the screen, in its document and in what was signed', async () => {
    const id = await jobOf(context, 'L-0417');
    const without = (await onScreen(id)).refit;
    await signPlan(context, id, ({ chain, driveSprocket }) => chain === 'replace' && driveSprocket === 'replace');
    const screen = await onScreen(id);
    expect(screen.renewed).toEqual(['chain', 'driveSprocket']);
    expect(screen.refit.length).toBeGreaterThan(without.length);
    const document: Assessment = await assessedJob(context, id);
    expect(document.refit.acts).toEqual(screen.refit);
    const [signed] = await signOffsOf(context.store.db, id);
    const kept = await findSignOff(context.store.db, signed!.id);
    expect((kept!.assessment as Assessment).refit.acts).toEqual(screen.refit);
    expect((await findJob(context.store.db, id))!.state).toBe('signed-off');
  });
});

describe('an appraisal that is kept', () => {
  it('is that of its own sheet, rules and plan, whatever was asked for before', () => {
    const sheets = fc.sample(anySheet, { seed: 1959, numRuns: 4 }).flatMap((written) => {
      const entries = entriesFromSheet(written);
      // Each differs from the one before by a single reading.
      return [entries, entries.slice(1), entries.slice(0, -1)].map((some) => sheetFromEntries(some).sheet);
    });
    const otherLimits = resolveLimits({ 'bar.play': 0.4 });
    if (!otherLimits.ok) throw new Error('The limit makes sense.');
    const asked = sheets.flatMap((sheet) => [
      { sheet, rules: DEFAULT_RULES, signed: null },
      { sheet, rules: DEFAULT_RULES, signed: { chain: 'replace' } },
      { sheet, rules: { ...DEFAULT_RULES, limits: otherLimits.value }, signed: null },
    ]);
    for (const { sheet, rules, signed } of [...asked, ...asked.slice(-30)])
      expect(assessmentDocument(appraised(sheet, rules, signed))).toEqual(
        assessmentDocument(appraise(sheet, rules, signed)),
      );
  });
});
