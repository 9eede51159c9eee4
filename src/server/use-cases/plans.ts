import type { Appraisal } from '../../core/assess';
import type { ChainNumbers } from '../../core/order';
import { keyOf, numbersOfSet, possiblePlans, sensibleOf, type Plan } from '../../core/plan';
import { PARTS } from '../../core/reading';
import { NOTHING_SAID, SMALL_PARTS, type StockPart } from '../../core/stock';
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

function planView({ picks, ...plan }: Plan, isBeaten: boolean, days: ReadonlyMap<string, number>): PlanView {
  const parts = [...PARTS, ...SMALL_PARTS].flatMap((part) => {
    const pick = picks[part];
    if (!pick) return [];
    const { sku, name, priceCents, quantity } = pick;
    return [{ part, sku, name, priceCents, quantity, days: days.get(sku) ?? null }];
  });
  return { ...plan, key: keyOf({ choices: plan.choices, picks }), parts, isBeaten };
}

/** The cheapest way of each combination of choices, today: what one click on a part's choice leads to. */
function bestOfEach(plans: readonly Plan[]): readonly Plan[] {
  const best = new Map<string, Plan>();
  for (const plan of plans) {
    const key = JSON.stringify(plan.choices);
    const before = best.get(key);
    if (!before || plan.costToday < before.costToday) best.set(key, plan);
  }
  return [...best.values()];
}

/** A sheet with what it comes to, and the rules by which it does. */
type Planned = Pick<AppraisedJob, 'sheet' | 'rules' | 'appraisal'>;

/** All plans of a sheet with the parts that can be had. */
async function plansFor(
  db: Queryable,
  { sheet, rules: { limits, schools }, appraisal }: Planned,
  offers: readonly Offered[] = [],
): Promise<Omit<PlansView, 'upToReading'>> {
  const judged = { sheet, ...appraisal };
  const stock = [...(await stockAsked(db, judged, schools)), ...offers.map(({ part }) => part)];
  const input = { judged, limits, schools, stock, toOrder: true };
  const days = new Map(offers.map(({ part, days: until }) => [part.sku, until]));
  const possible = possiblePlans(input);
  const { plans: shown, ruledOut } = sensibleOf(possible);
  const named = new Map(shown.map((plan) => [keyOf(plan), plan]));
  const all = [...bestOfEach(possible.plans), ...shown];
  const once = new Map(all.map((plan) => [keyOf(plan), named.get(keyOf(plan)) ?? plan]));
  const views = [...once.values()].map((plan) => planView(plan, !named.has(keyOf(plan)), days));
  return { plans: views.sort((a, b) => a.costToday - b.costToday), ruledOut };
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
