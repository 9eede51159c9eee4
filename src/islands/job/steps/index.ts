import type { ComponentType } from 'react';
import { STEPS, type Step } from '../../../core/reading';
import { later, type Later } from '../later';

/** What a step's view is given. */
export interface StepProps {
  readonly onOpen: (step: Step) => void;
}
type StepView = ComponentType<StepProps>;

/** The instrument of each step, loaded when the step is opened. */
const LOADERS: Readonly<Record<Step, () => Promise<StepView>>> = {
  'take-in': () => import('./TakeIn').then(({ TakeIn }) => TakeIn),
  strip: () => import('./Strip').then(({ Strip }) => Strip),
  identify: () => import('../identify/Identify').then(({ Identify }) => Identify),
  clean: () => import('./Clean').then(({ Clean }) => Clean),
  bar: () => import('../bar/BarStep').then(({ BarStep }) => BarStep),
  chain: () => import('./ChainStep').then(({ ChainStep }) => ChainStep),
  sprocket: () => import('./SprocketStep').then(({ SprocketStep }) => SprocketStep),
  decide: () => import('./Decide').then(({ Decide }) => Decide),
  rework: () => import('../rework/Rework').then(({ Rework }) => Rework),
  order: () => import('./OrderSlip').then(({ OrderSlip }) => OrderSlip),
};

const VIEWS = Object.fromEntries(
  await Promise.all(Object.entries(LOADERS).map(async ([step, load]) => [step, await later(load)] as const)),
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
