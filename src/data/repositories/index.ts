/** Repositories: queries in, core types out. */
export * from './readings';
export * from './jobs';
export * from './owners';
export * from './stock';
export * from './standing';
export * from './shop';
export * from './search';
export * from './sign-offs';
export * from './stock-imports';
export * from './codes';
export * from './photos';
export * from './mounts';
export * from './saw-memory';
export * from './studies';
export * from './part-orders';
export * from './hand-overs';
export * from './test-cuts';
