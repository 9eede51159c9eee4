import { STEPS, type Step } from '../../core/reading';

/**
 * The step that a job opens with.
 * @param asked as it stands in the address
 * @param next the step to go on with, where one is open
 */
export const firstStep = (asked: string, next: Step | null): Step =>
  STEPS.find((step) => step === asked) ?? next ?? 'decide';

/** What an address may ask of a job that is gone on with: the way to its next step, or the first field of its step. */
export type GoesOn = 'next' | 'field';

/** Whether the address says that somebody goes on with the job: then the caret is taken to what comes next. */
export function goesOn(): GoesOn | null {
  const asked = new URLSearchParams(window.location.search).get('go');
  return asked === 'next' || asked === 'field' ? asked : null;
}
