import { addYears } from 'date-fns';
import type { Rules } from '../../../core/assess';
import { customsOf, type PieceLife } from '../../../core/life';
import type { GearSawRecord } from '../../../data/repositories';
import type { DueGear, PieceLine } from '../../../contract';
import { sawView } from './lines';

/** What is due on one saw, by its pieces: by forecast, and by custom. */
export function dueOf(
  saw: GearSawRecord,
  lines: readonly { readonly line: PieceLine; readonly life: PieceLife }[],
  { limits, schools }: Rules,
): readonly DueGear[] {
  const view = sawView(saw);
  const pieces = lines.map(({ life }) => life.piece);
  const limited = lines.flatMap(({ line }): DueGear[] =>
    line.first ? [{ saw: view, piece: line.id, part: line.part, because: { code: 'limit', reach: line.first } }] : [],
  );
  const customs = customsOf(pieces, limits, schools).map(({ piece, custom }): DueGear => ({
    saw: view,
    piece: piece.id,
    part: piece.part,
    because: { code: 'custom', custom },
  }));
  return [...customs, ...limited];
}

/** The day by which something is likely due; what custom makes due, and what is reached, is due today. */
function dayOf({ because }: DueGear, today: string): string | null {
  if (because.code === 'custom') return today;
  const { middle } = because.reach.on;
  return middle !== null && middle < today ? today : middle;
}

/** What is due within a year, the soonest first. */
export function inOrderOfDue(due: readonly DueGear[], today: string): readonly DueGear[] {
  const last = addYears(new Date(`${today}T00:00:00Z`), 1)
    .toISOString()
    .slice(0, 10);
  return due
    .flatMap((each) => {
      const day = dayOf(each, today);
      return day !== null && day <= last ? [{ day, each }] : [];
    })
    .toSorted((one, other) => one.day.localeCompare(other.day))
    .map(({ each }) => each);
}
