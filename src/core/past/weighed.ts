import { chanceAbove, type LimitKind } from '../quantity';

/** A value with its standard uncertainty. */
interface Valued {
  readonly value: number;
  readonly u: number;
}

/** Once in so many something happened since that no wear foretells: then the doubt is so many times as wide. */
export const HAPPENED = 0.05;
export const WIDENED = 4;

/** A reading further from what was foreseen than so many standard uncertainties of the two together contradicts it. */
export const CONTRADICTS = 3;

/** Whether something happened or not, with its weight. */
const ways = ({ u }: Valued): readonly { readonly weight: number; readonly u: number }[] => [
  { weight: 1 - HAPPENED, u },
  { weight: HAPPENED, u: WIDENED * u },
];

const within = ({ value, u }: Valued, limit: number, kind: LimitKind): number =>
  chanceAbove(kind === 'min' ? value - limit : limit - value, u);

/**
 * Chance that what was foreseen is on the good side of a limit while nobody has measured it.
 * @example foreseen 7.0 ± 0.5 against at least 6.0 → 0.95 · Φ(2) + 0.05 · Φ(0.5) = 0.963
 * @see model.md §15: the forecast of today's value, with 5 % for "something happened", widened fourfold
 */
export const chanceForeseen = (foreseen: Valued, limit: number, kind: LimitKind): number =>
  ways(foreseen).reduce((sum, { weight, u }) => sum + weight * within({ ...foreseen, u }, limit, kind), 0);

/** Whether a reading contradicts what was foreseen: then it counts alone, and is taken again. */
export const isContradicted = (foreseen: Valued, read: Valued): boolean =>
  Math.abs(read.value - foreseen.value) >= CONTRADICTS * Math.hypot(foreseen.u, read.u);

/**
 * Chance that a value is on the good side of a limit by what was foreseen and what was read of it together: each way it
 * may have been counts by how well it explains the reading. A reading that contradicts it counts alone.
 * @param read above 0 its uncertainty
 */
export function chanceTogether(foreseen: Valued, read: Valued, limit: number, kind: LimitKind): number {
  if (isContradicted(foreseen, read)) return within(read, limit, kind);
  let [all, good] = [0, 0];
  for (const { weight, u } of ways(foreseen)) {
    const spread = Math.hypot(u, read.u);
    const likely = (weight / spread) * Math.exp(-(((read.value - foreseen.value) / spread) ** 2) / 2);
    const share = u ** 2 / spread ** 2;
    const value = foreseen.value + share * (read.value - foreseen.value);
    all += likely;
    good += likely * within({ value, u: read.u * Math.sqrt(share) }, limit, kind);
  }
  return good / all;
}
