import {
  bookingOf,
  isOpenOrder,
  orderOf,
  orderToday,
  takenFor,
  workingDaysAfter,
  type Booked,
} from '../../core/booking';
import type { ChainNumbers } from '../../core/order';
import { PART_OF_KIND, stockPartSchema, type PlannedPart, type StockPart } from '../../core/stock';
import {
  addMovements,
  addOrder,
  addOrderEvent,
  findJob,
  findMovement,
  findOrder,
  ordersFor,
  partOf,
  partsBySku,
  putPart,
  type OrderWithEvents,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type { JobPartAct, JobPartsView, JobPartView, OrderAct, OrderAnswer, SignedPlan } from '../../contract';
import { calendarDay } from '../../wording';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { bookedFor, signedPlan, standingOrder } from './course';
import { appraisedJob } from './appraised';
import { mustFindJob, mustNotHaveGone } from './jobs';
import { offersFor } from './plans';
import { rulesInForce, shopView } from './shop';
import { partElsewhere } from './sister-shops';
import { refreshSummary } from './summary';
import { askOrder } from './supplier';
import * as texts from '#language/server';

const today = async (context: Context): Promise<string> =>
  calendarDay(context.now(), (await shopView(context)).timeZone);

/** What is shown of a part. */
type Shown = Pick<StockPart, 'name' | 'priceCents'> & Partial<StockPart> & { readonly part?: PlannedPart };

/** What a new chain is ordered by; null of any other part. */
const chainNumbers = ({ kind, pitch, gauge, driveLinks, kickbackClass, sequence }: Shown): ChainNumbers | null =>
  kind === 'chain' && pitch && gauge && driveLinks
    ? { pitch, gauge, driveLinks, kickbackClass: kickbackClass ?? null, sequence: sequence ?? null }
    : null;

function partView(sku: string, booked: Booked, orders: readonly OrderWithEvents[], part: Shown): JobPartView {
  const standing = orderOf(sku, booked.orders);
  const events = orders.find(({ id }) => id === standing?.id)?.events ?? [];
  return {
    sku,
    part: part.kind ? PART_OF_KIND[part.kind] : (part.part ?? null),
    name: part.name,
    priceCents: part.priceCents,
    chain: chainNumbers(part),
    state: bookingOf(sku, booked),
    left: booked.shelf.get(sku) ?? 0,
    elsewhere: [],
    order: standing && {
      id: standing.id,
      state: orderToday(standing, booked.today),
      due: standing.due,
      events: events.map(({ state, note, at, by }) => ({ state, note, at, by })),
    },
  };
}

/** What is not here yet, with the sister shops that have it. */
async function withSisters(context: Context, view: JobPartView, shown: Shown): Promise<JobPartView> {
  if (view.state !== 'missing' && view.state !== 'refused') return view;
  const part = stockPartSchema.safeParse(shown);
  return part.success ? { ...view, elsewhere: await partElsewhere(context, part.data) } : view;
}

async function partsView(context: Context, jobId: string, plan: SignedPlan | null, day: string): Promise<JobPartsView> {
  const { db } = context.store;
  const skus = plan?.skus ?? [];
  const [booked, orders, shelf] = await Promise.all([
    bookedFor(db, jobId, skus, day),
    ordersFor(db, jobId),
    partsBySku(db, skus),
  ]);
  // Where the shelf knows it no more, or never did, it is shown as it was ordered or signed.
  const parts = shelf.map(partOf);
  const known = (sku: string): Shown =>
    parts.find((part) => part.sku === sku) ??
    (orders.find((order) => order.sku === sku)?.part as StockPart | undefined) ??
    plan?.parts?.find((part) => part.sku === sku) ?? { name: sku, priceCents: 0 };
  const taken = [...new Set(booked.moved.map(({ sku }) => sku))].filter((sku) => !skus.includes(sku));
  return {
    signed: plan !== null,
    parts: await Promise.all(
      skus.map((sku) => withSisters(context, partView(sku, booked, orders, known(sku)), known(sku))),
    ),
    stray: taken.map((sku) => ({ sku, pieces: takenFor(sku, booked.moved) })).filter(({ pieces }) => pieces > 0),
  };
}

/** The parts that a job's signed plan needs, and how each stands. */
export async function jobParts(context: Context, jobId: string): Promise<JobPartsView> {
  const job = await mustFindJob(context, jobId);
  const plan = await signedPlan(context.store.db, jobId, job.state);
  return partsView(context, jobId, plan, await today(context));
}

const REFUSED = {
  notOfPlan: new Refusal(409, 'not-of-plan', texts.planNeedsItNoMore),
  takenAlready: new Refusal(409, 'taken-already', texts.partTakenAlready),
  notTaken: new Refusal(409, 'not-taken', texts.partNotTaken),
  none: new Refusal(409, 'too-few', texts.noneByNow),
  onItsWay: new Refusal(409, 'on-its-way', texts.thisPartIsOrderedAlready),
  closed: new Refusal(409, 'order-closed', texts.orderIsClosed),
  idTaken: new Refusal(409, 'id-taken', texts.movementIdTaken),
};

/** Writes one piece from the shelf for a job, or back from it. */
async function moveFor(tx: Transaction, context: Context, jobId: string, act: JobPartAct): Promise<void> {
  const change = act.act === 'take' ? -1 : 1;
  const kind = act.act === 'take' ? 'for-job' : 'from-job';
  const again = await findMovement(tx, act.id);
  if (again?.jobId === jobId && again.sku === act.sku && again.kind === kind) return;
  if (again) throw REFUSED.idTaken;
  await mustNotHaveGone(tx, jobId);
  const job = (await findJob(tx, jobId))!;
  const plan = await signedPlan(tx, jobId, job.state);
  const booked = await bookedFor(tx, jobId, [act.sku], '');
  const taken = takenFor(act.sku, booked.moved);
  if (act.act === 'take' && !plan?.skus.includes(act.sku)) throw REFUSED.notOfPlan;
  if (act.act === 'take' && taken > 0) throw REFUSED.takenAlready;
  if (act.act === 'put-back' && taken === 0) throw REFUSED.notTaken;
  const [part] = await partsBySku(tx, [act.sku]);
  const left = (part?.quantity ?? 0) + change;
  if (!part || left < 0) throw REFUSED.none;
  await putPart(tx, { ...partOf(part), quantity: left });
  const at = context.now().toISOString();
  await addMovements(tx, [{ id: act.id, sku: act.sku, kind, change, left, note: job.tag, jobId, at, by: act.by }]);
}

/** What a part is that is not on the shop's list: as it stands there, else as the supplier offers it. */
async function partToOrder(context: Context, jobId: string, sku: string, supplier: string): Promise<StockPart> {
  const [part] = await partsBySku(context.store.db, [sku]);
  if (part) return partOf(part);
  const { appraisal } = await appraisedJob(context, jobId);
  const offer = (await offersFor(appraisal, supplier)).find((each) => each.part.sku === sku);
  if (!offer) throw new Refusal(409, 'not-offered', texts.notOffered);
  return offer.part;
}

/**
 * Orders a part for a job: the order is written down first, then placed; whatever the supplier does, it stands here.
 */
async function orderFor(context: Context, jobId: string, { id, by, sku }: JobPartAct, supplier: string): Promise<void> {
  const part = await partToOrder(context, jobId, sku, supplier);
  const isNew = await context.store.write(async (tx) => {
    const again = await findOrder(tx, id);
    if (again?.jobId === jobId && again.sku === sku) return false;
    if (again) throw REFUSED.idTaken;
    await mustNotHaveGone(tx, jobId);
    const job = (await findJob(tx, jobId))!;
    const plan = await signedPlan(tx, jobId, job.state);
    if (!plan?.skus.includes(sku)) throw REFUSED.notOfPlan;
    const { moved, orders } = await bookedFor(tx, jobId, [sku], '');
    if (takenFor(sku, moved) > 0) throw REFUSED.takenAlready;
    if (orders.some((order) => order.sku === sku && isOpenOrder(order))) throw REFUSED.onItsWay;
    const at = context.now().toISOString();
    await addOrder(tx, { id, jobId, sku, part, at, by });
    await addOrderEvent(tx, { orderId: id, state: 'ordered', due: null, note: '', at, by });
    return true;
  });
  if (isNew) await hear(context, { id, sku }, by, supplier, 'place');
}

/** Asks the supplier and writes down what it says; where nothing is heard, that is written down too. */
async function hear(
  context: Context,
  order: { readonly id: string; readonly sku: string },
  by: string,
  supplier: string,
  act: 'place' | 'ask',
): Promise<void> {
  const heard = await askOrder(supplier, order, act);
  const day = await today(context);
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const standing = await findOrder(tx, order.id);
    if (!standing || !isOpenOrder(standingOrder(standing))) return;
    const { state, due } = standingOrder(standing);
    const said = heard.heard ? answered(heard.answer, day) : { state, due, note: heard.why };
    // What was promised once stands until another day is named with a reason.
    if (act === 'ask' && said.state === 'confirmed') said.due = due ?? said.due;
    await addOrderEvent(tx, { orderId: order.id, ...said, at, by });
  });
}

const answered = ({ state, days, why = '' }: OrderAnswer, day: string) => ({
  state,
  due: days === null ? null : workingDaysAfter(day, days),
  note: why,
});

/** Takes a part of the plan from the shelf, puts it back, or orders it. */
export async function actOnPart(
  context: Context,
  jobId: string,
  act: JobPartAct,
  supplier: string,
): Promise<JobPartsView> {
  await mustFindJob(context, jobId);
  const rules = await rulesInForce(context);
  if (act.act === 'order') await orderFor(context, jobId, act, supplier);
  await context.store.write(async (tx) => {
    if (act.act !== 'order') await moveFor(tx, context, jobId, act);
    await refreshSummary(tx, jobId, rules);
  });
  return jobParts(context, jobId);
}

/** Books in what came for an order: onto the shelf, from where it is taken like any other part. */
async function arrive(tx: Transaction, context: Context, order: OrderWithEvents, { id, by }: OrderAct): Promise<void> {
  const at = context.now().toISOString();
  const [shelved] = await partsBySku(tx, [order.sku]);
  const part = shelved ? partOf(shelved) : { ...stockPartSchema.parse(order.part), quantity: 0 };
  const left = part.quantity + 1;
  await putPart(tx, { ...part, quantity: left });
  const job = await findJob(tx, order.jobId);
  const movement = { sku: order.sku, kind: 'arrived', change: 1, left, note: job?.tag ?? '' } as const;
  await addMovements(tx, [{ id, ...movement, jobId: order.jobId, at, by }]);
  await addOrderEvent(tx, { orderId: order.id, state: 'arrived', due: null, note: '', at, by });
}

/** Asks how an order stands, books in what came, or calls it off. */
export async function actOnOrder(
  context: Context,
  orderId: string,
  act: OrderAct,
  supplier: string,
): Promise<JobPartsView> {
  const order = await findOrder(context.store.db, orderId);
  if (!order) throw notFound('order');
  const rules = await rulesInForce(context);
  if (act.act === 'ask') await hear(context, order, act.by, supplier, 'ask');
  await context.store.write(async (tx) => {
    const standing = (await findOrder(tx, orderId))!;
    if (act.act !== 'ask') {
      const again = await findMovement(tx, act.id);
      if (again?.jobId === order.jobId && again.kind === 'arrived') return;
      if (!isOpenOrder(standingOrder(standing))) throw REFUSED.closed;
      if (act.act === 'arrived') await arrive(tx, context, standing, act);
      else {
        const at = context.now().toISOString();
        await addOrderEvent(tx, { orderId, state: 'cancelled', due: null, note: '', at, by: act.by });
      }
    }
    await refreshSummary(tx, order.jobId, rules);
  });
  return jobParts(context, order.jobId);
}
