/**
 * Questions on which practitioners disagree, with the answers a shop can choose from; the first is the default. Both
 * schools are named wherever the answer shows.
 */
export const SCHOOLS = {
  /** What makes a saw cut in a curve. */
  curvedCuts: ['bar-first', 'cutters-too'],
  /** When a bar is turned over. */
  turnOver: ['every-chain', 'every-sharpening', 'when-worn'],
  /** Whether the nose is greased. */
  greaseNose: ['by-its-port', 'each-service', 'never', 'once-begun'],
  /** How rails are levelled. The amount to take off is the same whichever tool does it. */
  levelling: ['guided-file', 'draw-file', 'belt-then-file', 'wood-block'],
  /** Whether splayed rails are closed at all. */
  closeRails: ['off', 'on'],
  /** What becomes of a slightly bent bar. */
  bentBar: ['straighten-slight', 'always-replace'],
  /** Deep flat spots and chips: what is said when half the cutter would go. */
  flatSpots: ['advise-at-half', 'grind-back', 'condemn-at-half'],
  /** How the outer edges of the rails are finished. */
  outerEdges: ['bevel', 'plain-deburr'],
  /** How a chain is tensioned: snug, with some sag round a hard nose, or while it is warm. */
  tension: ['snug', 'sag-on-hard-nose', 'warm'],
  /** Who is given chain that is not low-kickback. */
  lowKickback: ['recorded-choice', 'trained-only', 'professionals-free'],
} as const;

/** A question the schools differ on. */
export type SchoolId = keyof typeof SCHOOLS;

/** The school a shop follows on each question. */
export type Schools = { readonly [K in SchoolId]: (typeof SCHOOLS)[K][number] };

export const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[];

/** The shop's choices laid over the defaults; what is no answer to its question is left out. */
export function resolveSchools(chosen: Readonly<Record<string, string>>): Schools {
  const pick = (id: SchoolId): string => {
    const offered: readonly string[] = SCHOOLS[id];
    return offered.find((answer) => answer === chosen[id]) ?? offered[0]!;
  };
  return Object.fromEntries(SCHOOL_IDS.map((id) => [id, pick(id)])) as Schools;
}

/** The schools a new shop follows. */
export const DEFAULT_SCHOOLS: Schools = resolveSchools({});
