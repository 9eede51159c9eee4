import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import type { Step } from '../../../core/assess';

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

export const STEP_VIEWS = Object.fromEntries(
  Object.entries(LOADERS).map(([step, load]) => [step, lazy(async () => ({ default: await load() }))]),
) as Readonly<Record<Step, LazyExoticComponent<StepView>>>;

/** Fetches all steps ahead, so that going on does not wait; one that cannot be had now is fetched when it is opened. */
export function fetchStepsAhead(): void {
  for (const load of Object.values(LOADERS)) load().catch(() => undefined);
}
