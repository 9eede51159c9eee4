import { flatMap } from '../flat-map';
import type { Limits } from '../limits';
import { PARTS, type Part } from '../reading';
import { DEFAULT_SCHOOLS, type Schools } from '../schools';
import type { StockPart } from '../stock';
import { brokenByWhatIs, combinations, plannedParts, type Choices, type Judged, type PlanRule } from './choices';
import { areAlike, costPerHour, labour, renewalCost, workOf, type Rate, type Renewal } from './cost';
import { isLooseBar, isWornSprocket, livesOf } from './lives';
import { picksFor, type Picks } from './picks';
import { cheapest, numbersKey, numbersOf, shelfOf, type Shelf } from './shelf';
import { numbersOfSet, suitsClass, suitsSaw, wantedOf, type Wanted } from './wanted';

/** What a plan is named for. */
export const PLAN_NAMES = ['least-today', 'least-per-hour', 'fresh-set'] as const;
export type PlanName = (typeof PLAN_NAMES)[number];

/** What must be said beside a plan. */
export type PlanNote =
  /** The chain lives shorter on the sprocket that stays. */
  | { readonly code: 'worn-sprocket'; readonly share: number }
  | { readonly code: 'loose-bar'; readonly share: number }
  /** The set goes over to another pitch or gauge. */
  | { readonly code: 'converts'; readonly from: string; readonly to: string }
  /** What catches a chain that comes off is broken: it is renewed before the saw runs again. */
  | { readonly code: 'guards-broken' }
  /** Not all of it is on the shelf. */
  | { readonly code: 'to-order'; readonly skus: readonly string[] }
  /** Work on a budget bar that costs as much as much of a new one. */
  | { readonly code: 'not-worth-the-work'; readonly share: number };

/** One way that makes sense, with what it costs. Money in the smallest unit of the currency. */
export interface Plan {
  readonly choices: Choices;
  readonly picks: Picks;
  readonly costToday: number;
  readonly minutes: number;
  /** Running hours until the first of its parts is due. */
  readonly hoursToNext: number;
  readonly dueFirst: Part | null;
  readonly costPerHour: Rate;
  readonly named: readonly PlanName[];
  /** Whether its cost an hour is not to be told apart from the least. */
  readonly isAlike: boolean;
  readonly notes: readonly PlanNote[];
}

/** Every plan worth showing, and what became of the others. */
export interface Plans {
  /**
   * Plans that nothing else beats in both today's cost and the cost of an hour, and those that are named; the cheapest
   * today first.
   */
  readonly plans: readonly Plan[];
  /** Possible plans that another one beats. */
  readonly dominated: number;
  /** Combinations that a rule makes impossible, by the first rule they break. */
  readonly ruledOut: Readonly<Partial<Record<PlanRule, number>>>;
}

/** What plans are made with. */
export interface PlanInput {
  readonly judged: Judged;
  readonly limits: Limits;
  readonly schools?: Schools;
  readonly stock: readonly StockPart[];
  /** Whether parts that are not on the shelf may be ordered. */
  readonly toOrder?: boolean;
}

/** The cheapest part that would fit when one that stays is renewed later; null where the shelf has none. */
function laterPart(part: Part, judged: Judged, shelf: Shelf, wanted: Wanted): StockPart | null {
  const { pitch, gauge, driveLinks } = numbersOfSet(judged.identity);
  if (!pitch) return null;
  const numbers = gauge && driveLinks ? { pitch, gauge, driveLinks } : null;
  switch (part) {
    case 'chain':
      return numbers && cheapest(shelf.chains.get(numbersKey(numbers)), (each) => suitsClass(each, wanted));
    case 'bar':
      return cheapest(shelf.bars, (bar) => {
        const own = numbersOf(bar);
        return numbers !== null && own !== null && numbersKey(own) === numbersKey(numbers) && suitsSaw(bar, wanted);
      });
    case 'driveSprocket':
      return cheapest(shelf.sprockets.get(pitch), () => true);
    case 'nose':
      return cheapest(shelf.noses.get(pitch), ({ teeth }) => teeth === wanted.noseTeeth);
  }
}

const said = ({ pitch, gauge }: { readonly pitch: string | null; readonly gauge: string | null }): string =>
  `${pitch} ${gauge}`;

function notesOf(input: PlanInput, choices: Choices, picks: Picks, cost: number): readonly PlanNote[] {
  const { judged, limits } = input;
  const came = numbersOfSet(judged.identity);
  const bar = picks.bar;
  const toOrder = flatMap(Object.values(picks), (part) => (part.quantity > 0 ? [] : [part.sku]));
  const isBudget = judged.sheet.bar?.construction === 'laminated' && choices.bar === 'recondition';
  const newBar = Math.max(1, limits['plan.price.bar'].value);
  return [
    ...(isWornSprocket(judged, choices) && choices.chain === 'replace'
      ? [{ code: 'worn-sprocket', share: limits['plan.life.on-worn-sprocket'].value } as const]
      : []),
    ...(isLooseBar(judged, choices) && choices.chain === 'replace'
      ? [{ code: 'loose-bar', share: limits['plan.life.on-worn-bar'].value } as const]
      : []),
    ...(bar && came.pitch && came.gauge && (bar.pitch !== came.pitch || bar.gauge !== came.gauge)
      ? [{ code: 'converts', from: said(came), to: said(bar) } as const]
      : []),
    ...(judged.fit.some(({ rule, holds }) => rule === 'saw-guards-are-whole' && holds === false)
      ? [{ code: 'guards-broken' } as const]
      : []),
    ...(toOrder.length > 0 ? [{ code: 'to-order', skus: toOrder } as const] : []),
    ...(isBudget && (100 * cost) / newBar > limits['plan.worth'].value
      ? [{ code: 'not-worth-the-work', share: Math.round((100 * cost) / newBar) } as const]
      : []),
  ];
}

/** A plan with all its figures, before it is compared with others. */
function planOf(input: PlanInput, choices: Choices, picks: Picks, later: ReadonlyMap<Part, StockPart | null>): Plan {
  const { judged, limits } = input;
  const { minutes, worked } = workOf(judged, choices, limits);
  const work = labour(minutes, limits) + worked * limits['plan.consumables'].value;
  const costToday = work + Object.values(picks).reduce((sum, { priceCents }) => sum + priceCents, 0);
  const lives = livesOf(judged, choices, limits);
  const parts = Object.keys(lives) as Part[];
  const renewals = parts.map((part): Renewal => {
    const fitting = picks[part] ?? (part === 'nose' && picks.bar ? null : (later.get(part) ?? null));
    return { ...lives[part]!, cost: renewalCost(part, fitting, limits) };
  });
  const first = parts.reduce<Part | null>(
    (least, part) => (least === null || lives[part]!.left < lives[least]!.left ? part : least),
    null,
  );
  const horizon = Math.max(1, limits['plan.horizon'].value);
  const spread = Math.min(0.9, limits['plan.life.spread'].value / 100);
  return {
    choices,
    picks,
    costToday,
    minutes,
    hoursToNext: first === null ? horizon : lives[first]!.left,
    dueFirst: first,
    costPerHour: costPerHour(costToday, renewals, horizon, spread),
    named: [],
    isAlike: false,
    notes: notesOf(input, choices, picks, work),
  };
}

/**
 * Plans that no other beats: none costs as little today and as little an hour, and less of one of them. One pass over
 * all in order of today's cost.
 */
function unbeaten(plans: readonly Plan[]): ReadonlySet<Plan> {
  const ordered = [...plans].sort((a, b) => a.costToday - b.costToday || a.costPerHour.value - b.costPerHour.value);
  const kept = new Set<Plan>();
  let [least, at] = [Infinity, -Infinity];
  for (const plan of ordered) {
    const { value } = plan.costPerHour;
    if (value > least || (value === least && plan.costToday > at)) continue;
    kept.add(plan);
    [least, at] = [value, plan.costToday];
  }
  return kept;
}

const isFresh = ({ choices }: Plan): boolean => Object.values(choices).every((choice) => choice === 'replace');

const leastBy = (plans: readonly Plan[], by: (plan: Plan) => number): Plan | null =>
  plans.reduce<Plan | null>((least, plan) => (least === null || by(plan) < by(least) ? plan : least), null);

/** Names the plans that have a name, and marks those whose hour costs about as little as the cheapest. */
function named(plans: readonly Plan[]): readonly Plan[] {
  const today = leastBy(plans, ({ costToday }) => costToday);
  const hour = leastBy(plans, ({ costPerHour: { value } }) => value);
  const fresh = leastBy(plans.filter(isFresh), ({ costToday }) => costToday);
  const names = (plan: Plan): readonly PlanName[] => [
    ...(plan === today ? ['least-today' as const] : []),
    ...(plan === hour ? ['least-per-hour' as const] : []),
    ...(plan === fresh ? ['fresh-set' as const] : []),
  ];
  return plans.map((plan) => ({
    ...plan,
    named: names(plan),
    isAlike: hour !== null && plan !== hour && areAlike(plan.costPerHour, hour.costPerHour),
  }));
}

/** Every possible plan: each combination of choices that breaks no rule, with the parts that answer it. */
export function possiblePlans(input: PlanInput): {
  readonly plans: readonly Plan[];
  readonly ruledOut: Plans['ruledOut'];
} {
  const { judged, schools = DEFAULT_SCHOOLS, stock, toOrder = false } = input;
  const [shelf, wanted] = [shelfOf(stock, toOrder), wantedOf(judged, schools)];
  const parts = plannedParts(judged);
  const later = new Map(parts.map((part) => [part, laterPart(part, judged, shelf, wanted)]));
  const plans: Plan[] = [];
  const ruledOut: Partial<Record<PlanRule, number>> = {};
  for (const choices of parts.length === 0 ? [] : combinations(judged)) {
    const broken = brokenByWhatIs(judged, choices);
    const picked = broken ? { rule: broken } : picksFor(judged, choices, shelf, wanted);
    if ('rule' in picked) ruledOut[picked.rule] = (ruledOut[picked.rule] ?? 0) + 1;
    else for (const picks of picked.picks) plans.push(planOf(input, choices, picks, later));
  }
  return { plans, ruledOut };
}

/**
 * The plans that make sense: those that nothing beats in today's cost and the cost of an hour, and the named ones. A
 * plan that breaks a rule of the set is never among them, and no part condemned or undecided goes back on.
 */
export function planSet(input: PlanInput): Plans {
  const { plans, ruledOut } = possiblePlans(input);
  const all = named(plans);
  const best = unbeaten(all);
  const shown = all.filter((plan) => plan.named.length > 0 || best.has(plan));
  const order = [...shown].sort(
    (a, b) =>
      a.costToday - b.costToday || a.costPerHour.value - b.costPerHour.value || keyOf(a).localeCompare(keyOf(b)),
  );
  return { plans: order, dominated: plans.length - shown.length, ruledOut };
}

/** Names a plan: what is done with each part, and what goes on. */
export const keyOf = ({ choices, picks }: Pick<Plan, 'choices' | 'picks'>): string =>
  flatMap(PARTS, (part) => (choices[part] ? [`${part}:${choices[part]}:${picks[part]?.sku ?? ''}`] : [])).join(' ');
