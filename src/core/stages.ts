/** Work that pauses between its stages, so that others may be answered meanwhile; it returns what came of it. */
export type Stages<T> = Generator<void, T, void>;

/**
 * Does all stages in one go.
 * @example atOnce(appraising(sheet, DEFAULT_RULES, null)) // as appraise(sheet, DEFAULT_RULES, null)
 */
export function atOnce<T>(stages: Stages<T>): T {
  for (;;) {
    const { done, value } = stages.next();
    if (done) return value;
  }
}
