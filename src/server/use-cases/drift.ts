import { driftFactor, type DriftFactor } from '../../core/bar';
import { testCutSums } from '../../data/repositories';
import type { Context } from '../context';
import { mustFindJob } from './jobs';

/**
 * The shop's factor on the predicted drift, from its test cuts but this job's own: what is predicted here must not have
 * been fitted to it.
 */
export async function driftFactorFor(context: Context, jobId: string): Promise<DriftFactor> {
  await mustFindJob(context, jobId);
  return driftFactor(await testCutSums(context.store.db, jobId));
}
