import { z } from 'zod';
import { CHOICES, PLAN_NAMES } from '../plan';
import { PARTS } from '../reading';

const rateSchema = z.strictObject({
  /** Smallest units of the currency an hour. */
  value: z.number(),
  /** The 80 % band that the doubt of the lives leaves it. */
  low: z.number(),
  high: z.number(),
});

/** Repair plans as a document: what `serrata plan` prints. Money in the smallest unit of the currency. */
export const plansSchema = z.strictObject({
  format: z.literal('serrata-plans'),
  version: z.literal(1),
  /**
   * Plans that nothing beats in both today's cost and the cost of an hour, and the named ones; the cheapest today
   * first.
   */
  plans: z.array(
    z.strictObject({
      /** What is done with each part that is there. */
      parts: z.partialRecord(z.enum(PARTS), z.enum(CHOICES)),
      /** New parts that go on. */
      skus: z.array(z.string()),
      costToday: z.int(),
      minutes: z.number(),
      /** Running hours until the first of its parts is due, and which one. */
      hoursToNext: z.number(),
      dueFirst: z.enum(PARTS).nullable(),
      /** Running hours that each part has before it. */
      hoursLeft: z.partialRecord(z.enum(PARTS), z.number()),
      costPerHour: rateSchema,
      named: z.array(z.enum(PLAN_NAMES)),
      /** Whether its cost an hour is not to be told apart from the least. */
      alike: z.boolean(),
      why: z.array(z.string()),
    }),
  ),
  /** Possible plans that another one beats. */
  dominated: z.int().min(0),
  /** Combinations that a rule makes impossible, by the first rule they break. */
  ruledOut: z.record(z.string(), z.int()),
});
export type PlansDocument = z.infer<typeof plansSchema>;
