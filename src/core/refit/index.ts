/** Putting the parts back on: the acts that apply, and the tension of the chain. */
export * from './list';
export * from './tension';
