import { z } from 'zod';
import { CHOICES } from '../plan';
import { PARTS } from '../reading';
import { REFIT_ACTS } from '../declared';
import { ACTIONS, benchSheetSchema, OPERATIONS } from '../sheet';

/** A check as it was found: its figure in mm, %, degrees or a count. */
const foundSchema = z.strictObject({
  value: z.number().nullable(),
  unit: z.enum(['mm', '%', 'deg', 'count']).nullable(),
  limit: z.number().nullable(),
  outcome: z.enum(['ok', 'watch', 'fail', 'undecided', 'not-measured']),
  why: z.string(),
});

/**
 * The hand-over: what was found and done, what was condemned and why, the numbers for next time, and when that is.
 * Lengths in mm, figures unrounded.
 */
export const handOverSchema = z.strictObject({
  format: z.literal('serrata-handover'),
  version: z.literal(1),
  /** ISO date in the shop's zone. */
  on: z.iso.date(),
  /**
   * Short code of the last record in the shop's chain when it was written, as papers carry it. Older versions, and
   * documents that no shop gave, have none.
   */
  recordCode: z.string().optional(),
  by: z.string(),
  shop: z.string(),
  job: z.strictObject({
    reference: z.string(),
    customer: z.string(),
    saw: z.string().nullable(),
    complaint: z.string(),
  }),
  parts: z.array(
    z.strictObject({
      part: z.enum(PARTS),
      verdict: z.enum(ACTIONS),
      /** What was done with it; null while it is undecided. */
      choice: z.enum(CHOICES).nullable(),
      /** Why it was condemned; null where it was not. */
      condemned: z.array(z.string()).nullable(),
      /** Reasons of its verdict as it came, and as it stands. */
      found: z.array(z.string()),
      why: z.array(z.string()),
      done: z.array(z.enum(OPERATIONS)),
    }),
  ),
  /** Parts that went on new. */
  fitted: z.array(z.strictObject({ sku: z.string(), name: z.string() })),
  /**
   * What was agreed with the signed plan, in the smallest unit of the currency; null without a plan, or where a part of
   * it was not taken. Older versions did not write it.
   */
  price: z
    .strictObject({
      currency: z.string(),
      work: z.int(),
      parts: z.array(z.strictObject({ sku: z.string(), name: z.string(), amount: z.int() })),
      together: z.int(),
    })
    .nullable()
    .optional(),
  findings: z.array(
    z.strictObject({
      check: z.string(),
      name: z.string(),
      part: z.enum(PARTS),
      before: foundSchema.nullable(),
      after: foundSchema.nullable(),
    }),
  ),
  /** Three numbers order the next chain; null where one is not settled. */
  numbers: z.strictObject({
    pitch: z.string().nullable(),
    gauge: z.string().nullable(),
    driveLinks: z.int().nullable(),
  }),
  edgeDown: z.enum(['A', 'B']).nullable(),
  refit: z.strictObject({
    asked: z.array(z.enum(REFIT_ACTS)),
    done: z.array(z.enum(REFIT_ACTS)),
    tension: foundSchema.nullable(),
  }),
  proof: z.strictObject({
    state: z.enum(['not-needed', 'not-proved', 'passed', 'failed']),
    /** Drift of the test cut, to the right above 0. */
    cut: z.strictObject({ depth: z.number(), predicted: z.number().nullable(), measured: z.number() }).nullable(),
  }),
  advice: z.array(z.strictObject({ code: z.string(), says: z.string(), because: z.string() })),
  /** What was still open when it went, and why it went all the same; empty where nothing was. */
  open: z.array(z.string()),
  note: z.string(),
  cautions: z.array(z.string()),
  nextVisit: z.strictObject({ on: z.iso.date(), days: z.int(), why: z.string() }),
  /** The bench sheet that all this rests on. */
  sheet: benchSheetSchema,
});
export type HandOverDocument = z.input<typeof handOverSchema>;
