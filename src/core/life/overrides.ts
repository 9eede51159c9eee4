import type { Part } from '../reading';
import type { Action } from '../sheet';
import type { Piece, Visit } from './piece';

/** How what stayed stood to what was found of it when it went: by its verdict, undecided, or against it. */
export const STAYS = ['by-verdict', 'undecided', 'against'] as const;
export type Stay = (typeof STAYS)[number];

/** Parts that stayed, and what became of them. */
export interface Stayed {
  readonly stay: Stay;
  readonly parts: number;
  /** Of these came again to be looked at, and were condemned as they came. */
  readonly again: number;
  readonly condemned: number;
}

/** How often verdicts were overridden, and how that turned out. */
export interface Overrides {
  readonly stayed: readonly Stayed[];
  /** Parts that went on new, where the old one was condemned; where it was not nobody knows how it would have done. */
  readonly renewed: { readonly condemned: number; readonly notCondemned: number };
}

const stayOf = (went: Action): Stay =>
  went === 'replace' ? 'against' : went === 'undecided' ? 'undecided' : 'by-verdict';

/** A nose that came with a new bar was not decided upon. */
const isDecided = (part: Part, { facts: { renewed } }: Visit): boolean => part !== 'nose' || !renewed.includes('bar');

/**
 * How often verdicts were overridden, and what became of the parts: whether they were condemned when they came the
 * next time.
 * @param pieces each once
 * @param counts whether a visit is among those that are asked for; what became of a part is looked for in all
 */
export function overridesOf(pieces: readonly Piece[], counts: (visit: Visit) => boolean): Overrides {
  const stayed = new Map<Stay, { parts: number; again: number; condemned: number }>(
    STAYS.map((stay) => [stay, { parts: 0, again: 0, condemned: 0 }]),
  );
  const renewed = { condemned: 0, notCondemned: 0 };
  for (const { part, seen } of pieces) {
    seen.forEach(({ visit }, i) => {
      const found = visit.facts.found[part];
      if (visit.went === null || !found || !isDecided(part, visit) || !counts(visit)) return;
      if (visit.facts.renewed.includes(part)) {
        renewed[found.went === 'replace' || found.came === 'replace' ? 'condemned' : 'notCondemned'] += 1;
        return;
      }
      const its = stayed.get(stayOf(found.went))!;
      its.parts += 1;
      const next = seen[i + 1]?.visit.facts.found[part];
      if (!next) return;
      its.again += 1;
      if (next.came === 'replace') its.condemned += 1;
    });
  }
  return { stayed: STAYS.map((stay) => ({ stay, ...stayed.get(stay)! })), renewed };
}
