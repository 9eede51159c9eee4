import { z } from 'zod';
import { shapeOf } from '../reading/schema';
import { sheetReadings, type BenchSheet, type WrittenBenchSheet } from './bench-sheet';

/** The bench sheet as a document from outside is held against it. */
export const benchSheetSchema = z.strictObject({
  format: z.literal('serrata-bench-sheet'),
  version: z.literal(1),
  ...shapeOf(sheetReadings),
}) as unknown as z.ZodType<BenchSheet, WrittenBenchSheet>;
