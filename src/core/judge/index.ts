/** What every judgement is made of: a check of one value or word, the work it calls for, and the verdict on a part. */
export * from './check';
export * from './make-check';
export * from './repeat';
export * from './seen';
export * from './measured';
export * from './work';
export * from './done';
export * from './missing';
export * from './verdict';
