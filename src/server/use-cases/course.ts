import { bookingOf, lacks, type Booked, type MovedForJob, type PartOrder } from '../../core/booking';
import { choicesByHandOver, type JobCourse } from '../../core/course';
import type { SignedChoices } from '../../core/refit';
import type { HandOverDocument } from '../../core/report';
import {
  lastHandOver,
  movementsFor,
  ordersFor,
  partsBySku,
  signOffsOf,
  type JobState,
  type OrderWithEvents,
} from '../../data/repositories';
import type { SignedPlan } from '../../contract';
import type { Queryable } from '../../data/store';

/** An order as its newest event has it. */
export function standingOrder({ id, sku, events }: OrderWithEvents): PartOrder {
  const last = events.at(-1);
  const due = events.findLast((event) => event.due !== null)?.due ?? null;
  return { id, sku, state: last?.state ?? 'ordered', due };
}

/** What is known of parts of a job: moved, ordered, on the shelf. */
export async function bookedFor(db: Queryable, jobId: string, skus: readonly string[], today: string): Promise<Booked> {
  const [moved, orders, shelf] = await Promise.all([
    movementsFor(db, jobId),
    ordersFor(db, jobId),
    partsBySku(db, skus),
  ]);
  return {
    moved: moved.filter((each): each is typeof each & MovedForJob =>
      ['for-job', 'from-job', 'arrived'].includes(each.kind),
    ),
    orders: orders.map(standingOrder),
    shelf: new Map(shelf.map(({ sku, quantity }) => [sku, quantity])),
    today,
  };
}

/** The plan that was signed last; null where none was, or the job was opened again since. */
export async function signedPlan(db: Queryable, jobId: string, state: JobState): Promise<SignedPlan | null> {
  if (state === 'open') return null;
  const [latest] = await signOffsOf(db, jobId);
  return (latest?.plan as SignedPlan | null | undefined) ?? null;
}

/** What was done with each part of a job that has gone, by its hand-over; null where it kept none. */
async function doneWith(db: Queryable, jobId: string): Promise<SignedChoices | null> {
  const last = await lastHandOver(db, jobId);
  return last && choicesByHandOver(last.document as HandOverDocument);
}

/**
 * What is done with each part: by the signed plan, and once the job has gone what was done in fact; null where nobody
 * signed a plan.
 */
export const choicesOfJob = async (
  db: Queryable,
  jobId: string,
  state: JobState,
  plan: SignedPlan | null,
): Promise<SignedChoices | null> =>
  (state === 'handed-over' ? await doneWith(db, jobId) : null) ?? plan?.choices ?? null;

/** What became of a job beside its readings. */
export interface StoredCourse extends JobCourse {
  readonly lacksParts: boolean;
  /** The plan that was signed; null where none was. */
  readonly plan: SignedPlan | null;
  /** Parts of the signed plan. */
  readonly skus: readonly string[];
}

/** What became of a job: signed with which plan, which parts it waits for, handed over. */
export async function courseOf(
  db: Queryable,
  job: { readonly id: string; readonly state: JobState },
): Promise<StoredCourse> {
  const plan = await signedPlan(db, job.id, job.state);
  const skus = plan?.skus ?? [];
  const booked = skus.length === 0 ? null : await bookedFor(db, job.id, skus, '');
  return {
    signedOff: job.state !== 'open',
    choices: await choicesOfJob(db, job.id, job.state, plan),
    handedOver: job.state === 'handed-over',
    lacksParts: booked !== null && skus.some((sku) => lacks(bookingOf(sku, booked))),
    plan,
    skus,
  };
}
