import { z } from 'zod';
import { ok } from '../result';
import {
  boundedFrom,
  INSTRUMENT_IDS,
  parseReading,
  type FieldSpec,
  type LengthReading,
  type Mm,
  type ReadingProblem,
} from '../quantity';

/** What an issue of a length carries so that the wording can make a sentence of it. */
export interface LengthIssue {
  readonly problem: ReadingProblem;
}

const repeatsSchema = z.strictObject({
  /** One or more readings of the same place, as typed. */
  repeats: z.array(z.string()).min(1),
  instrument: z.enum(INSTRUMENT_IDS).optional(),
  /** Whose hand, where a study of it stands on the sheet. */
  by: z.string().min(1).max(80).optional(),
});

const boundsSchema = z.strictObject({
  /** The largest tab that enters, or the smallest slot that the link enters. */
  enters: z.string().optional(),
  /** The smallest tab that is refused, or the largest slot that refuses the link. */
  refuses: z.string().optional(),
});

/** A length as it is written in a sheet. */
export type WrittenLength = string | z.infer<typeof repeatsSchema> | z.infer<typeof boundsSchema>;

type ParseOutcome = ReturnType<typeof parseReading>;

function readRepeats({ repeats, instrument, by }: z.infer<typeof repeatsSchema>, spec: FieldSpec): ParseOutcome {
  const read = parseReading(repeats.join(';'), spec, undefined, instrument);
  return read.ok && by !== undefined && read.value.kind === 'measured' ? ok({ ...read.value, by }) : read;
}

function readBounds(given: z.infer<typeof boundsSchema>, spec: FieldSpec): ParseOutcome {
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

/** Reads a written length. */
function readWritten(written: WrittenLength, spec: FieldSpec): ParseOutcome {
  if (typeof written === 'string') return parseReading(written, spec);
  return 'repeats' in written ? readRepeats(written, spec) : readBounds(written, spec);
}

/**
 * A length in a sheet: `"7.9 mm"`, `{ repeats, instrument }` or `{ enters, refuses }`, turned into a reading. Issues
 * carry a {@link LengthIssue} in their params.
 */
export function lengthSchema(spec: FieldSpec): z.ZodType<LengthReading, WrittenLength> {
  return z.union([z.string(), repeatsSchema, boundsSchema]).transform((written, context) => {
    const read = readWritten(written as WrittenLength, spec);
    if (read.ok) return read.value;
    const params: { length: LengthIssue } = { length: { problem: read.error } };
    context.addIssue({ code: 'custom', message: read.error.code, params });
    return z.NEVER;
  });
}
