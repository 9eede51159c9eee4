/** The three numbers that order a chain, and the stock that answers them. */
export * from './order';
export * from './stock';
