import { readingAt, type ReadingId, type ReadingPath } from '../../core/sheet';
import { READING_WORDS } from './readings';

/** One word to choose, as it is stored and as it is said. */
export interface ChoiceWord {
  readonly value: string;
  readonly label: string;
}

/** Words to choose from in the order they are written, for screens that do without the sheet itself. */
export const choiceWords = (words: Readonly<Record<string, string>>): readonly ChoiceWord[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));

/** The words to choose from at a place of the sheet, in the order in which they are declared. */
export function choicesAt(path: ReadingPath): readonly ChoiceWord[] {
  const { id, kind } = readingAt(path)!;
  const options = kind.kind === 'yes-no' ? ['yes', 'no'] : 'options' in kind ? kind.options : [];
  const words = READING_WORDS[id as ReadingId];
  const said: Readonly<Record<string, string>> = typeof words === 'string' ? {} : words.words;
  return options.map((value) => ({ value, label: said[value] ?? value }));
}
