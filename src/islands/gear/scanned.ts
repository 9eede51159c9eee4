/** Addresses of this shop that a code may lead to; a code of elsewhere leads nowhere but to a search. */
const OURS = /^\/(gear\/(saws|pieces|customers)|jobs)\/[\w-][\w.-]*$/;

/**
 * Where a code that was scanned leads: to the page that its address names, on this server whichever one wrote it, else
 * to what is tagged so.
 * @example placeOfCode('http://192.168.0.4:4173/jobs/17') // '/jobs/17'
 * @example placeOfCode('K-17') // '/gear?q=K-17'
 */
export function placeOfCode(text: string): string {
  const path = URL.canParse(text) ? new URL(text).pathname : text;
  return OURS.test(path) ? path : `/gear?${new URLSearchParams({ q: text }).toString()}`;
}
