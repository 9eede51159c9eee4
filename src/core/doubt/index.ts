/**
 * How sure a verdict is: what it hangs on, the chance of every verdict in closed form and by draws, and what another
 * reading would buy.
 */
export * from './factors';
export * from './shares';
export * from './seeded';
export * from './compile';
export * from './draw';
export * from './worth';
export * from './drawing';
