import { describe, expect, it } from 'vitest';
import { CLEANING, OPERATIONS, type Operation } from '../sheet';
import { asksToMeasureAgain, openWork } from './work';

/** What a look or a hand tells to be done; what is levelled, filed back or bent is told by a measure (common practice, no source). */
const SEEN: readonly Operation[] = [
  'clean-rust',
  'clean-oil-holes',
  'rake-groove',
  'ease-pinch',
  'deburr',
  'free-nose',
  're-nose',
  'free-tight-joints',
  'file-tangs',
  'dress-straps',
  'correct-undercut',
  'sharpen',
  'renew-drum',
  'renew-bearing',
  'free-bearing',
  'renew-clip',
];

/** What takes or moves metal that a limit is held against. */
const METAL: readonly Operation[] = [
  'dress-rails',
  'close-rails',
  'file-back',
  'grind-back',
  'correct-angles',
  'correct-undercut',
  'even-cutters',
  'sharpen',
  'lower-gauges',
  'file-to-gauges',
];

/** What leaves the part as it was, only clean. */
const CLEAN: readonly Operation[] = ['clean-rust', 'clean-oil-holes', 'rake-groove', 'free-nose', 'free-bearing'];

describe('work that was done', () => {
  it.each(OPERATIONS)('%s is open still, or seen to be done', (operation) => {
    expect(openWork([operation], [operation])).toEqual(SEEN.includes(operation) ? [] : [operation]);
    expect(openWork([operation], [])).toEqual([operation]);
  });

  it.each(OPERATIONS)('%s asks for a second measurement where it took metal', (operation) => {
    expect(asksToMeasureAgain([operation])).toBe(METAL.includes(operation));
  });

  it('only cleans where nothing of the part is changed', () => {
    expect(CLEANING).toEqual(OPERATIONS.filter((operation) => CLEAN.includes(operation)));
  });
});
