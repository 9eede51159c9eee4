import { assess } from '../../core/assess';
import { keyOf, orderedParts, planSet, possiblePlans, type Plan } from '../../core/plan';
import { PARTS } from '../../core/reading';
import type { BenchSheet } from '../../core/sheet';
import { allStock, lastReading } from '../../data/repositories';
import type { ChosenPlan, OrderedPartView, PlansView, PlanView } from '../../contract';
import type { Queryable } from '../../data/store';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import { jobSheet } from './jobs';
import { rulesInForce, type Rules } from './shop';
import { answersTo } from './stock';

function planView({ picks, ...plan }: Plan, isBeaten: boolean): PlanView {
  const parts = PARTS.flatMap((part) => {
    const pick = picks[part];
    if (!pick) return [];
    const { sku, name, priceCents, quantity } = pick;
    return [{ part, sku, name, priceCents, quantity }];
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

/** All plans of a sheet with the parts that can be had. */
async function plansFor(db: Queryable, sheet: BenchSheet, rules: Rules): Promise<Omit<PlansView, 'upToReading'>> {
  const { limits, codes, schools } = rules;
  const judged = { sheet, ...assess(sheet, limits, codes, schools) };
  const input = { judged, limits, schools, stock: await allStock(db), toOrder: true };
  const { plans: shown, ruledOut } = planSet(input);
  const named = new Map(shown.map((plan) => [keyOf(plan), plan]));
  const all = [...bestOfEach(possiblePlans(input).plans), ...shown];
  const once = new Map(all.map((plan) => [keyOf(plan), named.get(keyOf(plan)) ?? plan]));
  const views = [...once.values()].map((plan) => planView(plan, !named.has(keyOf(plan))));
  return { plans: views.sort((a, b) => a.costToday - b.costToday), ruledOut };
}

/** The plans of a job as it is stored. */
export async function jobPlans(context: Context, id: string): Promise<PlansView> {
  const [{ sheet }, rules, upToReading] = await Promise.all([
    jobSheet(context, id),
    rulesInForce(context),
    lastReading(context.store.db, id),
  ]);
  return { ...(await plansFor(context.store.db, sheet, rules)), upToReading };
}

/** Parts beside the chain that must be replaced, with what the shelf answers. */
export async function jobOrderedParts(context: Context, id: string): Promise<readonly OrderedPartView[]> {
  const [{ sheet }, { limits, codes, schools }] = await Promise.all([jobSheet(context, id), rulesInForce(context)]);
  const judged = { sheet, ...assess(sheet, limits, codes, schools) };
  return Promise.all(
    orderedParts(judged, schools).map(async ({ part, need }) => ({
      part,
      need,
      answers: await answersTo(context, need),
    })),
  );
}

/** Refuses a plan that is not possible as things stand, that costs something else by now, or that another one beats and nobody says why. */
export async function mustBePossible(
  db: Queryable,
  sheet: BenchSheet,
  rules: Rules,
  chosen: ChosenPlan,
): Promise<void> {
  const { plans } = await plansFor(db, sheet, rules);
  const plan = plans.find(({ key }) => key === chosen.key);
  if (!plan || plan.costToday !== chosen.costToday)
    throw new Refusal(
      409,
      'plan-gone',
      'This plan is not what it was when it was shown: the shelf, a price or a reading has changed. Look at the plans again, then sign off.',
    );
  if (plan.isBeaten && chosen.reason === '')
    throw new Refusal(422, 'reason-missing', 'Another plan costs no more today and no more an hour: say why this one.');
}
