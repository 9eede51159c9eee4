/** The bench sheet and assessment formats: one definition each, everything else inferred. */
export * from './fields';
export * from './quantity-schema';
export * from './bench-sheet';
export * from './assessment';
export * from './read-sheet';
