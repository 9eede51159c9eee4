/** The three numbers that order a chain, or what stands in their way. */
export * from './order';
