import type { JobCourse } from '../../src/core/workflow';

/** A job that nobody has signed. */
export const NOT_SIGNED: JobCourse = { signedOff: false, choices: null, handedOver: false };
/** A job that was signed without a plan. */
export const SIGNED: JobCourse = { ...NOT_SIGNED, signedOff: true };
