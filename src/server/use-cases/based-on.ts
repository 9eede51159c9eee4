import { isDeepStrictEqual } from 'node:util';
import { Refusal } from '../refusal';
import * as texts from '#language/server';

/**
 * Refuses an edit that was based on something else than what stands.
 * @param was what stood on the screen where it was made; undefined where nobody said
 * @param says what stands now, in words
 */
export function mustStandAsSeen<T>(stands: T, was: T | undefined, says: string): void {
  if (was === undefined || isDeepStrictEqual(stands, was)) return;
  throw new Refusal(409, 'changed-since', texts.changedSince(says));
}
