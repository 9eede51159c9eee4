/** Pitch families, gauges and the marks that name them. */
export * from './family';
export * from './pitch-mark';
