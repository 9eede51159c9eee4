import {
  group,
  recorded,
  someOf,
  STEP_ROWS,
  STEPS,
  type ActOf,
  type ActStep,
  type GroupDeclaration,
  type ReadingDeclaration,
} from '../reading';

type ActsDone<S extends ActStep> = ReadingDeclaration<ActOf<S>[]>;

/** The acts of a step that were done, as its row names them. */
export const actsDone = <S extends ActStep>(step: S): ActsDone<S> =>
  someOf(STEP_ROWS[step].acts.are as readonly ActOf<S>[], { step, minutes: 0.2, idle: recorded });

/** Steps of acts in which something is read on the way: they are declared by themselves. */
const WITH_READINGS = ['strip'] as const satisfies readonly ActStep[];
type BareStep = Exclude<ActStep, (typeof WITH_READINGS)[number]>;
type ActReadings = { readonly [S in BareStep]: GroupDeclaration<{ readonly done: ActsDone<S> }, never> };

/** What can be said of the steps that are acts and nothing else. */
export const actReadings = Object.fromEntries(
  STEPS.filter((step) => 'acts' in STEP_ROWS[step] && !WITH_READINGS.some((other) => other === step)).map((step) => [
    step,
    group({ done: actsDone(step as ActStep) }, { step, minutes: 0.2 }),
  ]),
) as ActReadings;
