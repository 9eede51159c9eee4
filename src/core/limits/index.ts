/** Limits with where they come from. */
export * from './limits';
export * from './limits-file';
export * from './rates';
