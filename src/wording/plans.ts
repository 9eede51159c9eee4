import type { PlanRule, Plans } from '../core/plan';
import type { PlansDocument } from '../core/report';
import { PARTS } from '../core/reading';
import { SMALL_PARTS } from '../core/stock';
import { choicesSentence, dueSentence, planNameWord, planNote, planRule } from '#language';
import { money } from './shop-format';

/** Writes plans as a document. */
export function plansDocument({ plans, dominated, ruledOut }: Plans): PlansDocument {
  return {
    format: 'serrata-plans',
    version: 1,
    plans: plans.map(({ choices, picks, isAlike, notes, ...plan }) => ({
      parts: { ...choices },
      skus: [...PARTS, ...SMALL_PARTS].flatMap((part) => picks[part]?.sku ?? []),
      costToday: plan.costToday,
      minutes: plan.minutes,
      hoursToNext: plan.hoursToNext,
      dueFirst: plan.dueFirst,
      hoursLeft: plan.hoursLeft,
      costPerHour: plan.costPerHour,
      named: [...plan.named],
      alike: isAlike,
      why: notes.map(planNote),
    })),
    dominated,
    ruledOut: { ...ruledOut },
  };
}

/** Plans for people to read, in the currency and style of a shop. */
export function plansText({ plans, dominated, ruledOut }: Plans, shop: Parameters<typeof money>[1]): string {
  const amount = (cents: number) => money(cents, shop);
  const lines = plans.flatMap((plan) => [
    `${plan.named.map((name) => planNameWord[name]).join(', ') || 'Between'}: ${amount(plan.costToday)} today, ${plan.minutes} min, ${amount(Math.round(plan.costPerHour.value))} an hour (${amount(Math.round(plan.costPerHour.low))} to ${amount(Math.round(plan.costPerHour.high))})${plan.isAlike ? ', as good as the least' : ''}`,
    `  ${choicesSentence(plan)}`,
    ...(Object.values(plan.picks).length > 0
      ? [
          `  New: ${Object.values(plan.picks)
            .map(({ sku, name }) => `${sku} ${name}`)
            .join('; ')}`,
        ]
      : []),
    `  ${dueSentence(plan.hoursToNext, plan.dueFirst)}`,
    ...plan.notes.map((note) => `  ${planNote(note)}`),
    '',
  ]);
  const out = Object.entries(ruledOut) as [PlanRule, number][];
  return `${[
    ...(plans.length === 0 ? ['No plan is possible.', ''] : lines),
    ...(dominated > 0 ? [`${dominated} more would be possible, and each is beaten by one above.`] : []),
    ...out.map(([rule, count]) => `${count} ruled out: ${planRule(rule)}.`),
  ].join('\n')}\n`;
}
