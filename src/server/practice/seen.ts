import {
  asMade,
  forNothing,
  makeTruth,
  minutesTaken,
  paperOf,
  SITTING_MINUTES,
  untold,
  type Theme,
  type Truth,
} from '../../core/practice';
import { recipeOf, roundsOfSitting, type RoundRecord } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import type { ReviewView, RoundView, TruthView } from '../../contract';

/** What readings and hints of a round took. */
export const minutesOfRound = ({ taken, hints }: Pick<RoundRecord, 'taken' | 'hints'>): number =>
  minutesTaken(taken) + hints.reduce((sum, { minutes }) => sum + minutes, 0);

/** Minutes of readings in a whole sitting. */
export const spentIn = (sitting: readonly RoundRecord[]): number =>
  sitting.reduce((sum, round) => sum + minutesOfRound(round), 0);

/** What was chosen and may be known: of a paper or of what is due, nothing. */
export const shownTheme = ({ kind, theme }: Pick<RoundRecord, 'kind' | 'theme'>): Theme | null =>
  kind === 'one' && theme !== 'any' ? theme : null;

const truthView = ({ faults, causes, actions, belongs, order }: Truth): TruthView => ({
  faults,
  causes,
  actions,
  belongs,
  order,
});

function reviewOf(truth: Truth, { said, score, taken }: RoundRecord): ReviewView | null {
  if (said === null || score === null) return null;
  return {
    truth: truthView(truth),
    said,
    score,
    untold: untold(truth, taken),
    forNothing: forNothing(truth, taken),
    made: asMade(truth),
  };
}

/** Whether a round may be looked back on: of a paper only once all of it is answered. */
export const isTold = (round: RoundRecord, sitting: readonly RoundRecord[]): boolean =>
  round.answeredAt !== null &&
  (round.paper === null ||
    (sitting.length === paperOf(round.paper)?.sets.length && sitting.every(({ answeredAt }) => answeredAt !== null)));

/** A round as its learner may see it. */
export async function roundView(db: Queryable, round: RoundRecord): Promise<RoundView> {
  const isAlone = round.kind !== 'paper' && round.kind !== 'twenty';
  // A round that was just changed is seen as it is now.
  const sitting = isAlone
    ? [round]
    : (await roundsOfSitting(db, round.sitting)).map((each) => (each.id === round.id ? round : each));
  return viewOf(round, sitting);
}

/** The same, where the sitting is at hand. */
export function viewOf(round: RoundRecord, sitting: readonly RoundRecord[]): RoundView {
  const truth = makeTruth(recipeOf(round));
  const { id, kind, level, paper, by, at, place, taken, hints, answeredAt } = round;
  return {
    ...{ id, kind, level, paper, by, at, place, taken, hints },
    theme: shownTheme(round),
    of: paper === null ? null : (paperOf(paper)?.sets.length ?? null),
    complaint: truth.complaint,
    minutes: minutesOfRound(round),
    sitting: kind === 'twenty' ? { spent: spentIn(sitting), of: SITTING_MINUTES } : null,
    isAnswered: answeredAt !== null,
    review: isTold(round, sitting) ? reviewOf(truth, round) : null,
  };
}
