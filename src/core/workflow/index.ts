/** How the steps of a job stand. */
export * from './steps';
