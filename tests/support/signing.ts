import { jobPlans } from '../../src/server/use-cases/plans';
import { rulesInForce, rulesMark } from '../../src/server/use-cases/shop';
import { signOff } from '../../src/server/use-cases/sign-off';
import { lastReading, listJobs } from '../../src/data/repositories';
import type { Context } from '../../src/server/context';
import type { PlanView } from '../../src/contract';

/** The id of a job on the bench. */
export async function jobOf(context: Context, tag: string): Promise<string> {
  const jobs = await listJobs(context.store.db, { show: 'bench', waits: null }, { limit: 60, offset: 0 });
  return jobs.find((job) => job.tag === tag)!.id;
}

/** Signs a job with the cheapest plan that does what is asked; tells the parts that it takes. */
export async function signPlan(
  context: Context,
  id: string,
  asked: (choices: PlanView['choices']) => boolean,
): Promise<readonly string[]> {
  const plan = (await jobPlans(context, id)).plans.find(({ choices }) => asked(choices))!;
  const skus = plan.parts.map(({ sku }) => sku);
  const { key, choices, costToday } = plan;
  await signOff(context, id, {
    by: 'Ines',
    upToReading: await lastReading(context.store.db, id),
    rules: rulesMark(await rulesInForce(context)),
    plan: { key, choices, skus, costToday, reason: 'as agreed' },
  });
  return skus;
}
