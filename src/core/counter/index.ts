/** A caller's half knowledge → what is settled, what to ask next, what to sell. */
export * from './numbers';
export * from './counter';
export * from './question';
