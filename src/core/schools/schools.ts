/**
 * Questions on which practitioners disagree, with the answers a shop can choose from; the first is the default. Both schools are
 * named wherever the answer shows.
 */
export const SCHOOLS = {
  /** How rails are levelled. The amount to take off is the same whichever tool does it. */
  levelling: ['guided-file', 'draw-file', 'belt-then-file', 'wood-block'],
  /** Whether splayed rails are closed at all. */
  closeRails: ['off', 'on'],
  /** When a bar is turned over. */
  turnOver: ['every-chain', 'every-sharpening', 'when-worn'],
} as const;

/** A question the schools differ on. */
export type SchoolId = keyof typeof SCHOOLS;

/** The school a shop follows on each question. */
export type Schools = { readonly [K in SchoolId]: (typeof SCHOOLS)[K][number] };

export const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[];

/** The schools a new shop follows. */
export const DEFAULT_SCHOOLS: Schools = { levelling: 'guided-file', closeRails: 'off', turnOver: 'every-chain' };

/** The shop's choices laid over the defaults; what is no answer to its question is left out. */
export function resolveSchools(chosen: Readonly<Record<string, string>>): Schools {
  const pick = <K extends SchoolId>(id: K): Schools[K] =>
    ((SCHOOLS[id] as readonly string[]).find((answer) => answer === chosen[id]) ?? DEFAULT_SCHOOLS[id]) as Schools[K];
  return { levelling: pick('levelling'), closeRails: pick('closeRails'), turnOver: pick('turnOver') };
}
