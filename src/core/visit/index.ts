/** When to come back. */
export * from './visit';
