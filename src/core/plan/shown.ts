import { flatMap } from '../flat-map';
import { PARTS } from '../reading';
import { SMALL_PARTS, type PlannedPart, type StockPart } from '../stock';
import type { PlanRule } from './choices';
import { keyOf, possiblePlans, sensibleOf, type Plan, type PlanInput } from './plan';

/** A repair plan as it is told: its parts by what they are, and whether another is better in every way. */
export interface PlanShown extends Omit<Plan, 'picks'> {
  readonly key: string;
  readonly parts: readonly ({ readonly part: PlannedPart } & Pick<
    StockPart,
    'sku' | 'name' | 'priceCents' | 'quantity'
  > & {
      /**
       * Working days until the supplier has it here; null where the supplier was not asked or it is a part of the
       * shop's list.
       */
      readonly days: number | null;
    })[];
  /** Whether another plan costs no more today and no more an hour. */
  readonly isBeaten: boolean;
}

/** The plans of a sheet, and how many each rule left out. */
export interface PlansShown {
  /** The cheapest way of each combination of choices that breaks no rule. */
  readonly plans: readonly PlanShown[];
  readonly ruledOut: Readonly<Partial<Record<PlanRule, number>>>;
}

function shown({ picks, ...plan }: Plan, isBeaten: boolean, days: ReadonlyMap<string, number>): PlanShown {
  const parts = flatMap([...PARTS, ...SMALL_PARTS], (part) => {
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

/**
 * The plans of a sheet that are worth showing, the cheapest first.
 * @param days working days until a part is here that the supplier offers, by its number
 */
export function plansShown(input: PlanInput, days: ReadonlyMap<string, number> = new Map()): PlansShown {
  const possible = possiblePlans(input);
  const { plans: sensible, ruledOut } = sensibleOf(possible);
  const named = new Map(sensible.map((plan) => [keyOf(plan), plan]));
  const all = [...bestOfEach(possible.plans), ...sensible];
  const once = new Map(all.map((plan) => [keyOf(plan), named.get(keyOf(plan)) ?? plan]));
  const plans = [...once.values()].map((plan) => shown(plan, !named.has(keyOf(plan)), days));
  return { plans: plans.sort((a, b) => a.costToday - b.costToday), ruledOut };
}
