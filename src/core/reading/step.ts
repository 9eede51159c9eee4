/** The steps of a job in working order. */
export const STEPS = [
  'take-in',
  'strip',
  'identify',
  'clean',
  'bar',
  'chain',
  'sprocket',
  'why',
  'decide',
  'rework',
  'order',
  'refit',
  'prove',
  'hand-over',
] as const;
export type Step = (typeof STEPS)[number];
