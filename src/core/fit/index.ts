/** Rules between parts, what a part must be, and the search for it in stock. */
export * from './rules';
export * from './stock-kind';
export * from './stock-part';
export * from './need';
export * from './search';
export * from './stock-row';
