/** Pitch families, gauges, and limits with where they come from. */
export * from './family';
export * from './pitch-mark';
export * from './limits';
export * from './limits-file';
export * from './schools';
