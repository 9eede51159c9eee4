import { PARTS, type Part } from '../reading';
import type { Choice } from './choices';
import type { Plan } from './plan';

/** What of a plan it is chosen by. */
type Choosable = Pick<Plan, 'choices' | 'costToday' | 'named' | 'isAlike'> & {
  /** Whether another plan costs no more today and no more an hour. */
  readonly isBeaten: boolean;
};

/**
 * The plan that is looked at first: the cheapest hour, or what costs least today where their hours are not to be told
 * apart.
 * @param plans the cheapest today first
 */
export function looksFirst<P extends Choosable>(plans: readonly P[]): P | null {
  const [cheapest] = plans;
  const hour = plans.find(({ named }) => named.includes('least-per-hour'));
  return (cheapest?.isAlike && !cheapest.isBeaten ? cheapest : hour) ?? cheapest ?? null;
}

/**
 * The plan that another choice for one part leads to: of those that make it, the one that changes least else, the
 * cheapest today of these; null where no plan makes it.
 */
export function whatIf<P extends Choosable>(plans: readonly P[], chosen: P, part: Part, choice: Choice): P | null {
  const kept = ({ choices }: P): number =>
    PARTS.filter((each) => each !== part && choices[each] !== undefined && choices[each] === chosen.choices[each])
      .length;
  const [best] = plans
    .filter((plan) => plan.choices[part] === choice)
    .sort((a, b) => kept(b) - kept(a) || a.costToday - b.costToday);
  return best ?? null;
}
