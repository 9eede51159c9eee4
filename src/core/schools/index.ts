/** Where practitioners disagree, and which school a shop follows. */
export * from './schools';
