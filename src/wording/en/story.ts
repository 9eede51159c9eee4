import type { Moment, PartSaid } from '../../core/course';
import { actionWord } from './labels';

/** When it is that is spoken of. */
export const momentWord: Record<Moment, string> = {
  came: 'as it came',
  planned: 'as planned',
  out: 'as it went out',
};

/** What a part comes to at its moment, in a word: on screens, lists, tags and papers alike. */
export function storyWord({ moment, stands, isDone, contradicted }: Omit<PartSaid, 'part'>): string {
  const isOut = moment === 'out';
  switch (stands) {
    case 'keep':
      return isOut ? 'Kept' : actionWord.keep;
    case 'clean':
      return isDone && moment !== 'came' ? 'Cleaned' : actionWord.clean;
    case 'recondition':
      return isDone && moment !== 'came' ? 'Reconditioned' : actionWord.recondition;
    case 'replace':
      if (contradicted) return isOut ? 'Condemned' : actionWord.replace;
      return isOut ? 'New' : actionWord.replace;
    case 'undecided':
      return actionWord.undecided;
  }
}
