/** Cutters and how they stand after a rework, their angles and depth gauges, values to begin with, and elongation. */
export * from './angles';
export * from './cutters';
export * from './depth-gauges';
export * from './elongation';
export * from './rework';
export * from './start-values';
