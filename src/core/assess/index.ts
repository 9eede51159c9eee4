/** A sheet in, an appraisal out: checks, verdicts with their reasons, fit, order, and what to measure next. */
export * from './check';
export * from './edge';
export * from './blueing';
export * from './crooked';
export * from './service';
export * from './bar';
export * from './chain';
export * from './sprocket';
export * from './verdict';
export * from './next';
export * from './loop';
export * from './assess';
export * from './steps';
export * from './rework-figures';
export * from './idle';
