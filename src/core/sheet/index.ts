/** The bench sheet and assessment formats: one definition each, everything else inferred. */
export * from './bench-sheet';
export * from './schema';
export * from './actions';
export * from './nesting';
export * from './read-sheet';
export * from './places';
export * from './needs';
export * from './entry';
export * from './sheet-from-entries';
export * from './entries-from-sheet';
export * from './own-scatter';
export * from './idle';
