import { STEPS, type Step } from '../../core/reading';

/**
 * The step that a job opens with.
 * @param asked as it stands in the address
 * @param next the step to go on with, where one is open
 */
export const firstStep = (asked: string, next: Step | null): Step =>
  STEPS.find((step) => step === asked) ?? next ?? 'decide';
