/** Rules between parts. */
export * from './rules';
export * from './context';
export * from './as-planned';
export * from './near-misses';
