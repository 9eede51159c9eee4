import { z } from 'zod';
import { LIMIT_IDS, type LimitOverride, type Limits } from './limits';

const limitOverrideSchema = z.strictObject({
  value: z.union([z.number(), z.string()]),
  unit: z.string().optional(),
  role: z.string().optional(),
  provenance: z.enum(['published', 'practice', 'memory', 'derived', 'shop', 'invented']).optional(),
  source: z.string().min(1).optional(),
}) satisfies z.ZodType<LimitOverride>;

/** Changes alone, as `--limits` takes them too. */
export const limitOverridesSchema = z.record(z.string(), z.union([z.number(), z.string(), limitOverrideSchema]));

/** A file of limits: what `serrata limits` prints and `--limits` reads. */
export const limitsFileSchema = z.strictObject({
  format: z.literal('serrata-limits'),
  version: z.literal(1),
  /** Changes by limit id; what is not named keeps its default. */
  limits: limitOverridesSchema,
});
export type LimitsFile = z.infer<typeof limitsFileSchema>;

/** A set of limits as a file, complete. */
export function limitsFile(limits: Limits): LimitsFile {
  return {
    format: 'serrata-limits',
    version: 1,
    limits: Object.fromEntries(LIMIT_IDS.map((id) => [id, limits[id]])),
  };
}
