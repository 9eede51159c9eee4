/** How sure a verdict is: what it hangs on, the chance of every verdict in closed form, and the same by draws. */
export * from './factors';
export * from './shares';
export * from './draws';
