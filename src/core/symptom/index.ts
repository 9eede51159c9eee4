/** What ails it: a complaint's causes, their weights, what each finding does to them, and the next check that separates them. */
export * from './causes';
export * from './weights';
export * from './evidence';
export * from './found';
export * from './diagnose';
