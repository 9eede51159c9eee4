import { DESERVED, type PartDoubt } from '../../core/doubt';
import type { Action } from '../../core/sheet';
import { actionWord } from './labels';
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
  if (action === 'undecided') return `It may deserve: ${said}.`;
  return `${sentence(percent(wrong))} that this verdict is wrong${named.length > 0 ? `: ${said}` : ''}.`;
}
