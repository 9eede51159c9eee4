import { expect, it } from 'vitest';
import { firstStep } from './first-step';

it('opens a job with the step asked for, else the one to go on with, else the decision', () => {
  expect(firstStep('chain', 'strip')).toBe('chain');
  expect(firstStep('no-such-step', 'strip')).toBe('strip');
  expect(firstStep('', null)).toBe('decide');
});
