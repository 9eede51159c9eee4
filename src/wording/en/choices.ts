import { readingAt, type ReadingId, type ReadingPath } from '../../core/sheet';
import type { ChoiceWord } from './choice-word';
import { READING_WORDS } from './readings';

/** One word of a place as it is said. */
export const choiceLabel = (path: ReadingPath, value: string): string =>
  choicesAt(path).find((each) => each.value === value)?.label ?? value;

/** The words to choose from at a place of the sheet, in the order in which they are declared. */
export function choicesAt(path: ReadingPath): readonly ChoiceWord[] {
  const { id, kind } = readingAt(path)!;
  const options = kind.kind === 'yes-no' ? ['yes', 'no'] : 'options' in kind ? kind.options : [];
  const words = READING_WORDS[id as ReadingId];
  const said: Readonly<Record<string, string>> = typeof words !== 'string' && 'words' in words ? words.words : {};
  return options.map((value) => ({ value, label: said[value] ?? value }));
}
