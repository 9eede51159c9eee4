/** English. */
export * from './labels';
export * from './places';
export * from './quantity';
export * from './sheet-problem';
export * from './entry';
export * from './identity';
export * from './check';
export * from './judgements';
export * from './loop';
export * from './stock';
export * from './counter';
export * from './bar';
export { CHAIN_WORDS, READING_WORDS, TAKE_IN_WORDS } from './readings';
export * from './choices';
