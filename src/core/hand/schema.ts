import { z } from 'zod';
import { INSTRUMENT_IDS, parseLength, type Mm } from '../quantity';
import type { Study } from './study';
import type { WrittenStudy } from './written';

/** Takes that one study has room for. */
export const MOST_TAKES = 100;
const LONGEST_NAME = 80;

/** A length of any size, as typed. */
const size = z.string().transform((text, context): Mm => {
  const read = parseLength(text, 'block');
  if (read.ok) return read.value.length;
  context.addIssue({ code: 'custom', message: 'a length with its unit, for instance "8.02 mm"', input: text });
  return z.NEVER;
});

/** A study as it is written in a bench sheet. */
export const studySchema: z.ZodType<Study, WrittenStudy> = z
  .strictObject({
    /** Whose hand. Readings that say the same `by` and were made with this instrument carry its figures. */
    by: z.string().min(1).max(LONGEST_NAME),
    instrument: z.enum(INSTRUMENT_IDS),
    /** The day of the study. */
    on: z.iso.date(),
    /** One place measured again and again, or a block. */
    takes: z.array(size).min(1).max(MOST_TAKES),
    /** The size of the block; left out where a place of unknown size was measured. */
    known: size.optional(),
    /** Standard uncertainty of the block's size. */
    knownDoubt: size.optional(),
  })
  .transform(({ known, knownDoubt, ...study }): Study => ({
    ...study,
    known: known === undefined ? null : { value: known, u: knownDoubt ?? 0 },
  }));
