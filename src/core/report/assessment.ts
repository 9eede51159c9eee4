import { z } from 'zod';
import { INSTRUMENT_IDS } from '../quantity';
import { PARTS, STEPS } from '../reading';
import { REFIT_ACTS, SPROCKET_KINDS } from '../declared';
import { SEQUENCES } from '../identify';
import { ACTIONS, OPERATIONS } from '../sheet';

const identified = <T extends z.ZodType>(value: T) =>
  z.strictObject({
    status: z.enum(['settled', 'open', 'conflict']),
    value: value.nullable(),
    candidates: z.array(z.strictObject({ value, weight: z.number().min(0).max(1) })),
    why: z.array(z.string()),
    /** The one observation that would settle it; null when it is settled. */
    settledBy: z.strictObject({ measure: z.string(), minutes: z.number(), gain: z.number() }).nullable(),
    /** A settled number that one mark alone says: the mark, and what would confirm it. */
    onMark: z
      .strictObject({
        why: z.string(),
        confirmedBy: z.strictObject({ measure: z.string(), minutes: z.number() }).nullable(),
      })
      .nullable(),
  });

const pitchSchema = identified(z.string());
const gaugeSchema = identified(z.string());
const linksSchema = identified(z.number());

/** Where on a bar a check was made. */
export const placeSchema = z.strictObject({
  edge: z.enum(['A', 'B']),
  station: z.int().min(0).optional(),
  rail: z.enum(['near', 'far']).optional(),
});

export const checkSchema = z.strictObject({
  id: z.string(),
  part: z.enum(PARTS),
  at: placeSchema.nullable(),
  value: z.number().nullable(),
  unit: z.enum(['mm', '%', 'deg', 'count']).nullable(),
  limit: z.number().nullable(),
  /** Where the warning band begins. */
  watch: z.number().nullable(),
  kind: z.enum(['min', 'max', 'observation']),
  probability: z.number().min(0).max(1).nullable(),
  /** Standard uncertainty of the value, in its unit. */
  uncertainty: z.number().nullable(),
  /** Where one go/no-go mark alone is known: the value is a bound, from below or from above. */
  bound: z.enum(['at-least', 'at-most']).nullable(),
  outcome: z.enum(['ok', 'watch', 'fail', 'undecided', 'not-measured']),
  provenance: z.enum(['published', 'practice', 'memory', 'derived', 'shop', 'invented']),
  /** Where the limit stands, when somebody has named it. */
  source: z.string().nullable(),
  /** True when failing it condemns the part, false when it only calls for work. */
  condemns: z.boolean(),
  why: z.string(),
});

const stationResultSchema = z.strictObject({
  /** Its row, counted from 1 at the tail. */
  row: z.int().min(1),
  at: z.number(),
  step: z.number().nullable(),
  rawLean: z.number().nullable(),
  rock: z.number().nullable(),
  setLean: z.number().nullable(),
  play: z.number().nullable(),
  floorClearance: z.number().nullable(),
  /** The same figures after the rework, where it was measured again. */
  after: z
    .strictObject({
      depth: z.number().nullable(),
      step: z.number().nullable(),
      play: z.number().nullable(),
      floorClearance: z.number().nullable(),
    })
    .nullable(),
});

const dressingSchema = z.strictObject({
  feasible: z.boolean(),
  advised: z.boolean(),
  target: z.array(z.number().nullable()),
  removeNear: z.array(z.number().nullable()),
  removeFar: z.array(z.number().nullable()),
  mouthAfter: z.array(z.number().nullable()),
  weakestDepthAfter: z.number().nullable(),
  dressingsLeft: z.number().nullable(),
  coarseFirst: z.boolean(),
  /** Taken off everywhere beside levelling, so that a flared mouth rocks no more than the limit. */
  deeper: z.number(),
  /** Dips that could be left, with what that would save the rest of the edge. */
  exceptions: z.array(z.strictObject({ station: z.int(), saves: z.number() })),
  passes: z.strictObject({ near: z.int(), far: z.int() }),
  minutes: z.number(),
  stoppedBy: z.strictObject({ station: z.int(), limit: z.string() }).nullable(),
});

const verdictSchema = z.strictObject({
  action: z.enum(ACTIONS),
  operations: z.array(z.enum(OPERATIONS)),
  /** The deciding reason first. */
  why: z.array(z.string()),
  /** Id of the check that decided, if one did. */
  decidedBy: z.string().nullable(),
  /**
   * Chance that the verdict shown is wrong (of an undecided one, that the likeliest is); null while readings are
   * missing that it waits for.
   */
  doubt: z.number().min(0).max(1).nullable(),
  /**
   * Hand tests and findings that speak against the verdict shown; and the place that is asked again for the first of
   * them.
   */
  against: z.array(z.string()),
  asked: z.string().nullable(),
});

const partDoubtSchema = z.strictObject({
  keep: z.number(),
  clean: z.number(),
  recondition: z.number(),
  replace: z.number(),
  wrong: z.number(),
  /** Readings by how much knowing what they rest on would take off the chance of a wrong verdict. */
  movedBy: z.array(z.strictObject({ measure: z.string(), at: z.number().nullable(), share: z.number() })),
  /**
   * What another reading would take off the chance of a wrong verdict, the most for its minutes first; empty where
   * another reading changes nothing.
   */
  next: z.array(
    z.strictObject({
      measure: z.string(),
      /** The tool it is made with; null where it is looked at. */
      instrument: z.enum(INSTRUMENT_IDS).nullable(),
      /** Where along the edge, mm, for a place where no station is yet. */
      at: z.number().nullable(),
      drop: z.number(),
      minutes: z.number(),
    }),
  ),
});

const loopResultSchema = z.strictObject({
  /** Where the counted loop puts the tensioner, mm from fully back, at its present pitch. */
  tension: z
    .strictObject({
      state: z.enum(['will-not-go-on', 'in-travel', 'will-not-take-up']),
      close: z.boolean(),
      links: z.int(),
      pitch: z.number(),
      pitchFrom: z.enum(['span', 'push-pull', 'nominal']),
      centres: z.number(),
      used: z.number(),
      left: z.number(),
      travel: z.number(),
      why: z.string(),
    })
    .nullable(),
  linksInTravel: z.array(z.int()).nullable(),
  /** Metres a second at the saw's top speed. */
  chainSpeed: z.number().nullable(),
  lengths: z.strictObject({
    effective: z.number().nullable(),
    listedAs: z.array(z.strictObject({ inches: z.number(), custom: z.enum(['up', 'down', 'odd']) })),
    said: z.number().nullable(),
    agrees: z.boolean().nullable(),
    reach: z.number().nullable(),
  }),
  plausible: z.strictObject({ links: z.number(), usual: z.number(), plausible: z.boolean() }).nullable(),
});

/** What is believed of the rails at one place from all readings together, and its standard uncertainty. */
const believedSchema = z.strictObject({ at: z.number(), near: z.number(), far: z.number(), u: z.number() });

const edgeResultSchema = z.strictObject({
  stations: z.array(stationResultSchema),
  /** Along the edge, at the stations and between them; empty where no depth was measured. */
  believed: z.array(believedSchema),
  /** Chance that the rails stand out of level by more than bar.step over a length that matters. */
  stepChance: z.number().min(0).max(1).nullable(),
  /**
   * Whether the rails are to be dressed, and whether level tests alone say so: then by how much nobody has measured.
   */
  called: z.boolean(),
  byHand: z.boolean(),
  dressing: dressingSchema.nullable(),
});

/** The assessment: what the sheet means, with reasons. Lengths in mm, angles in degrees, figures unrounded. */
export const assessmentSchema = z.strictObject({
  format: z.literal('serrata-assessment'),
  version: z.literal(1),
  identity: z.strictObject({
    chain: z.strictObject({ pitch: pitchSchema, gauge: gaugeSchema, driveLinks: linksSchema }),
    bar: z.strictObject({ pitch: pitchSchema, gauge: gaugeSchema, driveLinks: linksSchema }),
    driveSprocket: z.strictObject({ pitch: pitchSchema }),
    nose: z.strictObject({ pitch: pitchSchema }),
    /** Traps recognised across parts and readings. */
    findings: z.array(z.strictObject({ code: z.string(), why: z.string() })),
    /** Every reading that speaks of the three numbers, set aside or not. */
    evidence: z.array(
      z.strictObject({ id: z.string(), part: z.string(), setAside: z.boolean(), says: z.array(z.string()) }),
    ),
  }),
  checks: z.array(checkSchema),
  bar: z.strictObject({
    edges: z.strictObject({ A: edgeResultSchema, B: edgeResultSchema }),
    wearPattern: z.string().nullable(),
    wearPlace: z.string().nullable(),
    measuredAgain: z.boolean(),
    /** What makes it cut crooked, each cause with how it stands. */
    crooked: z.array(
      z.strictObject({
        cause: z.enum(['lean', 'play', 'cutters']),
        state: z.enum(['found', 'sound', 'not-measured']),
        value: z.number().nullable(),
        limit: z.number().nullable(),
        toward: z.enum(['left', 'right']).nullable(),
        /** How far it draws the cut over 300 mm of depth, mm; null where it has no side. */
        pull: z.number().nullable(),
        weight: z.number(),
        aggravates: z.boolean(),
        why: z.string(),
      }),
    ),
    /**
     * The drift that all of it comes to, mm over 300 of depth, to the right above 0, with its standard uncertainty; and
     * how likely the cut is told to run to each side.
     */
    drift: z.strictObject({
      mean: z.number(),
      u: z.number(),
      odds: z.strictObject({ left: z.number(), straight: z.number(), right: z.number() }),
    }),
    edgeDownNext: z.enum(['A', 'B']).nullable(),
    playLimit: z.number(),
    straightEdgePredicted: z.enum(['gap-stays', 'gap-closes', 'passes-beyond']).nullable(),
  }),
  loop: loopResultSchema,
  chain: z.strictObject({
    /** Percent that counts: by push and pull, over the baseline where there is one. */
    elongation: z.number().nullable(),
    /** Percent by the pulled length of a joint against a new one's, where that was measured. */
    elongationBySpan: z.number().nullable(),
    /** Percent by push and pull when it was new. */
    baseline: z.number().nullable(),
    playPerJoint: z.number().nullable(),
    /** Travel of the tensioner that the play costs. */
    adjusterTravel: z.number().nullable(),
    lengthAfterCorrection: z.number().nullable(),
    filingsLeft: z.number().nullable(),
    /** Running hours until the mark at the shop's rate. */
    hoursLeft: z.number().nullable(),
    /** Mean length of the left cutters less that of the right. */
    imbalance: z.number().nullable(),
    /**
     * The depth gauge furthest from its setting; the least height once all cutters were filed back; strokes of the flat
     * file that it then needs.
     */
    depthGauge: z
      .strictObject({
        worst: z.number(),
        setting: z.number(),
        afterCorrection: z.number().nullable(),
        strokes: z.int(),
        /** Chance that none stands too high, and that none stands too low: one question of all of them each. */
        noneTooHigh: z.number().min(0).max(1),
        noneTooLow: z.number().min(0).max(1),
        /** Gauges to file, each with its strokes; one that is too low is never among them. */
        filed: z.array(z.strictObject({ side: z.enum(['left', 'right']), cutter: z.int(), strokes: z.int() })),
      })
      .nullable(),
    /** Values to file it by, degrees; the file is null where none is used or the family is not known. */
    start: z.strictObject({
      filing: z.enum(['round', 'square', 'ground']),
      file: z.number().nullable(),
      topPlate: z.number(),
      sidePlate: z.number(),
      tilt: z.number(),
    }),
    sequenceAgrees: z.boolean().nullable(),
    /** The order of the cutters by the two counts; null where one of them is missing. */
    sequence: z.strictObject({
      cutters: z.int().nullable(),
      driveLinks: z.int().nullable(),
      says: z.enum(['full', 'semi-skip', 'full-skip', 'irregular']).nullable(),
      agrees: z.boolean().nullable(),
    }),
  }),
  verdicts: z.strictObject({
    bar: verdictSchema,
    chain: verdictSchema,
    driveSprocket: verdictSchema,
    nose: verdictSchema,
  }),
  fit: z.array(z.strictObject({ rule: z.string(), holds: z.boolean().nullable(), why: z.string() })),
  order: z
    .strictObject({
      chain: z.strictObject({
        pitch: z.string(),
        gauge: z.string(),
        driveLinks: z.number(),
        kickbackClass: z.enum(['low-kickback', 'standard']).nullable(),
        /** Order of the cutters; null where they were neither counted nor named. */
        sequence: z.enum(SEQUENCES).nullable(),
      }),
      /** The drive sprocket that goes on with the chain, because the one that came is past its limit. */
      driveSprocket: z
        .strictObject({
          pitch: z.string(),
          teeth: z.int().nullable(),
          type: z.enum(SPROCKET_KINDS).nullable(),
          splines: z.int().nullable(),
        })
        .optional(),
    })
    .optional(),
  /** Why there is no order yet; absent when there is one. */
  orderWithheld: z.array(z.string()).optional(),
  next: z.array(
    z.strictObject({
      measure: z.string(),
      /** Where along the edge, mm, for a place where no station is yet. */
      at: z.number().nullable(),
      gain: z.number(),
      minutes: z.number(),
      why: z.string(),
    }),
  ),
  /**
   * Each symptom of the complaint with its causes, the heaviest first; their shares and that of the unexplained sum to
   * 1.
   */
  symptoms: z.array(
    z.strictObject({
      symptom: z.string(),
      causes: z.array(
        z.strictObject({
          cause: z.string(),
          share: z.number().min(0).max(1),
          /** Chance that it is present, and that it is at work in the complaint: they overlap, and add to no whole. */
          present: z.number().min(0).max(1),
          acting: z.number().min(0).max(1),
          /** Causes present beside it that make it bring the complaint about more often. */
          aggravatedBy: z.array(z.string()),
          /** Why the symptom may come of it. */
          because: z.string(),
          for: z.array(z.string()),
          against: z.array(z.string()),
        }),
      ),
      /** Chance that nothing found explains it, and its share. */
      unexplained: z.number().min(0).max(1),
      unexplainedShare: z.number().min(0).max(1),
      /** What nobody has looked at yet, and how long that takes. */
      notLookedAt: z.strictObject({ measures: z.array(z.string()), minutes: z.number() }),
      /**
       * Of a crooked cut: whether what was found comes to enough to explain it; null of any other complaint, or while
       * nothing was found.
       */
      enough: z.boolean().nullable(),
      /** What to look at next for it; null where nothing would change what is named first. */
      next: z.string().nullable(),
      /** How the other school ranks the causes, where the schools differ. */
      otherSchool: z
        .strictObject({
          school: z.string(),
          causes: z.array(z.strictObject({ cause: z.string(), share: z.number() })),
        })
        .nullable(),
    }),
  ),
  /**
   * Acts of putting the parts back on that apply, with those renewed that are condemned; empty where no whole saw came.
   */
  refit: z.strictObject({ acts: z.array(z.enum(REFIT_ACTS)) }),
  /** How the saw was proved, and what a failure leads back to. */
  proof: z.strictObject({
    state: z.enum(['not-needed', 'not-proved', 'passed', 'failed']),
    missing: z.array(z.string()),
    /** Drift of the test cut, to the right above 0; foreseen by the plain model. */
    cut: z.strictObject({ depth: z.number(), predicted: z.number().nullable(), measured: z.number() }).nullable(),
    failed: z.array(
      z.strictObject({
        check: z.string(),
        symptom: z.string(),
        cause: z.string(),
        share: z.number().min(0).max(1),
        /** Share of nothing that was found explaining it; above `share` that leads. */
        unexplainedShare: z.number().min(0).max(1),
        /**
         * The step to go back to, and the reading that tells the cause from the next; null where it is as good as
         * found.
         */
        step: z.enum(STEPS),
        next: z.string().nullable(),
        why: z.string(),
      }),
    ),
  }),
  /** What to tell the customer, with what it follows from. */
  advice: z.array(z.strictObject({ code: z.string(), says: z.string(), because: z.string() })),
  /** The shortest list of readings that can decide the job, in the order to take them. */
  plan: z.array(
    z.strictObject({ measure: z.string(), at: z.number().nullable(), minutes: z.number(), why: z.string() }),
  ),
  minutesInAll: z.number(),
  /**
   * Readings that stand on the sheet and may move nothing, each with the reason: what is not named here moves the
   * assessment when it is taken off.
   */
  idle: z.array(z.strictObject({ measure: z.string(), why: z.string() })),
  /** Shares of verdicts by draws, when draws were asked for; a part that waits for readings has none. */
  doubt: z
    .strictObject({
      draws: z.int(),
      seed: z.int(),
      parts: z.partialRecord(z.enum(PARTS), partDoubtSchema),
    })
    .optional(),
  /** Parts in stock against the order, when a stock list was given. */
  stock: z.array(z.strictObject({ sku: z.string(), fits: z.boolean(), why: z.array(z.string()) })).optional(),
});

export type Assessment = z.infer<typeof assessmentSchema>;
