import { z } from 'zod';

/** What the simulated caliper can be told: as a hand would turn its wheel, press its button, or pull its plug. */
export const caliperCommandSchema = z.strictObject({
  /** Opening of the jaws, mm. */
  jaw: z.number().min(0).max(300).optional(),
  press: z.boolean().optional(),
  line: z.enum(['up', 'down']).optional(),
  /** Charge, percent. At 0 it is off. */
  battery: z.number().min(0).max(100).optional(),
});
export type CaliperCommand = z.infer<typeof caliperCommandSchema>;

/** What the caliper says on its stream: its display as it flickers, and each reading that its button sends. */
export interface CaliperMessage {
  readonly kind: 'live' | 'reading';
  readonly mm: number;
  readonly battery: number;
}
