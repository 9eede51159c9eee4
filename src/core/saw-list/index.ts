/** A list of saws, as an office keeps one: whose each is, what it is called, and the numbers it is known by. */
export * from './saw-row';
