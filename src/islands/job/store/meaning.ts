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

/**
 * Reads what was typed, entered or not, as a sheet and assesses it, a stage at a time.
 * @param who is at the bench
 */
export function* meaning(
  { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>,
  rules: Rules,
  course: JobCourse,
  who: string,
): Stages<Meaning> {
  // What is being typed is in the hand of who is here.
  const typed = [...drafts.values()].map((draft) => ({ ...draft, by: who }));
  const { sheet, refused, stationKeys } = sheetFromEntries([...standing.values(), ...typed], rules.studies);
  yield;
  const appraisal = yield* appraising(sheet, rules, course.choices);
  yield;
  return {
    entered: { sheet, refused, stationKeys },
    appraisal,
    steps: stepStates(sheet, appraisal, course),
    stories: partStories(sheet, appraisal.verdicts, course),
  };
}

/** The same in one go. */
export const meaningOf = (...given: Parameters<typeof meaning>): Meaning => atOnce(meaning(...given));

/** What became of the job beside its readings. */
export function courseOf({ job, signOffs, choices }: Pick<JobView, 'job' | 'signOffs' | 'choices'>): JobCourse {
  const signedOff = job.state !== 'open' && signOffs.length > 0;
  return {
    signedOff,
    choices: signedOff ? choices : null,
    handedOver: job.state === 'handed-over',
  };
}
