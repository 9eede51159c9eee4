/** Parts of a plan: taken from the shelf, put back, ordered, arrived. */
export * from './booking';
export * from './working-days';
