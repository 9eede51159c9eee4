import { flatMap } from '../flat-map';
import { difference, mm, quadrature, type Bounds, type Estimate } from '../quantity';
import { onCutter, SIDES, type Cutters, type Damage, type Side } from './cutters';

/** The cutters as they stand: after the rework where they were measured again, with the damage that is left. */
export interface StandingCutters {
  readonly cutters: Cutters;
  readonly damage: readonly Damage[];
  /** Sides that were measured again. */
  readonly again: readonly Side[];
}

const longest = (a: Bounds, b: Bounds): Bounds => ((b.hi ?? b.lo)!.value > (a.hi ?? a.lo)!.value ? b : a);
const shortest = (a: Bounds, b: Bounds): Bounds => ((b.lo ?? b.hi)!.value < (a.lo ?? a.hi)!.value ? b : a);

/** Less left than so many standard uncertainties is nothing. */
const SHOWN = 2;

const left = (setBack: Estimate | null, taken: Estimate): Estimate | null =>
  setBack && {
    value: mm(Math.max(0, setBack.value - taken.value)),
    u: quadrature(setBack.u, taken.u),
  };

/**
 * What is left of damage once its cutter was filed and measured again: its set-back less what came off. Where nobody
 * knows what came off, because the cutter had no length before, all of it still stands: nothing that condemns is taken
 * back by work that was not measured.
 */
function leftOf(each: Damage, before: Cutters, after: readonly Bounds[]): Damage | null {
  const was = onCutter(each, before, shortest);
  const is = after[each.cutter - 1] ?? after.reduce(longest);
  const [from, to] = [was && (was.lo ?? was.hi), is.hi ?? is.lo];
  if (!from || !to) return each;
  const off = difference(from, to);
  const taken = { ...off, value: mm(Math.max(0, off.value)) };
  const setBack = { lo: left(each.setBack.lo, taken), hi: left(each.setBack.hi, taken) };
  const most = (setBack.hi ?? setBack.lo)!;
  return most.value <= SHOWN * most.u ? null : { ...each, setBack };
}

/** The cutters as they stand, side by side: what was measured after the rework takes the place of what was before. */
export function standingCutters(before: Cutters, after: Cutters, damage: readonly Damage[]): StandingCutters {
  const again = SIDES.filter((side) => after[side].length > 0);
  const of = (side: Side) => (again.includes(side) ? after[side] : before[side]);
  return {
    cutters: { left: of('left'), right: of('right') },
    damage: flatMap(damage, (each) =>
      again.includes(each.side) ? (leftOf(each, before, after[each.side]) ?? []) : [each],
    ),
    again,
  };
}
