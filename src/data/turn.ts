/** Lets whatever else waits be done before going on. */
export const letOthers = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** Rows after which others are let in while many are worked through. */
const ROWS = 20;

/**
 * Lets whatever else waits be done, every so many rows of long work: whoever looks waits for some rows, not for all.
 */
export function everyFewRows(): () => Promise<void> {
  let rows = 0;
  return async () => {
    rows += 1;
    if (rows % ROWS === 0) await letOthers();
  };
}
