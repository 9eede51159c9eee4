import { differenceInCalendarDays } from 'date-fns';
import { appraise } from '../../core/assess';
import { bookingOf } from '../../core/booking';
import { asItCame, handOver, stillOpen } from '../../core/handover';
import type { Choices } from '../../core/plan';
import { handOverSchema, type HandOverDocument } from '../../core/report';
import {
  addHandOver,
  findJob,
  lastHandOver,
  lastReading,
  ordersFor,
  partsBySku,
  setState,
} from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { HandOverRequest, HandOverView, SignedPlan } from '../../contract';
import { PARTS } from '../../core/reading';
import { PART_OF_KIND, type StockPart } from '../../core/stock';
import { calendarDay, handOverDocument, stillOpenSentence, visitAgreed } from '../../wording';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { appraisedJob, whoseJob, type AppraisedJob } from './appraised';
import { bookedFor, courseOf } from './course';
import { refreshSummary } from './summary';
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

interface Written {
  readonly by: string;
  readonly note: string;
  readonly nextVisit: string | null;
  /** Whether it goes now: then it says what was done, not what is planned. */
  readonly isGoing: boolean;
}

/** The hand-over of a job as it stands. */
async function handOverNow(
  { store: { db }, now }: Context,
  { record, shop, rules, course, sheet, written, appraisal }: AppraisedJob,
  { by, note, nextVisit, isGoing }: Written = { by: '', note: '', nextVisit: null, isGoing: false },
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
      before: appraise(asItCame(sheet), rules, null),
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
  const job = await appraisedJob(context, jobId);
  const [draft, last, upToReading] = await Promise.all([
    handOverNow(context, job),
    lastHandOver(context.store.db, jobId),
    lastReading(context.store.db, jobId),
  ]);
  return {
    draft,
    last: last && { at: last.at, by: last.by, document: last.document as HandOverDocument },
    upToReading,
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

/** Part numbers as one text. */
const inOrder = (parts: readonly { readonly sku: string }[]): string =>
  JSON.stringify(parts.map(({ sku }) => sku).sort());

/**
 * Hands a job over: its document is kept as it stands, and it leaves the bench. Refused when readings have come in
 * since it was looked at, or where something is open and nobody says why.
 */
export async function handOverJob(
  context: Context,
  jobId: string,
  { by, upToReading, nextVisit, note }: HandOverRequest,
): Promise<HandOverView> {
  const appraised = await appraisedJob(context, jobId);
  const document = await handOverNow(context, appraised, { by, note, nextVisit, isGoing: true });
  // What is kept must be readable by whoever brings it back.
  handOverSchema.parse(document);
  if (document.open.length > 0 && note === '')
    throw new Refusal(422, 'reason-missing', texts.stillOpenSayWhy, document.open);
  await context.store.write(async (tx) => {
    const job = (await findJob(tx, jobId))!;
    if (job.state === 'handed-over') throw new Refusal(409, 'handed-over-already', texts.handedOverAlready);
    const { fitted } = await partsOf(tx, jobId, (await courseOf(tx, job)).skus);
    const isSame = inOrder(fitted) === inOrder(document.fitted);
    if ((await lastReading(tx, jobId)) !== upToReading || !isSame)
      throw new Refusal(409, 'read-again', texts.movedSinceShown);
    const at = context.now().toISOString();
    await addHandOver(tx, { id: context.newId(), jobId, document, nextVisit: document.nextVisit.on, at, by });
    await setState(tx, jobId, 'handed-over');
    await refreshSummary(tx, jobId, appraised.rules);
  });
  return handOverView(context, jobId);
}
