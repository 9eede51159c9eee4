import { z } from 'zod';
import type { GearChange } from '../core/life';
import { PARTS, type Part } from '../core/reading';
import { LONGEST_CUSTOMER, type SawName } from './names';
import { MOST_LISTED_MODELS, modelFactsSchema, sawModelSchema } from './saw-models';

/** What may be said of a saw itself. */
export const sawFactsSchema = z.strictObject({
  label: z.string().trim().min(1, 'Write what the saw is called.').max(120),
  tag: z.string().trim().max(40),
  mount: z.string().trim().max(40).nullable(),
  maxRpm: z.int().min(1000, 'A saw turns between 1000 and 30000 a minute.').max(30_000).nullable(),
  retired: z.boolean(),
});
export type SawFactsView = z.infer<typeof sawFactsSchema>;

/** What may be said of a customer. */
export const customerFactsSchema = z.strictObject({
  name: z.string().trim().min(1, 'Write the customer’s name.').max(LONGEST_CUSTOMER),
  contact: z.string().trim().max(200),
  retired: z.boolean(),
});
export type CustomerFactsView = z.infer<typeof customerFactsSchema>;

const id = z.string().min(1).max(200);

/** Chains that go in turn: two or three by custom, and one more. */
const MOST_IN_TURN = 4;

/** Something that is said of customers, saws and pieces beyond the jobs. */
export const gearActSchema = z.discriminatedUnion('say', [
  z.strictObject({ say: z.literal('customer-entered'), facts: customerFactsSchema }),
  z.strictObject({
    say: z.literal('customer-mended'),
    customerId: id,
    facts: customerFactsSchema,
    /** What stood where it was mended. */
    was: customerFactsSchema,
  }),
  z.strictObject({ say: z.literal('saw-entered'), customerId: id, facts: sawFactsSchema }),
  z.strictObject({ say: z.literal('saw-mended'), sawId: id, facts: sawFactsSchema, was: sawFactsSchema }),
  /** Two records of one saw: what the first has goes to the other. */
  z.strictObject({ say: z.literal('saws-merged'), sawId: id, into: id }),
  z.strictObject({ say: z.literal('piece-tagged'), piece: id, tag: z.string().trim().max(40) }),
  z.strictObject({ say: z.literal('piece-moved'), piece: id, to: id }),
  z.strictObject({ say: z.literal('model-entered'), facts: modelFactsSchema }),
  z.strictObject({ say: z.literal('model-mended'), modelId: id, facts: modelFactsSchema, was: modelFactsSchema }),
  z.strictObject({
    say: z.literal('models-listed'),
    /** The file's name. */
    name: z.string().trim().min(1).max(160),
    models: z.array(sawModelSchema).min(1).max(MOST_LISTED_MODELS),
  }),
  /** Whether a job found the piece of the job before. */
  z.strictObject({ say: z.literal('piece-told'), jobId: id, part: z.enum(PARTS), isSame: z.boolean() }),
  /** Chains that go in turn on a saw; none: the one that is on it goes alone. */
  z.strictObject({
    say: z.literal('chains-in-turn'),
    sawId: id,
    pieces: z.array(id).max(MOST_IN_TURN, `At most ${MOST_IN_TURN} chains go in turn: choose fewer.`),
  }),
  /** Which of the chains that go in turn a job found. */
  z.strictObject({ say: z.literal('chain-told'), jobId: id, piece: id }),
  z.strictObject({ say: z.literal('undone'), change: id }),
]);
export type GearAct = z.infer<typeof gearActSchema>;

export const changeGearSchema = z.strictObject({
  /** Given by who asks, so that a request which comes twice says it once. */
  id: z.uuid(),
  by: z.string().trim().min(1).max(80),
  act: gearActSchema,
});
export type ChangeGear = z.infer<typeof changeGearSchema>;

/** What it came to: the page to look at. */
export interface ChangedGear {
  readonly href: string;
}

/** Something that was said, as it is told. */
export interface GearSaidView {
  readonly id: string;
  readonly what: GearChange;
  readonly part: Part | null;
  /** The job whose piece is told of. */
  readonly job: { readonly id: string; readonly tag: string } | null;
  readonly saw: SawName | null;
  readonly other: SawName | null;
  readonly said: unknown;
  readonly before: unknown;
  readonly at: string;
  readonly by: string;
  readonly undone: { readonly at: string; readonly by: string } | null;
}
