/** A job that nobody has signed. */
export const NOT_SIGNED = { signedOff: false, choices: null, handedOver: false };
/** A job that was signed without a plan. */
export const SIGNED = { ...NOT_SIGNED, signedOff: true };
