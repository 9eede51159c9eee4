import { readingAt, type ReadingPath } from '../../core/sheet';
import { CHOICE_WORDS, type ChoiceWord } from './choice-words';

/** The words to choose from at a place of the sheet, in the order in which they are declared. */
export function choicesAt(path: ReadingPath): readonly ChoiceWord[] {
  const reading = readingAt(path)!;
  const { kind } = reading;
  const options = kind.kind === 'yes-no' ? ['yes', 'no'] : 'options' in kind ? kind.options : [];
  const said = (CHOICE_WORDS as Readonly<Record<string, Readonly<Record<string, string>>>>)[reading.id] ?? {};
  return options.map((value) => ({ value, label: said[value] ?? value }));
}
