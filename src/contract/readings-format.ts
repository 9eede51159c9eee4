/**
 * How waiting readings are written by this version. A tablet may bring in what an older version kept: that is read as it
 * was written then, and was written without a number until this one.
 */
export const READINGS_FORMAT = 1;
