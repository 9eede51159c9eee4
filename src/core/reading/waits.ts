/** What a job on the bench waits for, in the order of the work. */
export const WAITS = [
  'to-measure',
  'too-close',
  'to-decide',
  'waiting-for-parts',
  'at-the-vise',
  'to-prove',
  'ready',
] as const;
export type Waits = (typeof WAITS)[number];
