import { differenceInCalendarDays } from 'date-fns';
import { bookingOf } from '../../core/booking';
import { asItCame, handOver, stillOpen } from '../../core/handover';
import type { Choices } from '../../core/plan';
import type { HandOverDocument } from '../../core/report';
import { givenHandOvers, lastHandOver, ordersFor, partsBySku } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { HandOverView, SignedPlan } from '../../contract';
import { PARTS } from '../../core/reading';
import { PART_OF_KIND, type StockPart } from '../../core/stock';
import { calendarDay, handOverDocument, stillOpenSentence, visitAgreed } from '../../wording';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { appraisedJob, whoseJob, type AppraisedJob } from './appraised';
import { bookedFor } from './course';
import { appraised } from './kept-appraisals';
import { mustFindJob } from './jobs';
import { revisionOf } from './rests-on';
import * as texts from '#language/server';

/**
 * New parts of the plan: those that were taken for the job, as the shelf knows them, and the numbers of those that were
 * not.
 */
async function partsOf(
  db: Queryable,
  jobId: string,
  skus: readonly string[],
): Promise<{ readonly fitted: readonly StockPart[]; readonly notTaken: readonly string[] }> {
  const [shelf, orders, booked] = await Promise.all([
    partsBySku(db, skus),
    ordersFor(db, jobId),
    bookedFor(db, jobId, skus, ''),
  ]);
  const isTaken = (sku: string): boolean => bookingOf(sku, booked) === 'taken';
  const fitted = skus.filter(isTaken).flatMap((sku) => {
    const part = shelf.find((each) => each.sku === sku) ?? orders.find((each) => each.sku === sku)?.part;
    return part ? [part as StockPart] : [];
  });
  return { fitted, notTaken: skus.filter((sku) => !isTaken(sku)) };
}

/** What was agreed with the signed plan: its parts, and all else of it as work. */
function priceOf({ costToday, parts = [] }: SignedPlan, currency: string): HandOverDocument['price'] {
  const taken = parts.map(({ sku, name, priceCents }) => ({ sku, name, amount: priceCents }));
  const ofParts = taken.reduce((sum, { amount }) => sum + amount, 0);
  return { currency, work: costToday - ofParts, parts: taken, together: costToday };
}

/** What is said with a hand-over. */
export interface Said {
  readonly by: string;
  readonly note: string;
  readonly nextVisit: string | null;
  /** Whether it goes now: then it says what was done, not what is planned. */
  readonly isGoing: boolean;
}

/** The hand-over of a job as it stands. */
export async function handOverNow(
  { store: { db }, now }: Context,
  { record, shop, rules, course, sheet, written, appraisal }: AppraisedJob,
  { by, note, nextVisit, isGoing }: Said = { by: '', note: '', nextVisit: null, isGoing: false },
): Promise<HandOverDocument> {
  const choices = course.choices as Choices | null;
  const { limits, schools } = rules;
  const { fitted, notTaken } = await partsOf(db, record.id, course.skus);
  const open = stillOpen({
    sheet,
    ...appraisal,
    signed: course.signedOff,
    choices,
    notTaken,
  });
  const document = handOverDocument(
    {
      reference: record.tag,
      ...whoseJob(record),
      complaint: sheet.job?.complaint ?? '',
      shop: shop.name,
      by,
      on: calendarDay(now(), shop.timeZone),
      open: open.map(stillOpenSentence),
      note,
      // Of a part that was not taken nobody knows what its fitting was to cost.
      price: course.plan && !(isGoing && notTaken.length > 0) ? priceOf(course.plan, shop.currency) : null,
    },
    handOver({
      judged: { sheet, ...appraisal },
      before: appraised(asItCame(sheet), rules, null),
      choices,
      fitted: isGoing ? PARTS.filter((part) => fitted.some(({ kind }) => PART_OF_KIND[kind] === part)) : null,
      newChain: fitted.find(({ kind }) => kind === 'chain') ?? null,
      limits,
      schools,
    }),
    fitted,
    written,
  );
  return nextVisit === null ? document : withVisit(document, nextVisit);
}

/** Another day was agreed on with the customer. */
function withVisit(document: HandOverDocument, on: string): HandOverDocument {
  const days = differenceInCalendarDays(on, document.on);
  if (days < 0) throw new Refusal(422, 'visit-past', texts.nextVisitLiesInThePast);
  return { ...document, nextVisit: { on, days, why: visitAgreed } };
}

/** The hand-over as the job's page shows it: as it would be written, and as it was written last. */
export async function handOverView(context: Context, jobId: string): Promise<HandOverView> {
  const { db } = context.store;
  // Named first: what moves while the draft is made is found out when it is handed over.
  await mustFindJob(context, jobId);
  const revision = await revisionOf(db, jobId);
  const job = await appraisedJob(context, jobId);
  const [draft, last, given] = await Promise.all([
    handOverNow(context, job),
    lastHandOver(db, jobId),
    givenHandOvers(db, jobId),
  ]);
  return {
    draft,
    last: last && { at: last.at, by: last.by, document: last.document as HandOverDocument },
    given,
    revision,
  };
}

/** The document of a job: as it was handed over, else as it would be now. */
export async function handOverDocumentOf(context: Context, job: AppraisedJob): Promise<HandOverDocument> {
  const { id, state } = job.record;
  const last = state === 'handed-over' ? await lastHandOver(context.store.db, id) : null;
  return last ? (last.document as HandOverDocument) : handOverNow(context, job);
}

/** The same of a job by its id. */
export const handOverOf = async (context: Context, jobId: string): Promise<HandOverDocument> =>
  handOverDocumentOf(context, await appraisedJob(context, jobId));
