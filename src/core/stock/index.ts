/** The shelf: its parts, what a part must be, the search for it, and its rows in a list. */
export * from './stock-kind';
export * from './stock-part';
export * from './need';
export * from './saw-fit';
export * from './search';
export * from './stock-row';
export * from './list-text';
export * from './list-rows';
export * from './list-change';
export * from './list-state';
export * from './list-undo';
