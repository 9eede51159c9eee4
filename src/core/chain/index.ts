/** Cutters and elongation. */
export * from './readings';
export * from './elongation';
export * from './cutters';
