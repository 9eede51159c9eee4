import { describe, expect, it } from 'vitest';
import { drawnSentence, sharesSentence, stopSentence, worthPoints, worthSentence } from '#language';

const doubt = (keep: number, clean: number, recondition: number, replace: number, wrong: number) => ({
  shares: { keep, clean, recondition, replace },
  wrong,
});

describe('how sure a verdict is, in one line', () => {
  it('names the chance that it is wrong, and what else the part may deserve', () => {
    expect(sharesSentence(doubt(0.7, 0, 0.25, 0.05, 0.3), 'keep')).toBe(
      'By all readings together 30 % that this verdict is wrong: recondition 25 % and replace 5 %.',
    );
  });

  it('never rounds to certainty', () => {
    expect(sharesSentence(doubt(1, 0, 0, 0, 0), 'keep')).toBe(
      'By all readings together under 0.1 % that this verdict is wrong.',
    );
    expect(sharesSentence(doubt(0.004, 0, 0, 0.996, 0.004), 'replace')).toBe(
      'By all readings together 0.4 % that this verdict is wrong.',
    );
  });

  it('of an undecided part names what it may deserve, the likeliest first', () => {
    expect(sharesSentence(doubt(0.38, 0, 0, 0.62, 0.38), 'undecided')).toBe(
      'By all readings together it may deserve: replace 62 % and keep 38 %.',
    );
  });
});

describe('what another reading would buy', () => {
  const position = (value: number) => `${value} mm`;

  it('names the reading, its tool, and the place where no station is yet', () => {
    const far = 'bar.edges.A.stations.2.far' as const;
    expect(worthSentence({ measure: far, tool: 'caliper', at: null }, position)).toBe(
      'edge A, station 3, far rail, with the caliper',
    );
    expect(worthSentence({ measure: far, tool: 'depth-rod', at: 260 }, position)).toBe(
      'edge A at 260 mm, far rail, with the depth rod',
    );
    expect(worthSentence({ measure: 'bar.checks.crack', tool: null, at: null }, position)).not.toContain('with the');
  });

  it('says it in points and minutes, and how finely it was drawn', () => {
    expect(worthPoints({ drop: 0.119, minutes: 0.5 })).toBe('−11.9 points · 0.5 min');
    expect(drawnSentence({ wrong: 0.264 }, 20_000, { style: 'en-GB' })).toBe(
      'By 20,000 draws: 26 % wrong, ± 0.6 points.',
    );
  });

  it('says when to stop, and what could be surer all the same', () => {
    expect(stopSentence([])).toBe('Another reading would change nothing.');
    expect(stopSentence(['bar'])).toBe(
      'Bar stays unsure: “why so unsure” tells what moves it, and whether a reading would help.',
    );
  });
});
