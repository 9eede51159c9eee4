/** The fact that a shop was begun here: no demo is loaded into it any more. */
export const BEGUN_FACT = 'setUp';

/** The fact that says that everything in the store is invented. */
export const DEMO_FACT = 'demo';
