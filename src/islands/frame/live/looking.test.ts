import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Looking } from './looking';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it('shows each look, and looks once more for all that changed meanwhile', async () => {
  let answer: () => void = () => undefined;
  const look = vi.fn(() => new Promise<void>((resolve) => (answer = resolve)));
  const looking = new Looking(look, () => true);
  looking.again();
  looking.again();
  looking.again();
  expect(look).toHaveBeenCalledTimes(1);
  answer();
  await vi.advanceTimersByTimeAsync(0);
  expect(look).toHaveBeenCalledTimes(2);
  answer();
  await vi.advanceTimersByTimeAsync(60_000);
  expect(look).toHaveBeenCalledTimes(2);
  looking.again();
  expect(look).toHaveBeenCalledTimes(3);
});

it('looks again after a look that failed, later and later, until one succeeds', async () => {
  let fails = 3;
  const look = vi.fn(() => (fails-- > 0 ? Promise.reject(new Error('away')) : Promise.resolve()));
  new Looking(look, () => true).again();
  await vi.advanceTimersByTimeAsync(999);
  expect(look).toHaveBeenCalledTimes(1);
  await vi.advanceTimersByTimeAsync(1);
  expect(look).toHaveBeenCalledTimes(2);
  await vi.advanceTimersByTimeAsync(6000);
  expect(look).toHaveBeenCalledTimes(4);
  await vi.advanceTimersByTimeAsync(60_000);
  expect(look).toHaveBeenCalledTimes(4);
});

it('looks at once when it changes again while it waits, and no more once nobody is there', async () => {
  const look = vi.fn(() => Promise.reject(new Error('away')));
  const looking = new Looking(look, () => true);
  looking.again();
  await vi.advanceTimersByTimeAsync(0);
  looking.again();
  await vi.advanceTimersByTimeAsync(0);
  expect(look).toHaveBeenCalledTimes(2);
  looking.end();
  await vi.advanceTimersByTimeAsync(60_000);
  expect(look).toHaveBeenCalledTimes(2);
});

it('does not look again where it was told that it may not', async () => {
  const look = vi.fn(() => Promise.reject(new Error('not for you')));
  new Looking(look, () => false).again();
  await vi.advanceTimersByTimeAsync(60_000);
  expect(look).toHaveBeenCalledTimes(1);
});
