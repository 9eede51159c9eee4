/** What people may say of customers, saws and pieces beyond the jobs. */
export const GEAR_CHANGES = [
  'customer-entered',
  'customer-mended',
  'saw-entered',
  'saw-mended',
  'saws-merged',
  'saws-listed',
  'model-entered',
  'model-mended',
  'models-listed',
  'piece-tagged',
  'piece-moved',
  'piece-told',
  'chains-in-turn',
  'chain-told',
  'undone',
] as const;
export type GearChange = (typeof GEAR_CHANGES)[number];
