import { sheetFromEntries } from '../../core/sheet';
import { addSignOff, currentReadings, findJob, lastReading, setState, signOffsOf } from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type { JobView, SignOff } from '../../contract';
import { assessmentDocument } from '../../wording';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { PROGRAMME_VERSION } from '../version';
import { appraisedJob } from './appraised';
import { mustFindJob, mustNotHaveGone } from './jobs';
import { appraised } from './kept-appraisals';
import { keptPlans, markOf } from './kept-plans';
import { mustBePossible, offersFor } from './plans';
import { rulesInForce, rulesMark } from './shop';
import { signOffViews } from './signed';
import { refreshSummary } from './summary';
import * as texts from '#language/server';

/**
 * Signs the verdicts off as they stand, keeping all they rest on. Refused when readings have come in, or rules have
 * changed, since they were looked at.
 */
export async function signOff(
  context: Context,
  jobId: string,
  { by, upToReading, rules: seen, plan = null }: SignOff,
  supplier: string | null = null,
): Promise<JobView['signOffs']> {
  await mustFindJob(context, jobId);
  const rules = await rulesInForce(context);
  if (rulesMark(rules) !== seen) throw new Refusal(409, 'rules-changed', texts.rulesChangedSince);
  // The supplier is asked before the store is written to: nothing waits for it there.
  const offers = plan?.supplier ? await offersFor((await appraisedJob(context, jobId)).appraisal, supplier) : [];
  // Worked out before, too; in the store it is only looked whether they still stand.
  const kept = plan && !plan.supplier ? await keptPlans(context, jobId) : null;
  await context.store.write(async (tx) => {
    const known = kept && (await markOf(tx, jobId)) === kept.mark ? kept.plans.plans : null;
    const last = await lastReading(tx, jobId);
    if (last !== upToReading) throw new Refusal(409, 'read-again', texts.readingsCameSince);
    await mustNotHaveGone(tx, jobId);
    await refuseSecond(tx, jobId, upToReading);
    const entries = await currentReadings(tx, [jobId]);
    const { sheet, written } = sheetFromEntries(entries, rules.studies);
    const planned = { sheet, rules, appraisal: appraised(sheet, rules, plan?.choices ?? null) };
    const parts = plan && (await mustBePossible(tx, planned, plan, offers, known)).parts;
    await addSignOff(tx, {
      id: context.newId(),
      jobId,
      at: context.now().toISOString(),
      by,
      sheet: written,
      limits: rules.limits,
      assessment: assessmentDocument(planned.appraisal),
      plan: plan && { ...plan, parts },
      rules: seen,
      version: PROGRAMME_VERSION,
      upToReading,
    });
    await setState(tx, jobId, 'signed-off');
    await refreshSummary(tx, jobId, rules);
  });
  return signOffViews(context.store.db, jobId);
}

/** Of several who sign the same off at once, the first has signed; the others are told. */
async function refuseSecond(tx: Transaction, jobId: string, upToReading: number): Promise<void> {
  const [job, [latest]] = [await findJob(tx, jobId), await signOffsOf(tx, jobId)];
  if (job && job.state !== 'open' && latest?.upToReading === upToReading)
    throw new Refusal(409, 'signed-already', texts.signedAlready(latest.by));
}

/** Opens a signed-off job again; what was signed stays on record. */
export async function reopen(context: Context, jobId: string): Promise<void> {
  await mustFindJob(context, jobId);
  const rules = await rulesInForce(context);
  await context.store.write(async (tx) => {
    await setState(tx, jobId, 'open');
    await refreshSummary(tx, jobId, rules);
  });
}
