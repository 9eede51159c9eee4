import { z } from 'zod';
import {
  boundedFrom,
  INSTRUMENT_IDS,
  parseReading,
  type LengthReading,
  type Mm,
  type ReadingProblem,
} from '../quantity';
import { fieldSpec, type SheetField } from './fields';

/** What a quantity issue carries so that the wording can make a sentence of it. */
export interface QuantityIssue {
  readonly field: SheetField;
  readonly problem: ReadingProblem;
}

const repeatsSchema = z.strictObject({
  /** One or more readings of the same place, as typed. */
  repeats: z.array(z.string()).min(1),
  instrument: z.enum(INSTRUMENT_IDS).optional(),
});

const boundsSchema = z.strictObject({
  /** The largest tab that enters, or the smallest slot that the link enters. */
  enters: z.string().optional(),
  /** The smallest tab that is refused, or the largest slot that refuses the link. */
  refuses: z.string().optional(),
});

/** A quantity as it is written in a sheet. */
export type WrittenQuantity = string | z.infer<typeof repeatsSchema> | z.infer<typeof boundsSchema>;

type ParseOutcome = ReturnType<typeof parseReading>;

function readRepeats(given: z.infer<typeof repeatsSchema>, field: SheetField): ParseOutcome {
  return parseReading(given.repeats.join(';'), fieldSpec(field), undefined, given.instrument);
}

function readBounds(given: z.infer<typeof boundsSchema>, field: SheetField): ParseOutcome {
  const spec = fieldSpec(field);
  const sides: { enters: Mm | null; refuses: Mm | null } = { enters: null, refuses: null };
  for (const side of ['enters', 'refuses'] as const) {
    const text = given[side];
    if (text === undefined) continue;
    const read = parseReading(text, spec);
    if (!read.ok) return read;
    if (read.value.kind === 'measured') sides[side] = read.value.repeats[0];
  }
  if (sides.enters === null && sides.refuses === null) return { ok: false, error: { code: 'empty' } };
  return boundedFrom(sides.enters, sides.refuses, spec);
}

/** Reads a written quantity of a field. */
export function readQuantity(written: WrittenQuantity, field: SheetField): ParseOutcome {
  if (typeof written === 'string') return parseReading(written, fieldSpec(field));
  return 'repeats' in written ? readRepeats(written, field) : readBounds(written, field);
}

/** Which field a quantity schema is for, told by its definition, which copies of the schema share. */
const fieldOfDefinition = new WeakMap<object, SheetField>();

/** The field of a quantity schema, or null for any other schema. */
export function quantityField(schema: z.core.$ZodType): SheetField | null {
  return fieldOfDefinition.get(schema._zod.def) ?? null;
}

/**
 * A length in a sheet: `"7.9 mm"`, `{ repeats, instrument }` or `{ enters, refuses }`, turned into a reading. Issues
 * carry a {@link QuantityIssue} in their params.
 */
export function quantity(field: SheetField): z.ZodType<LengthReading, WrittenQuantity> {
  const schema = z.union([z.string(), repeatsSchema, boundsSchema]).transform((written, context) => {
    const read = readQuantity(written as WrittenQuantity, field);
    if (read.ok) return read.value;
    const params: { quantity: QuantityIssue } = { quantity: { field, problem: read.error } };
    context.addIssue({ code: 'custom', message: read.error.code, params });
    return z.NEVER;
  });
  fieldOfDefinition.set(schema._zod.def, field);
  return schema;
}
