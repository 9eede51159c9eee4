/** The life of a piece: what wears on it, which piece it is, its line of wear, and when it reaches a limit. */
export * from './marks';
export * from './wear';
export * from './visit';
export * from './pieces';
export * from './line';
export * from './forecast';
export * from './backtest';
export * from './life';
export * from './due';
export * from './foresee';
export * from './said';
export * from './pooling';
export * from './lifetimes';
export * from './learned';
export * from './pace';
export * from './overrides';
export * from './kept-money';
