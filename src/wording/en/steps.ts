import type { ActOf, ActStep, Step } from '../../core/reading';

interface StepWords<S extends Step> {
  readonly name: string;
  /** A step of acts: what it is as one points at it, and each act as it is asked for. */
  readonly acts: S extends ActStep ? { readonly of: string; readonly say: Readonly<Record<ActOf<S>, string>> } : null;
}

/** The words of every step. */
const STEP_WORDS: { readonly [S in Step]: StepWords<S> } = {
  'take-in': { name: 'Take in', acts: null },
  strip: {
    name: 'Strip',
    acts: {
      of: 'stripping',
      say: {
        'power-off': 'Battery out, or spark lead off',
        gloves: 'Gloves on: a worn rail cuts like a knife',
        'brake-off': 'Chain brake off',
        'cover-off': 'Cover off',
        'tension-back': 'Tensioner back',
        'bar-off': 'Chain and bar off; note which edge was down',
      },
    },
  },
  identify: { name: 'Identify', acts: null },
  clean: {
    name: 'Clean',
    acts: {
      of: 'cleaning',
      say: {
        'rake-groove': 'Rake the groove: begin at the nose end and pull away from it',
        'clear-oil-holes': 'Clear both oil holes',
        'wipe-resin': 'Wipe off the resin',
        'blow-out': 'Blow out, away from the nose',
        'light-under': 'A light under the bar: the floor shows',
      },
    },
  },
  bar: { name: 'Bar', acts: null },
  chain: { name: 'Chain', acts: null },
  sprocket: { name: 'Sprocket', acts: null },
  why: { name: 'What ails it', acts: null },
  decide: { name: 'Decide', acts: null },
  rework: { name: 'Rework', acts: null },
  order: { name: 'Order slip', acts: null },
  refit: { name: 'Refit', acts: null },
  prove: { name: 'Prove', acts: null },
  'hand-over': { name: 'Hand over', acts: null },
};

const STEP_NAMES = Object.entries(STEP_WORDS) as readonly [Step, StepWords<Step>][];

/** The steps of a job. */
export const stepName = Object.fromEntries(STEP_NAMES.map(([step, { name }]) => [step, name])) as Readonly<
  Record<Step, string>
>;

/** Each step of acts as one points at it. */
export const ACT_STEPS = Object.fromEntries(
  STEP_NAMES.flatMap(([step, { acts }]) => (acts ? [[step, acts.of]] : [])),
) as Readonly<Record<ActStep, string>>;

/** The words of the readings that hold which acts were done. */
export const ACT_WORDS = Object.fromEntries(
  STEP_NAMES.flatMap(([step, { acts }]) =>
    acts ? [[`${step}.done`, { name: `acts of ${acts.of}`, words: acts.say }]] : [],
  ),
) as { readonly [S in ActStep as `${S}.done`]: { readonly name: string; readonly words: Record<ActOf<S>, string> } };
