import { wholeNumber, type ShopStyle } from '../shop-format';
import type { Part } from '../../core/reading';
import { DESERVED, type DrawnPart, type PartDoubt, type Worth } from '../../core/doubt';
import { actionWord, partName } from './labels';
import { instrumentName } from './instruments';

import { readingNameAt } from './places';
import { type Action } from '../../core/sheet';
import { list, sentence } from './sentence';

/** Never rounded to certainty. */
function percent(chance: number): string {
  const value = 100 * chance;
  if (value < 0.1) return 'under 0.1 %';
  if (value > 99.9) return 'over 99.9 %';
  return `${value > 99 || value < 1 ? value.toFixed(1) : value.toFixed(0)} %`;
}

/** A share smaller than this is not named. */
const NAMED = 0.005;

/** How sure a verdict is, in one line: the chance that it is wrong; of an undecided one, what the part may deserve. */
export function sharesSentence({ shares, wrong }: PartDoubt, action: Action): string {
  const named = DESERVED.filter((deserved) => shares[deserved] >= NAMED && deserved !== action).sort(
    (a, b) => shares[b] - shares[a],
  );
  const said = list(named.map((deserved) => `${actionWord[deserved].toLowerCase()} ${percent(shares[deserved])}`));
  if (action === 'undecided') return `By all readings together it may deserve: ${said}.`;
  return `By all readings together ${percent(wrong)} that this verdict is wrong${named.length > 0 ? `: ${said}` : ''}.`;
}

/** What could be read: a place between stations is named by where it is. */
export const readableName = (
  { measure, at }: Pick<Worth, 'measure' | 'at'>,
  position: (mm: number) => string,
): string => readingNameAt(measure, at === null ? null : position(at));

/** A reading that could be made next: where, and with what. */
export const worthSentence = (
  worth: Pick<Worth, 'measure' | 'tool' | 'at'>,
  position: (mm: number) => string,
): string =>
  worth.tool === null
    ? readableName(worth, position)
    : `${readableName(worth, position)}, with the ${instrumentName(worth.tool)}`;

/** What a reading takes off the chance of a wrong verdict, in points of a hundred, and its minutes. */
export const worthPoints = ({ drop, minutes }: Pick<Worth, 'drop' | 'minutes'>): string =>
  `−${(100 * drop).toFixed(1)} points · ${minutes} min`;

/** How finely the draws tell the chance of a wrong verdict: two standard deviations of a share. */
export function drawnSentence(
  { wrong }: Pick<DrawnPart, 'wrong'>,
  draws: number,
  shop: Pick<ShopStyle, 'style'>,
): string {
  const points = 200 * Math.sqrt((wrong * (1 - wrong)) / draws);
  return `By ${wholeNumber(draws, shop)} draws: ${percent(wrong)} wrong, ± ${points.toFixed(points < 0.1 ? 2 : 1)} points.`;
}

/** What is said when no verdict waits for a reading: which parts could be surer all the same. */
export function stopSentence(unsure: readonly Part[]): string {
  if (unsure.length === 0) return 'Another reading would change nothing.';
  return `${sentence(list(unsure.map((part) => partName[part].toLowerCase())))} ${unsure.length > 1 ? 'stay' : 'stays'} unsure: “why so unsure” tells what moves it, and whether a reading would help.`;
}
