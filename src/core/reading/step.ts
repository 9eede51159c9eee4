/** What may be brought to the bench. */
export const BROUGHT = ['whole-saw', 'bar', 'chain', 'drive-sprocket', 'scrap'] as const;
type Brought = (typeof BROUGHT)[number];

/** Acts in working order that make up a step, and what must have been brought for them to be asked for. */
export interface Acts {
  readonly are: readonly string[];
  readonly askedBy: readonly Brought[];
}

/** What is told of a step; its name stands in the wording, its view in the folder of views. */
interface StepRow {
  /**
   * The key that leads to it: digits for the first ten that there were, so that nobody learns them anew, letters for
   * those that came later.
   */
  readonly key: string;
  /** It is looked into when somebody asks, and stands in nobody's way. */
  readonly aside?: true;
  readonly acts?: Acts;
  /** Its views, in the order of their tabs, where it has several; a reading is told which of them shows it. */
  readonly views?: readonly string[];
}

/** The steps of a job in working order. */
export const STEP_ROWS = {
  'take-in': { key: '1' },
  strip: {
    key: '2',
    acts: {
      are: ['power-off', 'gloves', 'brake-off', 'cover-off', 'tension-back', 'bar-off'],
      askedBy: ['whole-saw'],
    },
  },
  identify: { key: '3', views: ['marks', 'pitch', 'gauge', 'links', 'loop', 'evidence'] },
  clean: {
    key: '4',
    // A chain or a sprocket alone is wiped by hand.
    acts: {
      are: ['rake-groove', 'clear-oil-holes', 'wipe-resin', 'blow-out', 'light-under'],
      askedBy: ['whole-saw', 'bar'],
    },
  },
  bar: { key: '5', views: ['measure', 'look', 'crooked'] },
  chain: { key: '6', views: ['cutters', 'shape', 'push', 'under'] },
  sprocket: { key: '7' },
  why: { key: 'y', aside: true },
  decide: { key: '8' },
  rework: { key: '9', views: ['bar', 'chain', 'sprocket'] },
  order: { key: '0', aside: true },
  refit: { key: 'f' },
  prove: { key: 'p' },
  'hand-over': { key: 'h' },
} as const satisfies Record<string, StepRow>;

export type Step = keyof typeof STEP_ROWS;
export const STEPS = Object.keys(STEP_ROWS) as readonly Step[];

/** What is told of a step, whichever it is. */
export const stepRow = (step: Step): StepRow => STEP_ROWS[step];

type ViewedStep = { [S in Step]: (typeof STEP_ROWS)[S] extends { readonly views: unknown } ? S : never }[Step];
/** A view of a step, by its name. */
export type StepView<S extends ViewedStep = ViewedStep> = (typeof STEP_ROWS)[S]['views'][number];

/** Steps that are made up of acts to tick off. */
export type ActStep = { [S in Step]: (typeof STEP_ROWS)[S] extends { readonly acts: unknown } ? S : never }[Step];
export type ActOf<S extends ActStep> = (typeof STEP_ROWS)[S]['acts']['are'][number];
