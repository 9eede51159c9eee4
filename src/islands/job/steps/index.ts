import type { ComponentType } from 'react';
import { STEPS, type Step } from '../../../core/reading';
import { laterEach, viewsOf } from '../../frame/later';
import type { StepProps } from '../step-props';

type StepView = ComponentType<StepProps>;

/** The instrument of each step, loaded when the step is opened: the file of this folder that has its name. */
const VIEWS = laterEach(STEPS, import.meta.glob<{ readonly default: StepView }>('./*.tsx'));

/** The view of each step. */
export const STEP_VIEWS = viewsOf(VIEWS);

/** Fetches the view of one step, so that it is drawn as soon as it is shown. */
export const fetchStep = (step: Step): Promise<void> => VIEWS[step].fetch();

/** Fetches all steps ahead, so that going on does not wait; one that cannot be had now is fetched when it is opened. */
export function fetchStepsAhead(): void {
  for (const { fetch } of Object.values(VIEWS)) void fetch();
}
