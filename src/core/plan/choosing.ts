import { flatMap } from '../flat-map';
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

/** Both ways of saving a bar whose nose is gone. */
export interface SavingWays<P> {
  /** Another nose is riveted into the bar, which stays. */
  readonly nose: P;
  readonly bar: P;
}

/**
 * A new nose beside a new bar: two plans that differ in nothing else; of several such pairs the one that does with the
 * other parts what the chosen plan does, else the cheapest. Null where one of the ways is not possible.
 */
export function waysToSave<P extends Choosable>(plans: readonly P[], chosen: P | null): SavingWays<P> | null {
  const rest = ({ choices: { chain, driveSprocket } }: P): string => `${chain} ${driveSprocket}`;
  const withNose = plans.filter(
    ({ choices: { nose, bar } }) => nose === 'replace' && bar !== undefined && bar !== 'replace',
  );
  const withBar = plans.filter(({ choices: { bar } }) => bar === 'replace');
  const cheapest = (some: readonly P[], like: P): P | undefined =>
    some.filter((plan) => rest(plan) === rest(like)).sort((a, b) => a.costToday - b.costToday)[0];
  const pairs = flatMap(withNose, (nose): SavingWays<P>[] => {
    const bar = cheapest(withBar, nose);
    return bar && cheapest(withNose, nose) === nose ? [{ nose, bar }] : [];
  });
  const cost = ({ nose, bar }: SavingWays<P>) => nose.costToday + bar.costToday;
  const isLike = ({ nose }: SavingWays<P>) => Number(chosen !== null && rest(nose) === rest(chosen));
  return pairs.sort((a, b) => isLike(b) - isLike(a) || cost(a) - cost(b))[0] ?? null;
}
