import { flatMap } from '../flat-map';
import { doneOn, judgedParts, type Verdict } from '../judge';
import type { Part } from '../reading';
import { CLEANING, SERVICE, type Action, type BenchSheet, type Operation } from '../sheet';
import type { SignedChoices } from '../refit';
import { momentOf, type JobCourse, type Moment } from './moment';

/** What is said of a part at its moment, wherever it is said. */
export interface PartSaid {
  readonly part: Part;
  readonly moment: Moment;
  /** The verdict as it came; from the signature on what the plan does with the part. */
  readonly stands: Action;
  /** Whether all its work was done. */
  readonly isDone: boolean;
  /** The part stays by the signed plan, and is condemned all the same: a plan makes nothing sound. */
  readonly contradicted: boolean;
}

/** The same with the work it speaks of. */
export interface PartStory extends PartSaid {
  /** Work that is still to be done, and that was ticked off. */
  readonly left: readonly Operation[];
  readonly done: readonly Operation[];
  /** A nose that comes with the new bar. */
  readonly withBar: boolean;
}

/** Whether the signed plan puts a new part in its place. */
export const isRenewed = ({ moment, stands, contradicted }: PartSaid): boolean =>
  moment !== 'came' && stands === 'replace' && !contradicted;

/** What is known of a part that something is said of. */
export interface PartFacts {
  readonly part: Part;
  /** Its verdict as it stands, after whatever was done. */
  readonly verdict: Action;
  /** What the plan does with it; nothing where no plan speaks of it. */
  readonly choice: string | null | undefined;
  readonly done: readonly Operation[];
}

/** What is done with a part that stays: kept, only cleaned, or worked on. */
function staying({ verdict, choice, done }: PartFacts): Action {
  if (verdict === 'replace' || verdict === 'undecided') return verdict;
  const isWorkedOn = choice === 'recondition' || done.some((operation) => !CLEANING.includes(operation));
  if (isWorkedOn || verdict === 'recondition') return 'recondition';
  return verdict === 'clean' || done.length > 0 ? 'clean' : 'keep';
}

/**
 * What is said of a part: its verdict until a plan is signed, then what the plan does with it. A part that stays and
 * was found to be past it since is said to be: a plan makes nothing sound.
 */
export function saidOf(facts: PartFacts, moment: Moment): PartSaid {
  const { part, verdict, choice } = facts;
  const done = facts.done.filter((operation) => !SERVICE.includes(operation));
  const isNew = moment !== 'came' && choice === 'replace';
  return {
    part,
    moment,
    stands: isNew ? 'replace' : moment === 'came' ? verdict : staying({ ...facts, done }),
    isDone: !isNew && verdict === 'keep' && done.length > 0,
    contradicted: moment !== 'came' && !isNew && verdict === 'replace',
  };
}

/** What a hand-over keeps of its parts. */
interface HandedOver {
  readonly parts: readonly PartFacts[];
  /** Parts that went on new. */
  readonly fitted: readonly unknown[];
}

/**
 * What a hand-over says of each of its parts. A part that went is new only where something new went on.
 */
export const saidByHandOver = (document: HandedOver, moment: Moment): readonly PartSaid[] => {
  const choices = moment === 'out' ? choicesByHandOver(document) : null;
  return document.parts.map((facts) =>
    saidOf({ ...facts, choice: choices ? choices[facts.part] : facts.choice }, moment),
  );
};

/** What was done with each part, by a hand-over. Those of before named as new also what nothing new came for. */
export const choicesByHandOver = ({ parts, fitted }: HandedOver): SignedChoices =>
  Object.fromEntries(
    flatMap(parts, ({ part, choice }) =>
      choice && !(choice === 'replace' && fitted.length === 0) ? [[part, choice] as const] : [],
    ),
  );

/** What is said of a part of a job, with the work it speaks of. */
export function partStory(part: Part, sheet: BenchSheet, verdict: Verdict, course: JobCourse): PartStory {
  const done = doneOn(part, sheet);
  const choice = course.choices?.[part];
  const said = saidOf({ part, verdict: verdict.action, choice, done }, momentOf(course));
  const isNew = isRenewed(said);
  return {
    ...said,
    left: isNew ? [] : verdict.operations,
    done: isNew ? [] : done,
    withBar: isNew && part === 'nose' && course.choices?.bar === 'replace',
  };
}

/** The same of every part that was brought. */
export const partStories = (
  sheet: BenchSheet,
  verdicts: Readonly<Record<Part, Verdict>>,
  course: JobCourse,
): readonly PartStory[] => judgedParts(sheet).map((part) => partStory(part, sheet, verdicts[part], course));
