/** Lean and clearance at a station, wear pattern, drift, and the dressing plan. */
export * from './figures';
export * from './dressing';
export * from './pattern';
export * from './turns';
export * from './drift';
export * from './wear-place';
