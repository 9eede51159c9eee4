import { FAMILIES, type FamilyId } from '../families';
import { toInches, type Mm } from '../quantity';

/** A loop often seen in the trade. Plausibility, never an answer: two bars of one length differ in width and nose. */
export interface CommonLoop {
  readonly family: FamilyId;
  readonly inches: number;
  readonly links: number;
}

/** Loops seen in the trade (common practice, no source). */
export const COMMON_LOOPS: readonly CommonLoop[] = [
  { family: '38lp', inches: 8, links: 34 },
  { family: '38lp', inches: 12, links: 45 },
  { family: '38lp', inches: 16, links: 56 },
  { family: '38lp', inches: 18, links: 62 },
  { family: '38lp', inches: 20, links: 68 },
  { family: '38', inches: 20, links: 72 },
  { family: '38', inches: 24, links: 84 },
  { family: '38', inches: 25, links: 84 },
];

/** Loops of one listed length differ by about this share from bar to bar (the shop's figure). */
export const LOOP_SPREAD = 0.08;

/** How many inches beyond the loops seen the straight line is still followed. */
const REACH_INCHES = 8;

/**
 * Loops of a family with different counts, shortest first; families without two of them borrow the low-profile ones.
 */
function tableFor(family: FamilyId): { table: readonly CommonLoop[]; scale: number } {
  const of = (wanted: FamilyId) =>
    COMMON_LOOPS.filter(
      (loop, i) =>
        loop.family === wanted && COMMON_LOOPS.findIndex((o) => o.family === wanted && o.links === loop.links) === i,
    );
  const own = of(family);
  if (own.length > 1) return { table: own, scale: 1 };
  return { table: of('38lp'), scale: FAMILIES['38lp'].pitch / FAMILIES[family].pitch };
}

/**
 * Links usual for a family and listed length: along straight lines between the loops seen. Null far outside what was
 * seen.
 */
export function usualLinks(family: FamilyId, listed: Mm): number | null {
  const { table, scale } = tableFor(family);
  const inches = toInches(listed);
  if (inches < table[0]!.inches - REACH_INCHES || inches > table.at(-1)!.inches + REACH_INCHES) return null;
  const above = table.findIndex((loop) => loop.inches >= inches);
  const end = above === -1 ? table.length - 1 : Math.max(1, above);
  const [from, to] = [table[end - 1]!, table[end]!];
  const links = from.links + ((inches - from.inches) * (to.links - from.links)) / (to.inches - from.inches);
  return Math.round(links * scale);
}

/** Whether a count is plausible for a listed length: null where nothing was seen to compare it with. */
export function plausibleLoop(
  family: FamilyId,
  listed: Mm,
  links: number,
): { usual: number; plausible: boolean } | null {
  const usual = usualLinks(family, listed);
  return usual === null ? null : { usual, plausible: Math.abs(links - usual) <= Math.max(2, LOOP_SPREAD * usual) };
}
