/** What the readings of a bar mean: its assessment, its checks, and the work on it. */
export * from './edge';
export * from './crooked';
export * from './service';
export * from './bar';
export * from './rework-figures';
export { isCalledByHand, metalUnknown } from './level';
