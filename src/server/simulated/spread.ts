/** A number that is always the same for the same text, so that a stand-in can be repeated. */
export function spread(text: string): number {
  let hash = 7;
  for (const letter of text) hash = (hash * 31 + letter.charCodeAt(0)) % 9973;
  return hash;
}
