/** Joins parts of a sentence: `a`, `a and b`, `a, b and c`. */
export function list(parts: readonly string[], last = 'and'): string {
  if (parts.length < 2) return parts[0] ?? '';
  return `${parts.slice(0, -1).join(', ')} ${last} ${parts.at(-1)!}`;
}

/** First letter as a capital. */
export function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A name that begins with a capital, within a sentence. */
export const inSentence = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);
