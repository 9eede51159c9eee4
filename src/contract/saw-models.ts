import { z } from 'zod';
import { SPROCKET_KINDS } from '../core/declared';
import { COUNTS, punched, type NumberName } from '../core/saw-model';

/** Models that are taken in at once: one write for all, undone as one. */
export const MOST_LISTED_MODELS = 500;

const number = (name: NumberName, wrong: string) =>
  z
    .string()
    .trim()
    .max(40)
    .refine((text) => text === '' || punched(name, text) !== null, wrong)
    .transform((text) => (text === '' ? '' : punched(name, text)!));

const count = ({ from, to }: { readonly from: number; readonly to: number }, what: string) =>
  z.int().min(from, `${what}: ${from} to ${to}.`).max(to, `${what}: ${from} to ${to}.`).nullable();

/** What is usual for a model of saw with a bar of one length. */
export const sawModelSchema = z.strictObject({
  name: z.string().trim().min(1, 'Write what the model is called.').max(120),
  bar: z.string().trim().max(40),
  mount: z.string().trim().min(1).max(40).nullable(),
  pitch: number('pitch', 'Pitch: such as .325, 3/8 or 3/8LP.'),
  gauge: number('gauge', 'Gauge: such as .050 or 1.3.'),
  links: number('links', 'Links: a count, such as 72.'),
  sprocketKind: z.enum(SPROCKET_KINDS).nullable(),
  teeth: count(COUNTS.teeth, 'Teeth'),
  splines: count(COUNTS.splines, 'Splines'),
});

export const modelFactsSchema = sawModelSchema.extend({ retired: z.boolean() });
export type ModelFactsView = z.infer<typeof modelFactsSchema>;

/** A model, as lists show it. */
export interface ModelView {
  readonly id: string;
  readonly facts: ModelFactsView;
}

/** What was measured on saws of a name, as it may be entered for the model. */
export interface ModelOffer {
  /** Saws of that name with something measured. */
  readonly saws: number;
  readonly numbers: Pick<ModelFactsView, 'mount' | 'pitch' | 'gauge' | 'links' | 'sprocketKind' | 'teeth'>;
}
