import type { ComponentType } from 'react';
import { STEPS, type Part, type Step } from '../../../core/reading';
import type { Askable } from '../../../core/sheet';
import { later, type Later } from '../../frame/later';

/** What a step's view is given. */
export interface StepProps {
  readonly onOpen: (step: Step) => void;
  /** Goes to what the assessment asks for. */
  readonly onMeasure: (asked: Askable) => void;
  /** Says which part is in hand, where a step is about several: its verdict leads the tag. */
  readonly onPart: (part: Part) => void;
}
type StepView = ComponentType<StepProps>;

/** The instrument of each step, loaded when the step is opened: the file of this folder that has its name. */
const FILES = import.meta.glob<{ readonly default: StepView }>('./*.tsx');
const loaderOf = (step: Step) => async (): Promise<StepView> => (await FILES[`./${step}.tsx`]!()).default;

const VIEWS = Object.fromEntries(
  await Promise.all(STEPS.map(async (step) => [step, await later(loaderOf(step))] as const)),
) as Readonly<Record<Step, Later<StepProps>>>;

/** The step that the page came with is there before the page comes alive: what is drawn answers at once. */
const drawn = import.meta.env.SSR ? undefined : document.querySelector<HTMLElement>('[data-step]')?.dataset.step;
await STEPS.filter((step) => step === drawn).map((step) => VIEWS[step].fetch())[0];

/** The view of each step. */
export const STEP_VIEWS = Object.fromEntries(Object.entries(VIEWS).map(([step, { View }]) => [step, View])) as Readonly<
  Record<Step, StepView>
>;

/** Fetches all steps ahead, so that going on does not wait; one that cannot be had now is fetched when it is opened. */
export function fetchStepsAhead(): void {
  for (const { fetch } of Object.values(VIEWS)) void fetch();
}
