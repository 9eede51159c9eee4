import { describe, expect, it } from 'vitest';
import { brierScore, shareInterval } from '../../src/core/practice';
import { practised } from './truth/practised';

describe('a share with its interval', () => {
  // R. G. Newcombe, Two-sided confidence intervals for the single proportion, Statistics in Medicine 17 (1998), table I,
  // method 3 (Wilson without continuity correction), from memory.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('of %i in %i is as published', (right, of, from, until) => {
    const interval = shareInterval(right, of);
    expect(interval.from).toBeCloseTo(from, 4);
    expect(interval.until).toBeCloseTo(until, 4);
  });
});

describe('how sure somebody was', () => {
  it('scores as in the worked example of the model (§16)', () => {
    const statements = [
      { sure: 0.9, isRight: true },
      { sure: 0.8, isRight: false },
      { sure: 0.3, isRight: false },
    ];
    expect(brierScore(statements)).toBeCloseTo((0.01 + 0.64 + 0.09) / 3, 12);
  });

  it('is half of Brier’s own sum over both outcomes', () => {
    // G. W. Brier, Verification of forecasts expressed in terms of probability, Monthly Weather Review 78 (1950): the
    // mean over occasions of the sum over classes of (f − E)²; whoever always states one half has 0.5 there.
    const sure = [0.7, 0.9, 0.8, 0.4, 0.2, 0, 0, 0, 0, 0.1];
    const rained = [false, true, true, true, false, false, false, false, false, false];
    const brier = sure.reduce((sum, f, i) => sum + (f - Number(rained[i])) ** 2 + (1 - f - Number(!rained[i])) ** 2, 0);
    expect(2 * brierScore(sure.map((f, i) => ({ sure: f, isRight: rained[i]! })))!).toBeCloseTo(brier / 10, 12);
    expect(brierScore(rained.map((isRight) => ({ sure: 0.5, isRight })))).toBe(0.25);
  });
});

describe('sets made for practice', () => {
  it('are judged by all their readings as they were made, and their causes named', () => {
    const { verdicts, causes, otherwise } = practised(120);
    expect(verdicts, otherwise.join('\n')).toBeGreaterThanOrEqual(0.99);
    expect(causes, otherwise.join('\n')).toBeGreaterThanOrEqual(0.95);
  });
});
