import { flatMap } from '../flat-map';
import type { Limits } from '../limits';
import { PARTS, type Part } from '../reading';
import { DEFAULT_SCHOOLS, type Schools } from '../schools';
import { SMALL_PARTS, type SmallPart, type StockPart } from '../stock';
import { brokenByWhatIs, combinations, plannedParts, type Choices, type Judged, type PlanRule } from './choices';
import { areAlike, costPerHour, labour, renewalCost, workOf, type Rate, type Renewal } from './cost';
import { isLooseBar, isWornSprocket, livesOf } from './lives';
import { chainFor, picksFor, smallPartsNeeded, sprocketFor, type Picks } from './picks';
import { cheapest, numbersKey, numbersOf, shelfOf, type Shelf } from './shelf';
import { isKnownToSit, numbersOfSet, suitsSaw, suitsSequence, wantedOf, type Wanted } from './wanted';

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
  /** Whether these sit on the saw, neither splines nor bore nor the saw's name tell. */
  | { readonly code: 'saw-not-known'; readonly skus: readonly string[] }
  /** The list does not say the sequence of a chain, or nobody has counted the cutters of the old one. */
  | { readonly code: 'sequence-not-said' | 'sequence-not-counted'; readonly sku: string }
  /** Small parts that have failed and that no list has: their price is not in the plan. */
  | { readonly code: 'not-listed'; readonly parts: readonly SmallPart[] }
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
  /** Running hours that each part has before it. */
  readonly hoursLeft: Readonly<Partial<Record<Part, number>>>;
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
      return numbers && chainFor(numbers, shelf, wanted);
    case 'bar':
      return cheapest(shelf.bars, (bar) => {
        const own = numbersOf(bar);
        return numbers !== null && own !== null && numbersKey(own) === numbersKey(numbers) && suitsSaw(bar, wanted);
      });
    case 'driveSprocket':
      return sprocketFor(pitch, null, shelf, wanted);
    case 'nose':
      return cheapest(shelf.noses.get(pitch), ({ teeth }) => teeth === wanted.noseTeeth);
  }
}

const said = ({ pitch, gauge }: { readonly pitch: string | null; readonly gauge: string | null }): string =>
  `${pitch} ${gauge}`;

/** What is not known of the parts that a plan takes. */
function openNotes(judged: Judged, choices: Choices, picks: Picks, wanted: Wanted): readonly PlanNote[] {
  const drive = flatMap([picks.driveSprocket, picks.drum, picks.bearing, picks.clip], (part) =>
    part && !isKnownToSit(part, wanted) ? [part.sku] : [],
  );
  const { chain } = picks;
  const missing = smallPartsNeeded(judged, choices, picks.driveSprocket).filter((part) => !picks[part]);
  return [
    ...(drive.length > 0 ? [{ code: 'saw-not-known', skus: drive } as const] : []),
    ...(chain && !suitsSequence(chain, wanted)
      ? [{ code: wanted.sequence === null ? 'sequence-not-counted' : 'sequence-not-said', sku: chain.sku } as const]
      : []),
    ...(missing.length > 0 ? [{ code: 'not-listed', parts: missing } as const] : []),
  ];
}

function notesOf(input: PlanInput, choices: Choices, picks: Picks, cost: number, wanted: Wanted): readonly PlanNote[] {
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
    ...openNotes(judged, choices, picks, wanted),
    ...(toOrder.length > 0 ? [{ code: 'to-order', skus: toOrder } as const] : []),
    ...(isBudget && (100 * cost) / newBar > limits['plan.worth'].value
      ? [{ code: 'not-worth-the-work', share: Math.round((100 * cost) / newBar) } as const]
      : []),
  ];
}

/** What is looked up once for all plans of a sheet. */
interface Around {
  readonly wanted: Wanted;
  /** What each part would be renewed by later. */
  readonly later: ReadonlyMap<Part, StockPart | null>;
}

/** A plan with all its figures, before it is compared with others. */
function planOf(input: PlanInput, choices: Choices, picks: Picks, { wanted, later }: Around): Plan {
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
    hoursLeft: Object.fromEntries(parts.map((part) => [part, lives[part]!.left])),
    costPerHour: costPerHour(costToday, renewals, horizon, spread),
    named: [],
    isAlike: false,
    notes: notesOf(input, choices, picks, work, wanted),
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

/** Plans that break no rule, whatever they cost. */
export type PossiblePlans = Pick<Plans, 'plans' | 'ruledOut'>;

/** Every possible plan: each combination of choices that breaks no rule, with the parts that answer it. */
export function possiblePlans(input: PlanInput): PossiblePlans {
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
    else for (const picks of picked.picks) plans.push(planOf(input, choices, picks, { wanted, later }));
  }
  return { plans, ruledOut };
}

/** Of possible plans those that make sense: that nothing beats in today's cost and the cost of an hour, and the named ones. */
export function sensibleOf({ plans, ruledOut }: PossiblePlans): Plans {
  const all = named(plans);
  const best = unbeaten(all);
  const shown = all.filter((plan) => plan.named.length > 0 || best.has(plan));
  const order = [...shown].sort(
    (a, b) =>
      a.costToday - b.costToday || a.costPerHour.value - b.costPerHour.value || keyOf(a).localeCompare(keyOf(b)),
  );
  return { plans: order, dominated: plans.length - shown.length, ruledOut };
}

/**
 * The plans that make sense. A plan that breaks a rule of the set is never among them, and no part condemned or
 * undecided goes back on.
 */
export const planSet = (input: PlanInput): Plans => sensibleOf(possiblePlans(input));

/** Names a plan: what is done with each part, and what goes on. */
export const keyOf = ({ choices, picks }: Pick<Plan, 'choices' | 'picks'>): string =>
  [
    ...flatMap(PARTS, (part) => (choices[part] ? [`${part}:${choices[part]}:${picks[part]?.sku ?? ''}`] : [])),
    ...flatMap(SMALL_PARTS, (part) => (picks[part] ? [`${part}:${picks[part].sku}`] : [])),
  ].join(' ');
