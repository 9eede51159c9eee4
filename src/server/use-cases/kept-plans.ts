import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import { findJob, lastReading, shelfText, shopStanding, signOffsOf } from '../../data/repositories';
import type { PlansView } from '../../contract';
import type { Queryable } from '../../data/store';
import type { Context } from '../context';
import { heavily } from '../heavy/threads';
import { mustFindJob } from './jobs';
import { rulesMark, rulesOf } from './shop';

/** Plans that are kept, those that were asked for longest ago going first. */
const MOST_KEPT = 100;

/** Plans, and the name of all that they rest on. */
export interface KeptPlans {
  readonly mark: string;
  readonly plans: PlansView;
}
const kept = new LRUCache<string, KeptPlans>({ max: MOST_KEPT });

/** Names all that the plans of a job rest on: its readings and what was signed, the rules, and every part of the shelf. */
export async function markOf(db: Queryable, jobId: string): Promise<string> {
  const [job, reading, signed, standing, shelf] = await Promise.all([
    findJob(db, jobId),
    lastReading(db, jobId),
    signOffsOf(db, jobId),
    shopStanding(db),
    shelfText(db),
  ]);
  return createHash('sha256')
    .update(JSON.stringify([job?.state, reading, signed.map(({ id }) => id), rulesMark(rulesOf(standing)), shelf]))
    .digest('base64url');
}

/** The plans of a job with what is on the shelf, worked out beside the server’s own thread. */
export async function keptPlans(context: Context, jobId: string, signal?: AbortSignal): Promise<KeptPlans> {
  const { db, url } = context.store;
  const key = `${url} ${jobId}`;
  const mark = await markOf(db, jobId);
  const before = kept.get(key);
  const plans = before?.mark === mark ? before.plans : await heavily(context, 'plans', [jobId, null], signal);
  const now = { mark, plans };
  kept.set(key, now);
  return now;
}

/**
 * The plans of a job as it is stored, kept until something that they rest on moves. What a supplier offers is asked
 * anew each time.
 */
export async function plansOf(
  context: Context,
  jobId: string,
  supplier: string | null,
  signal?: AbortSignal,
): Promise<PlansView> {
  await mustFindJob(context, jobId);
  return supplier === null
    ? (await keptPlans(context, jobId, signal)).plans
    : heavily(context, 'plans', [jobId, supplier], signal);
}
