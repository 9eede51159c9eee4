import type { z } from 'zod';
import { learnedCodeSchema, type LearnedCode } from '../../src/core/identify';

/** A code the shop has learned: what is not given, it does not say. */
export const learnedCode = (means: z.input<typeof learnedCodeSchema>): LearnedCode => learnedCodeSchema.parse(means);
