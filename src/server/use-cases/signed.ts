import { PARTS } from '../../core/reading';
import type { Assessment } from '../../core/report';
import { signOffsOf } from '../../data/repositories';
import type { SignedPlan, JobView } from '../../contract';
import type { Queryable } from '../../data/store';

const actionsOf = (verdicts: Assessment['verdicts']): JobView['signOffs'][number]['actions'] =>
  Object.fromEntries(PARTS.map((part) => [part, verdicts[part].action])) as JobView['signOffs'][number]['actions'];

/** Sign-offs of a job with the plan that was chosen, as it was checked when it was signed. */
export async function signOffViews(db: Queryable, jobId: string): Promise<JobView['signOffs']> {
  return (await signOffsOf(db, jobId)).map(({ verdicts, plan, ...signed }) => ({
    ...signed,
    plan: plan as SignedPlan | null,
    actions: actionsOf(JSON.parse(verdicts) as Assessment['verdicts']),
  }));
}
