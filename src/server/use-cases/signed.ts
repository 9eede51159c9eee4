import { signOffsOf } from '../../data/repositories';
import type { ChosenPlan, JobView } from '../../contract';
import type { Queryable } from '../../data/store';

/** Sign-offs of a job with the plan that was chosen, as it was checked when it was signed. */
export async function signOffViews(db: Queryable, jobId: string): Promise<JobView['signOffs']> {
  return (await signOffsOf(db, jobId)).map((signed) => ({ ...signed, plan: signed.plan as ChosenPlan | null }));
}
