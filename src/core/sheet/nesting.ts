/** A sheet is nine levels deep at most; anything that goes far beyond was not written by anybody. */
export const MOST_LEVELS = 32;

/**
 * Whether JSON text goes deeper than anything here does. It is asked before parsing: what walks a document by recursion
 * could not come back from it.
 * @param text JSON, or anything else
 */
export function isTooDeep(text: string): boolean {
  let level = 0;
  let inString = false;
  for (let i = 0; i < text.length; i += 1) {
    const mark = text[i];
    if (inString) {
      if (mark === '\\') i += 1;
      else if (mark === '"') inString = false;
    } else if (mark === '"') inString = true;
    else if (mark === '{' || mark === '[') {
      level += 1;
      if (level > MOST_LEVELS) return true;
    } else if (mark === '}' || mark === ']') level -= 1;
  }
  return false;
}
