import { z } from 'zod';
import { READINGS_FORMAT } from './readings-format';
import { INSTRUMENT_IDS } from '../core/quantity';

/** A reading as it is sent: made where it was typed, so that sending it twice stores it once. */
export const newReadingSchema = z.strictObject({
  id: z.uuid(),
  path: z.string().min(3).max(120),
  text: z.string().max(2000),
  unit: z.enum(['mm', 'in']),
  /** Older tablets said none where it was the usual one. */
  instrument: z.enum(INSTRUMENT_IDS).nullable().default(null),
  /** The reading that stood there when this one was typed. */
  supersedes: z.uuid().nullable(),
});
export type NewReadingMessage = z.infer<typeof newReadingSchema>;

export const putReadingsSchema = z.strictObject({
  by: z.string().min(1).max(80),
  /** Who typed them, where somebody else brings them in. */
  typedBy: z.string().max(80).optional(),
  format: z.int().min(1).default(READINGS_FORMAT),
  readings: z.array(newReadingSchema).min(1).max(200),
});
type ReadPutReadings = z.infer<typeof putReadingsSchema>;
/** Readings as they are sent: a sender that says no format writes this version's. */
export type PutReadings = Omit<ReadPutReadings, 'format'> & Partial<Pick<ReadPutReadings, 'format'>>;

/** A reading as it stands in the store. */
export const storedReadingSchema = z.object({
  seq: z.number(),
  id: z.string(),
  path: z.string(),
  text: z.string(),
  unit: z.enum(['mm', 'in']),
  instrument: z.enum(INSTRUMENT_IDS).nullable().optional(),
  at: z.string(),
  by: z.string(),
});
export type StoredReadingMessage = z.infer<typeof storedReadingSchema>;

/** What came of each reading, in the order sent. */
export const putReadingsReplySchema = z.object({
  results: z.array(
    z.discriminatedUnion('outcome', [
      z.object({ outcome: z.literal('stored'), id: z.string() }),
      z.object({ outcome: z.literal('conflict'), id: z.string(), current: storedReadingSchema }),
    ]),
  ),
  lastReading: z.number(),
});
export type PutReadingsReply = z.infer<typeof putReadingsReplySchema>;
