import { appraising, type Appraisal, type Rules } from '../../../core/assess';
import { partStories, type JobCourse, type PartStory } from '../../../core/course';
import { atOnce, type Stages } from '../../../core/stages';
import { stepStates, type StepState } from '../../../core/workflow';
import { sheetFromEntries, type EnteredSheet } from '../../../core/sheet';
import type { JobView } from '../../../contract';
import type { Snapshot } from './job-store';

/** What the readings on this screen mean. */
export interface Meaning {
  readonly entered: Omit<EnteredSheet, 'written'>;
  readonly appraisal: Appraisal;
  readonly steps: readonly StepState[];
  /** What is said of each part at the moment of the job. */
  readonly stories: readonly PartStory[];
}

/** What a view tells of what became of its job. */
interface Became extends Pick<JobView, 'signOffs' | 'choices'> {
  readonly job: Pick<JobView['job'], 'state'>;
}

/** What readings come to their meaning by. */
export interface Given extends Pick<Snapshot, 'standing' | 'drafts'> {
  readonly view: Rules & Became;
  /** Who is at the bench. */
  readonly who: string;
}

/** Reads what was typed, entered or not, as a sheet and assesses it, a stage at a time. */
export function* meaning({ standing, drafts, view, who }: Given): Stages<Meaning> {
  const course = courseOf(view);
  // What is being typed is in the hand of who is here.
  const typed = [...drafts.values()].map((draft) => ({ ...draft, by: who }));
  const { sheet, refused, stationKeys } = sheetFromEntries([...standing.values(), ...typed], view.studies);
  yield;
  const appraisal = yield* appraising(sheet, view, course.choices);
  yield;
  return {
    entered: { sheet, refused, stationKeys },
    appraisal,
    steps: stepStates(sheet, appraisal, course),
    stories: partStories(sheet, appraisal.verdicts, course),
  };
}

/** The same in one go. */
export const meaningOf = (given: Given): Meaning => atOnce(meaning(given));

/** What became of the job beside its readings. */
export function courseOf({ job, signOffs, choices }: Became): JobCourse {
  const signedOff = job.state !== 'open' && signOffs.length > 0;
  return {
    signedOff,
    choices: signedOff ? choices : null,
    handedOver: job.state === 'handed-over',
  };
}
