/** What is worth measuring next, what a measurement is worth, and the whole plan. */
export * from './asked';
export * from './gain';
export * from './order';
export * from './next';
export * from './plan';
