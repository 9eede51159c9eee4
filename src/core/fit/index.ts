/** Rules between the parts of a set. */
export * from './rules';
