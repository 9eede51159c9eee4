import { appraise, type Appraisal, type Rules } from '../../../core/assess';
import type { SignedChoices } from '../../../core/refit';
import { stepStates, type JobCourse, type StepState } from '../../../core/workflow';
import { sheetFromEntries, type EnteredSheet } from '../../../core/sheet';
import type { Snapshot } from './job-store';

/** What the readings on this screen mean. */
export interface Meaning {
  readonly entered: Omit<EnteredSheet, 'written'>;
  readonly appraisal: Appraisal;
  readonly steps: readonly StepState[];
}

/** What became of a job, with what its signed plan does with each part; null where none was signed. */
export type SignedCourse = JobCourse & { readonly choices: SignedChoices | null };

/**
 * Reads what was typed, entered or not, as a sheet and assesses it.
 * @param who is at the bench
 */
export function meaningOf(
  { standing, drafts }: Pick<Snapshot, 'standing' | 'drafts'>,
  rules: Rules,
  course: SignedCourse,
  who: string,
): Meaning {
  // What is being typed is in the hand of who is here.
  const typed = [...drafts.values()].map((draft) => ({ ...draft, by: who }));
  const { sheet, refused, stationKeys } = sheetFromEntries([...standing.values(), ...typed], rules.studies);
  const appraisal = appraise(sheet, rules, course.choices);
  return { entered: { sheet, refused, stationKeys }, appraisal, steps: stepStates(sheet, appraisal, course) };
}
