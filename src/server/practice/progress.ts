import { brierScore, PRACTICE_PARTS, reliability, type Statement } from '../../core/practice';
import { findRound, learners, roundsOf, roundsOfSitting, type RoundRecord } from '../../data/repositories';
import type { PracticeView, ProgressView, RoundLine, RoundPageView } from '../../contract';
import type { Context } from '../context';
import { me } from '../use-cases/people/me';
import { notFound } from '../refusal';
import { shopView } from '../use-cases/shop';
import { skillsOf } from './again';
import { isTold, minutesOfRound, roundView, shownTheme, viewOf } from './seen';

/** Rounds of somebody that are looked back on: those before move nothing any more. */
const MOST_ROUNDS = 500;
/** Rounds that stand in the list. */
const LISTED = 12;

/** Rounds that were answered and may be told, the oldest first. */
export async function answeredRounds({ store }: Context, by: string): Promise<readonly RoundRecord[]> {
  return toldOf(await roundsOf(store.db, by, MOST_ROUNDS));
}

const sittingOf = ({ sitting }: RoundRecord, all: readonly RoundRecord[]): readonly RoundRecord[] =>
  all.filter((each) => each.sitting === sitting);

/** Of all rounds those that may be told, the oldest first. */
const toldOf = (rounds: readonly RoundRecord[]): readonly RoundRecord[] =>
  rounds.filter((round) => isTold(round, sittingOf(round, rounds))).toReversed();

/** How sure somebody was of each part that they called, and whether they were right. What the doubt leaves open is neither. */
const statementsOf = (rounds: readonly RoundRecord[]): readonly Statement[] =>
  rounds.flatMap(({ said, score }) =>
    PRACTICE_PARTS.flatMap((part): Statement[] => {
      const sure = said?.sure[part];
      const mark = score?.parts[part];
      if (sure === undefined || said?.actions[part] === 'undecided') return [];
      return mark === 'right' || mark === 'wrong' ? [{ sure, isRight: mark === 'right' }] : [];
    }),
  );

const meanPoints = (rounds: readonly RoundRecord[]): number | null =>
  rounds.length === 0 ? null : rounds.reduce((sum, { score }) => sum + (score?.points ?? 0), 0) / rounds.length;

function lineOf(round: RoundRecord, all: readonly RoundRecord[]): RoundLine {
  const { id, by, at, kind, level, paper, place, score, answeredAt } = round;
  const points = isTold(round, sittingOf(round, all)) ? (score?.points ?? null) : null;
  return {
    ...{ id, by, at, kind, level, paper, place, points },
    theme: shownTheme(round),
    minutes: minutesOfRound(round),
    isAnswered: answeredAt !== null,
  };
}

function progressOf(by: string, rounds: readonly RoundRecord[], now: Date): ProgressView {
  const told = toldOf(rounds);
  const statements = statementsOf(told);
  return {
    by,
    rounds: told.length,
    points: meanPoints(told),
    brier: brierScore(statements),
    statements: statements.length,
    reliability: reliability(statements),
    skills: skillsOf(told, now),
    lines: rounds.slice(0, LISTED).map((round) => lineOf(round, rounds)),
  };
}

/** Whether whoever asks may look at how others do: the owner, and whoever is at a machine where nobody signs in. */
const seesOthers = (): boolean => {
  const known = me();
  return known === null || known.role === 'owner';
};

/**
 * The place of practice, as somebody sees it.
 * @param who whoever is here
 * @param asked whose progress is asked for; their own where they may not see another's
 */
export async function practiceView(context: Context, who: string, asked: string | null): Promise<PracticeView> {
  const { db } = context.store;
  const by = asked !== null && seesOthers() ? asked : who;
  const [shop, rounds, all] = await Promise.all([
    shopView(context),
    roundsOf(db, by, MOST_ROUNDS),
    seesOthers() ? learners(db) : [],
  ]);
  return {
    shop,
    progress: progressOf(by, rounds, context.now()),
    others: all.filter((each) => each.by !== who),
    isOther: by !== who,
  };
}

/** A round on its page, and all of a paper that is done. */
export async function roundPageView(context: Context, id: string, who: string): Promise<RoundPageView> {
  const { db } = context.store;
  const [shop, round] = await Promise.all([shopView(context), findRound(db, id)]);
  // What is another's may be looked back on by the owner; while it is open it is theirs alone.
  if (!round || (round.by !== who && (!seesOthers() || round.answeredAt === null))) throw notFound('round');
  const sitting = round.paper === null ? [] : await roundsOfSitting(db, round.sitting);
  const isDone = sitting.some((each) => isTold(each, sitting));
  return {
    shop,
    round: await roundView(db, round),
    paper: isDone ? sitting.map((each) => viewOf(each, sitting)) : [],
  };
}
