import { lineAt, wearLine, type Look, type Rate } from './line';

/** How forecasts of a piece did: of looks that could be foreseen from those before, how many came within the band. */
export interface Backtest {
  readonly foreseen: number;
  readonly held: number;
}

/** Half the band that holds a normal eight times in ten, in standard deviations: Φ⁻¹(0.9). */
export const EIGHT_IN_TEN = 1.2815515655446004;

/** Whether a look came within the band that the looks before it foresaw, with its own doubt and that of the hours. */
function isHeld(before: readonly Look[], look: Look, prior: Rate): boolean {
  const line = wearLine(before, prior);
  const { value, u } = lineAt(line, look.gap);
  const spread = Math.hypot(u, look.u, line.rate.value * look.gapU);
  return Math.abs(look.value - value) <= EIGHT_IN_TEN * spread;
}

/**
 * Tries forecasts out on the records themselves: each look after the first is foreseen from those before it alone.
 * @param looks of one piece in their order
 * @param prior what such pieces lose or gain an hour
 * @example backtest(looks of nine jobs, usualRate('bar.depth', limits)) // { foreseen: 8, held: 7 }
 */
export function backtest(looks: readonly Look[], prior: Rate): Backtest {
  const held = looks.filter((look, i) => i > 0 && isHeld(looks.slice(0, i), look, prior)).length;
  return { foreseen: Math.max(0, looks.length - 1), held };
}
