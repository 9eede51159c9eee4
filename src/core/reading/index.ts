/** The catalogue's engine: how a reading is declared, once, and how a place of the sheet is found by its path. */
export * from './step';
export * from './waits';
export * from './told';
export * from './declare';
export * from './evidence';
export * from './place';
export * from './catalogue';
export type { LengthIssue } from './written-length';
