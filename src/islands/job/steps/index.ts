import type { ComponentType } from 'react';
import { STEPS } from '../../../core/reading';
import { laterEach, viewsOf } from '../../frame/later';
import type { StepProps } from '../step-props';

type StepView = ComponentType<StepProps>;

/** The instrument of each step, loaded when the step is opened: the file of this folder that has its name. */
const VIEWS = laterEach(STEPS, import.meta.glob<{ readonly default: StepView }>('./*.tsx'));

/** The step that the page opens with is there before the page comes alive, and drawn as it does. */
const drawn = import.meta.env.SSR ? undefined : document.querySelector<HTMLElement>('[data-step]')?.dataset.step;
await STEPS.filter((step) => step === drawn).map((step) => VIEWS[step].fetch())[0];

/** The view of each step. */
export const STEP_VIEWS = viewsOf(VIEWS);

/** Fetches all steps ahead, so that going on does not wait; one that cannot be had now is fetched when it is opened. */
export function fetchStepsAhead(): void {
  for (const { fetch } of Object.values(VIEWS)) void fetch();
}
