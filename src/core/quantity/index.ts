/** Lengths, typed text, readings with their uncertainty, and conformity with a limit. */
export * from './length';
export * from './field';
export * from './parse';
export * from './format';
export * from './instrument';
export * from './quadrature';
export * from './reading';
export * from './chi-square';
export * from './student';
export * from './through-origin';
export * from './scatter';
export * from './typed-reading';
export * from './normal';
export * from './conformity';
export * from './median';
export * from './middle';
