/** What is worth measuring next, and what a measurement is worth. */
export * from './gain';
export * from './next';
