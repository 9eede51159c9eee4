import { z } from 'zod';
import { studySchema } from '../hand/schema';
import { shapeOf } from '../reading/schema';
import { sheetReadings, type BenchSheet, type WrittenBenchSheet } from './bench-sheet';

/** Studies that one sheet has room for. */
const MOST_STUDIES = 50;

/** The bench sheet as a document from outside is held against it. */
export const benchSheetSchema = z.strictObject({
  format: z.literal('serrata-bench-sheet'),
  version: z.literal(1),
  studies: z
    .array(studySchema)
    .max(MOST_STUDIES)
    .optional()
    .describe(
      'Studies of the hands that measured, with their tools: readings that name the same `by` carry its figures.',
    ),
  ...shapeOf(sheetReadings),
}) as unknown as z.ZodType<BenchSheet, WrittenBenchSheet>;
