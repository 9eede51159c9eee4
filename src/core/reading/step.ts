/** What is told of a step; its name stands in the wording, its view in the folder of views. */
interface StepRow {
  /**
   * The key that leads to it: digits for the first ten that there were, so that nobody learns them anew, letters for
   * those that came later.
   */
  readonly key: string;
  /** It is looked into when somebody asks, and stands in nobody's way. */
  readonly aside?: true;
  /** Acts in working order that make up the step, and what must have been brought for them to be asked for. */
  readonly acts?: { readonly are: readonly string[]; readonly askedBy: readonly string[] };
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
  identify: { key: '3' },
  clean: {
    key: '4',
    // A chain or a sprocket alone is wiped by hand.
    acts: {
      are: ['rake-groove', 'clear-oil-holes', 'wipe-resin', 'blow-out', 'light-under'],
      askedBy: ['whole-saw', 'bar'],
    },
  },
  bar: { key: '5' },
  chain: { key: '6' },
  sprocket: { key: '7' },
  why: { key: 'y', aside: true },
  decide: { key: '8' },
  rework: { key: '9' },
  order: { key: '0', aside: true },
  refit: { key: 'f' },
  prove: { key: 'p' },
  'hand-over': { key: 'h' },
} as const satisfies Record<string, StepRow>;

export type Step = keyof typeof STEP_ROWS;
export const STEPS = Object.keys(STEP_ROWS) as readonly Step[];

/** What is told of a step, whichever it is. */
export const stepRow = (step: Step): StepRow => STEP_ROWS[step];

/** Steps that are made up of acts to tick off. */
export type ActStep = { [S in Step]: (typeof STEP_ROWS)[S] extends { readonly acts: unknown } ? S : never }[Step];
export type ActOf<S extends ActStep> = (typeof STEP_ROWS)[S]['acts']['are'][number];
