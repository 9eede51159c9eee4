import type { ComponentType } from 'react';
import { STEPS, type Part, type Step } from '../../../core/reading';
import type { Askable } from '../../../core/sheet';
import { laterEach, viewsOf } from '../../frame/later';

/** Goes to what is asked for; where along an edge, mm, for a place where no station is yet. */
export type Measuring = (asked: Askable, at?: number | null) => void;

/** What a step's view is given. */
export interface StepProps {
  readonly onOpen: (step: Step) => void;
  /** Goes to what the assessment asks for. */
  readonly onMeasure: Measuring;
  /** Says which part is in hand, where a step is about several: its verdict leads the tag. */
  readonly onPart: (part: Part) => void;
}
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
