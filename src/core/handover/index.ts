/** The job as it is handed over: as it came, what was found before and after, what was done with each part. */
export * from './before';
export * from './findings';
export * from './hand-over';
export * from './open';
