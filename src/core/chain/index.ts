/** Cutters and elongation. */
export * from './elongation';
export * from './cutters';
