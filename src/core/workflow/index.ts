/** How the steps of a job stand, and what the job waits for. */
export * from './steps';
export * from './waiting';
