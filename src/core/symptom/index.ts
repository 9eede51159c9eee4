/** What ails it: causes by what was found of every part, how they add up in a complaint, and what to look at next. */
export * from './symptom';
export * from './causes';
export * from './findings';
export * from './found';
export * from './presence';
export * from './noisy-or';
export * from './drift-belief';
export * from './crooked';
export * from './ask';
export * from './diagnose';
export * from './crooked-findings';
