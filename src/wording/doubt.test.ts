import { describe, expect, it } from 'vitest';
import { sharesSentence } from './en';

const doubt = (keep: number, clean: number, recondition: number, replace: number, wrong: number) => ({
  shares: { keep, clean, recondition, replace },
  wrong,
});

describe('how sure a verdict is, in one line', () => {
  it('names the chance that it is wrong, and what else the part may deserve', () => {
    expect(sharesSentence(doubt(0.7, 0, 0.25, 0.05, 0.3), 'keep')).toBe(
      '30 % that this verdict is wrong: recondition 25 % and replace 5 %.',
    );
  });

  it('never rounds to certainty', () => {
    expect(sharesSentence(doubt(1, 0, 0, 0, 0), 'keep')).toBe('Under 0.1 % that this verdict is wrong.');
    expect(sharesSentence(doubt(0.004, 0, 0, 0.996, 0.004), 'replace')).toBe('0.4 % that this verdict is wrong.');
  });

  it('of an undecided part names what it may deserve, the likeliest first', () => {
    expect(sharesSentence(doubt(0.38, 0, 0, 0.62, 0.38), 'undecided')).toBe(
      'It may deserve: replace 62 % and keep 38 %.',
    );
  });
});
