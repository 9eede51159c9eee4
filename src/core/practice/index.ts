/** Training: sets with known truth, what their readings answer, and how a learner did. */
export * from './faults';
export * from './truth';
export * from './answer';
export * from './calibration';
export * from './minutes';
export * from './score';
export * from './round';
export * from './papers';
