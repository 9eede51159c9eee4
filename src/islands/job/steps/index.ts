import { lazy, type ComponentType } from 'react';
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

/** The server has all of them at hand, so that a page arrives with its step drawn; the browser fetches what is opened. */
const viewOf = (load: () => Promise<StepView>) =>
  import.meta.env.SSR ? load() : Promise.resolve(lazy(async () => ({ default: await load() })));

export const STEP_VIEWS = Object.fromEntries(
  await Promise.all(Object.entries(LOADERS).map(async ([step, load]) => [step, await viewOf(load)] as const)),
) as Readonly<Record<Step, StepView>>;

/** Fetches all steps ahead, so that going on does not wait; one that cannot be had now is fetched when it is opened. */
export function fetchStepsAhead(): void {
  for (const load of Object.values(LOADERS)) load().catch(() => undefined);
}
