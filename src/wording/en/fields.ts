import { idAt, type ReadingId, type ReadingPath } from '../../core/sheet';
import { readingName } from './places';
import { READING_WORDS } from './readings';
import { sentence } from './sentence';

/** What stands at a field of the sheet. */
export interface FieldWords {
  readonly name: string;
  readonly hint: string | undefined;
  /** What might be typed, where it is not plain. */
  readonly example: string | undefined;
  /** What is counted, behind a number that is no length. */
  readonly suffix: string | undefined;
}

/**
 * The words of a field: its own short name, else the heading of the check that it makes, else what it is called in a
 * sentence.
 */
export function fieldWords(path: ReadingPath): FieldWords {
  const words = READING_WORDS[idAt(path) as ReadingId];
  const { field, hint, example, suffix } = typeof words === 'string' ? { field: undefined } : words;
  const heading = typeof words !== 'string' && 'check' in words ? words.check : undefined;
  return { name: field ?? heading ?? sentence(readingName(path)), hint, example, suffix };
}
