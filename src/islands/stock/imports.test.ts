import { describe, expect, it } from 'vitest';
import { undoneSentence } from './Imports';

describe('an undoing', () => {
  it('names what was changed since and stays', () => {
    expect(undoneSentence({ restored: 1, kept: [] })).toBe('1 part is as before.');
    expect(undoneSentence({ restored: 3, kept: ['A', 'B'] })).toBe(
      '3 parts are as before. Changed since, and kept where they were: A, B.',
    );
  });
});
