import type { GroupId, ReadingId } from '../../../core/sheet';
import { BAR_PLACES, BAR_WORDS } from './bar';
import { CHAIN_PLACES, CHAIN_WORDS } from './chain';
import { DRIVE_SPROCKET_PLACES, DRIVE_SPROCKET_WORDS } from './drive-sprocket';
import { LOOP_PLACES, LOOP_WORDS } from './loop';
import { NOSE_WORDS } from './nose';
import { ACT_STEPS, ACT_WORDS } from '../steps';
import type { ReadingWords } from './reading-words';
import { STATION_PLACES, STATION_WORDS } from './stations';
import { TAKE_IN_PLACES, TAKE_IN_WORDS } from './take-in';

/** The words of every reading, part by part. */
export const READING_WORDS: ReadingWords = {
  ...TAKE_IN_WORDS,
  ...ACT_WORDS,
  ...BAR_WORDS,
  ...STATION_WORDS,
  ...NOSE_WORDS,
  ...CHAIN_WORDS,
  ...DRIVE_SPROCKET_WORDS,
  ...LOOP_WORDS,
};

/** Groups and lists of readings, as one points at them in a sentence. */
export const PLACE_NAMES: Readonly<Record<GroupId, string>> = {
  ...TAKE_IN_PLACES,
  ...ACT_STEPS,
  ...BAR_PLACES,
  ...STATION_PLACES,
  ...CHAIN_PLACES,
  ...DRIVE_SPROCKET_PLACES,
  ...LOOP_PLACES,
};

/** A reading as one points at it in a sentence. */
export function nameOfReading(id: ReadingId): string {
  const words = READING_WORDS[id];
  return typeof words === 'string' ? words : words.name;
}
