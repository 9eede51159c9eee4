/** The nose. */
export * from './readings';
