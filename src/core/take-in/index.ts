/** What the customer says, the saw, and the acts of taking it apart and cleaning it. */
export * from './readings';
