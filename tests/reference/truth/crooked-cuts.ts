import { crookedCut, oddsOf, type Cause, type DriftPart } from '../../../src/core/symptom';
import type { Random } from './random';

/** What may draw a cut, with how often it is there, how far it then draws, and how well it is measured, mm over 300. */
const PARTS: readonly { readonly cause: Cause; readonly often: number; readonly spread: number; readonly u: number }[] =
  [
    { cause: 'rails-unlevel', often: 0.45, spread: 9, u: 2 },
    { cause: 'groove-worn', often: 0.2, spread: 8, u: 3 },
    { cause: 'bar-bent', often: 0.08, spread: 9, u: 2 },
    { cause: 'cutters-uneven', often: 0.35, spread: 6, u: 1 },
    { cause: 'depth-gauges-uneven', often: 0.2, spread: 6, u: 2 },
  ];

/** Saws that cut crooked: how often the part that draws furthest to the side of the complaint is named first. */
export function crookedCuts(random: Random, runs: number): number {
  let [named, made] = [0, 0];
  while (made < runs) {
    const truth = PARTS.map(({ often, spread }) => (random.chance(often) ? random.normal(spread) : random.normal(1)));
    const drift = truth.reduce((sum, pull) => sum + pull, 0);
    const odds = oddsOf({ mean: drift, u: 0 });
    const said = random.between(0, 1);
    const side = said < odds.left ? 'left' : said < odds.left + odds.right ? 'right' : null;
    if (side === null) continue;
    made += 1;
    const parts = PARTS.map(({ cause, often, spread, u }, i): DriftPart => {
      const read = truth[i]! + random.normal(u);
      // What the reading leaves of both ways it may be: chance, and a normal drawn toward nothing by what each allows.
      const weight = (of: number) => Math.exp(-(read ** 2) / (2 * (of ** 2 + u ** 2))) / Math.hypot(of, u);
      const faulty = often * weight(spread);
      const drawn = (of: number) => ({ mean: (read * of ** 2) / (of ** 2 + u ** 2), u: (of * u) / Math.hypot(of, u) });
      return {
        cause,
        present: faulty / (faulty + (1 - often) * weight(1)),
        faulty: drawn(spread),
        sound: drawn(1),
      };
    });
    const sign = side === 'right' ? 1 : -1;
    const largest = truth.reduce((most, pull, i) => (sign * pull > sign * truth[most]! ? i : most), 0);
    if (crookedCut(parts, side, () => []).causes[0]!.cause === PARTS[largest]!.cause) named += 1;
  }
  return named / runs;
}
