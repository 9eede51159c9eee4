import { EDGES } from '../declared';
import type { Limits } from '../limits';
import type { Part } from '../reading';
import { CLEANING, type Operation } from '../sheet';
import type { StockPart } from '../stock';
import type { Choices, Judged } from './choices';
import type { Life } from './lives';

/** Money per running hour with the band that the doubt of the lives leaves it, smallest units of the currency. */
export interface Rate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What a renewal of a part costs, and how long it lasts. */
export interface Renewal extends Life {
  readonly cost: number;
}

/** Width of an 80 % band of a normal, standard deviations to each side. */
const BAND = 1.2816;

/** Expected renewals of a part in so many hours after the first one ends: one each time a part ends. */
const renewals = ({ left, whole }: Life, hours: number): number => Math.max(0, hours - left) / whole;

/** The same part if lives are longer or shorter by a share. */
const stretched = <L extends Life>(life: L, by: number): L => ({
  ...life,
  left: life.left * by,
  whole: life.whole * by,
});

/**
 * Cost of a running hour over a horizon: what is paid today, and a renewal each time a part ends (renewal reward: for
 * new parts it is the sum of cost over mean life, whatever the horizon).
 * The band is 80 %, each part's life off by its own share, independent of the others.
 * @param today what is paid now, smallest units of the currency
 * @param hours the horizon, above 0
 * @param spread how far off the lives may be, one standard deviation as a share below 1
 * @see S. M. Ross, Introduction to Probability Models, 7.4 (renewal reward), from memory
 * @example chain 18.00 at 30 h, bar 60.00 at 150 h, sprocket 12.00 at 60 h → 1.20 an hour
 */
export function costPerHour(today: number, parts: readonly Renewal[], hours: number, spread: number): Rate {
  const rate = (part: Renewal): number => (part.cost * renewals(part, hours)) / hours;
  const value = today / hours + parts.reduce((sum, part) => sum + rate(part), 0);
  let [up, down] = [0, 0];
  for (const part of parts) {
    up += (rate(stretched(part, 1 - spread)) - rate(part)) ** 2;
    down += (rate(stretched(part, 1 + spread)) - rate(part)) ** 2;
  }
  return { value, low: Math.max(0, value - BAND * Math.sqrt(down)), high: value + BAND * Math.sqrt(up) };
}

/** Whether two rates are not to be told apart: their bands overlap. */
export const areAlike = (a: Rate, b: Rate): boolean => a.low <= b.high && b.low <= a.high;

const FITTING = {
  chain: 'plan.minutes.chain',
  bar: 'plan.minutes.bar',
  nose: 'plan.minutes.nose',
  driveSprocket: 'plan.minutes.driveSprocket',
} as const;

const PRICE = {
  chain: 'plan.price.chain',
  bar: 'plan.price.bar',
  nose: 'plan.price.nose',
  driveSprocket: 'plan.price.driveSprocket',
} as const;

/** Money for minutes of work, rounded to the smallest unit. */
export const labour = (minutes: number, limits: Limits): number =>
  Math.round((minutes * limits['plan.labour'].value) / 60);

/**
 * Passes of a dressing that no plan foresees, because nobody has measured how much comes off (common practice, no
 * source).
 */
const USUAL_PASSES = 8;

const usualDressing = (limits: Limits): number =>
  limits['bar.dress.minutes-setup'].value + USUAL_PASSES * limits['bar.dress.minutes-per-pass'].value;

/** Minutes of dressing: edge by edge as the dressing plan has them, else the usual. */
function dressingMinutes({ bar }: Judged, limits: Limits): number {
  const planned = EDGES.reduce((sum, edge) => {
    const { dressing } = bar.standing[edge];
    return sum + (dressing?.advised ? dressing.effort.minutes : 0);
  }, 0);
  return planned > 0 ? planned : usualDressing(limits);
}

/**
 * Minutes of some work on a part.
 * @param dressing minutes of dressing, where it is among the work
 */
function minutesOf(operations: readonly Operation[], dressing: number, limits: Limits): number {
  const cleaned = operations.filter((operation) => CLEANING.includes(operation)).length;
  const dressed = operations.includes('dress-rails') ? 1 : 0;
  const worked = operations.length - cleaned - dressed;
  return (
    cleaned * limits['plan.minutes.cleaning'].value +
    worked * limits['plan.minutes.operation'].value +
    dressed * dressing
  );
}

/** Minutes of work on a part that stays: cleaning and what its verdict names. */
export const workMinutes = (part: Part, judged: Judged, limits: Limits): number =>
  minutesOf(judged.verdicts[part].operations, dressingMinutes(judged, limits), limits);

/** What work on a part costs that was done, by the usual minutes and what it uses up, smallest units. */
export const costOfWork = (operations: readonly Operation[], limits: Limits): number =>
  labour(minutesOf(operations, usualDressing(limits), limits), limits) + limits['plan.consumables'].value;

/** What is done today: minutes of fitting and of work, and parts that are worked on. */
export function workOf(judged: Judged, choices: Choices, limits: Limits): { minutes: number; worked: number } {
  let [minutes, worked] = [0, 0];
  for (const part of Object.keys(choices) as Part[]) {
    if (choices[part] === 'replace') {
      // A new bar comes with its nose.
      if (part !== 'nose' || choices.bar !== 'replace') minutes += limits[FITTING[part]].value;
      continue;
    }
    minutes += workMinutes(part, judged, limits);
    if (choices[part] === 'recondition') worked += 1;
  }
  return { minutes, worked };
}

/**
 * What a later renewal of a part costs: the part that is fitted now or the cheapest that would fit, else the shop's
 * figure; and fitting it.
 */
export const renewalCost = (part: Part, fitting: StockPart | null, limits: Limits): number =>
  (fitting?.priceCents ?? limits[PRICE[part]].value) + labour(limits[FITTING[part]].value, limits);
