import type { Appraisal } from '../../core/assess';
import type { ChainNumbers } from '../../core/order';
import { numbersOfSet, plansShown, type PlansShown } from '../../core/plan';
import { NOTHING_SAID, type StockPart } from '../../core/stock';
import { lastReading } from '../../data/repositories';
import type { ChosenPlan, PlansView, PlanView, SupplierAnswer } from '../../contract';
import type { Queryable } from '../../data/store';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { appraisedJob, type AppraisedJob } from './appraised';
import { stockAsked } from './stock-asked';
import { askSupplier } from './supplier';
import * as texts from '#language/server';

/** What the supplier offers, as a part, and the working days until it is here. */
interface Offered {
  readonly part: StockPart;
  readonly days: number;
}

type Offer = SupplierAnswer['offers'][number];

/** A sheet with what it comes to, and the rules by which it does. */
type Planned = Pick<AppraisedJob, 'sheet' | 'rules' | 'appraisal'>;

/** All plans of a sheet with the parts that can be had. */
async function plansFor(
  db: Queryable,
  { sheet, rules: { limits, schools }, appraisal }: Planned,
  offers: readonly Offered[] = [],
): Promise<PlansShown> {
  const judged = { sheet, ...appraisal };
  const stock = [...(await stockAsked(db, judged, schools)), ...offers.map(({ part }) => part)];
  const days = new Map(offers.map(({ part, days: until }) => [part.sku, until]));
  return plansShown({ judged, limits, schools, stock, toOrder: true }, days);
}

/** The chain of an order as the supplier offers it: a part that is not here yet. */
const offered = (order: ChainNumbers, { sku, name, priceCents, kickbackClass }: Offer): StockPart => ({
  ...NOTHING_SAID,
  sku,
  kind: 'chain',
  name,
  pitch: order.pitch,
  gauge: order.gauge,
  driveLinks: order.driveLinks,
  kickbackClass,
  sequence: order.sequence,
  quantity: 0,
  minimum: 0,
  priceCents,
});

/**
 * What the supplier has for the chain of a job, with the days until it is here; nothing where its numbers are not
 * settled or nobody answers.
 */
export async function offersFor(
  { order, identity, chain }: Pick<Appraisal, 'order' | 'identity' | 'chain'>,
  supplier: string | null,
): Promise<readonly Offered[]> {
  if (supplier === null) return [];
  const { pitch, gauge, driveLinks } = numbersOfSet(identity);
  if (!pitch || !gauge || !driveLinks) return [];
  const kickbackClass = 'order' in order ? order.order.kickbackClass : null;
  const asked = new URLSearchParams({ pitch, gauge, links: String(driveLinks), class: kickbackClass ?? '' });
  const reply = await askSupplier(supplier, asked);
  if (reply.state !== 'offers') return [];
  return reply.offers.map((offer) => ({
    part: offered({ pitch, gauge, driveLinks, kickbackClass, sequence: chain.sequence.ordered }, offer),
    days: offer.days,
  }));
}

/**
 * The plans of a job as it is stored.
 * @param supplier where the supplier answers; null where it is not asked
 */
export async function jobPlans(context: Context, id: string, supplier: string | null = null): Promise<PlansView> {
  const [job, upToReading] = await Promise.all([appraisedJob(context, id), lastReading(context.store.db, id)]);
  const offers = await offersFor(job.appraisal, supplier);
  return { ...(await plansFor(context.store.db, job, offers)), upToReading };
}

/**
 * Refuses a plan that is not possible as things stand, that costs something else by now, or that another one beats and
 * nobody says why.
 * @param known the plans as they stand, where they are known; else they are worked out
 */
export async function mustBePossible(
  db: Queryable,
  planned: Planned,
  chosen: ChosenPlan,
  offers: readonly Offered[],
  known: readonly PlanView[] | null,
): Promise<PlanView> {
  const plans = known ?? (await plansFor(db, planned, offers)).plans;
  const plan = plans.find(({ key }) => key === chosen.key);
  if (!plan || plan.costToday !== chosen.costToday) throw new Refusal(409, 'plan-gone', texts.planHasChanged);
  if (plan.isBeaten && chosen.reason === '') throw new Refusal(422, 'reason-missing', texts.anotherCostsNoMore);
  return plan;
}
