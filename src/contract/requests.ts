import { z } from 'zod';
import { SCHOOL_IDS } from '../core/schools';
import { chosenPlanSchema } from './plans';
import { learnedCodeSchema } from '../core/identify';
import { counterEntrySchema } from './counter';
import { LONGEST_CUSTOMER } from './names';

const who = z.string().min(1).max(80);

/** A new job: an existing customer or a new name, an existing saw, a new one, or none. */
export const createJobSchema = z.strictObject({
  /** Given by who asks, so that a request which comes twice takes in one job. */
  id: z.uuid().optional(),
  by: who,
  customer: z.union([
    z.strictObject({ id: z.string() }),
    z.strictObject({ name: z.string().trim().min(1, 'A job needs a customer.').max(LONGEST_CUSTOMER) }),
  ]),
  saw: z
    .union([
      z.strictObject({ id: z.string() }),
      z.strictObject({ label: z.string().trim().min(1).max(120), mount: z.string().trim().max(40).nullable() }),
    ])
    .nullable(),
  complaint: z.string().max(2000),
  promisedFor: z.iso.date().nullable(),
  /** A bench sheet to start from, as imported; or a hand-over, which brings its own. */
  sheet: z.unknown().optional(),
  /** What the counter learned, as first readings. */
  entries: z.array(counterEntrySchema).max(60).optional(),
});
export type CreateJob = z.infer<typeof createJobSchema>;

/** Sign-off of the verdicts as they stand after a given reading, by the rules that they were looked at with. */
export const signOffSchema = z.strictObject({
  by: who,
  upToReading: z.int().min(0),
  /** What the job's view called its rules: limits, codes, schools and studies. */
  rules: z.string().min(1).max(80),
  /** The repair plan that was chosen; null where none was. */
  plan: chosenPlanSchema.nullable().optional(),
});
export type SignOff = z.infer<typeof signOffSchema>;

export const changeLimitSchema = z.strictObject({
  by: who,
  /** As typed, in the limit's unit; null puts the default back. */
  value: z.string().max(40).nullable(),
  /** Named when the figure is a maker's. */
  source: z.string().trim().max(200).nullable(),
  /** The figure it was based on: where another stands by now, nothing is changed. */
  was: z.number().optional(),
});
export type ChangeLimit = z.infer<typeof changeLimitSchema>;

export const chooseSchoolSchema = z.strictObject({
  by: who.optional(),
  school: z.enum(SCHOOL_IDS),
  answer: z.string().max(40),
  /** The answer that stood when it was chosen. */
  was: z.string().max(40).optional(),
});
export type ChooseSchool = z.infer<typeof chooseSchoolSchema>;

export const putCodeSchema = z.strictObject({
  by: who,
  code: learnedCodeSchema,
  /** What the code was known to stand for when this was written; null when it was not known. */
  was: learnedCodeSchema.nullable().optional(),
});
export type PutCode = z.infer<typeof putCodeSchema>;

export const forgetCodeSchema = z.strictObject({ by: who.optional(), code: z.string().min(1).max(20) });
export type ForgetCode = z.infer<typeof forgetCodeSchema>;

/** A request that needs nothing but a name. */
export const bySchema = z.strictObject({ by: who });

/** Errors carry a code and a sentence, never a stack. */
export interface ErrorReply {
  readonly code: string;
  readonly message: string;
  readonly problems?: readonly string[];
  /** Names the request in the server's own log, where the fault is ours. */
  readonly request?: string;
}
