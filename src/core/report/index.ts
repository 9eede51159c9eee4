/** The assessment document: its schema, everything else inferred. */
export * from './assessment';
export * from './picture';
export * from './plans';
export * from './hand-over';
