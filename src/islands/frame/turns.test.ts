import { describe, expect, it } from 'vitest';
import { atOnce, type Stages } from '../../core/stages';
import { inTurns } from './turns';

/** So many stages, each of which takes so long, ms. */
function* slow(stages: number, ms: number, seen: number[] = []): Stages<readonly number[]> {
  for (let stage = 0; stage < stages; stage += 1) {
    const until = performance.now() + ms;
    while (performance.now() < until);
    seen.push(stage);
    yield;
  }
  return seen;
}

describe('staged work', () => {
  it('comes to the same in turns and in one go', async () => {
    expect(await inTurns(slow(5, 0), () => false)).toEqual(atOnce(slow(5, 0)));
  });

  it('lets others have a turn between stages that take long', async () => {
    const seen: number[] = [];
    let heard: number | null = null;
    const done = inTurns(slow(4, 12, seen), () => false);
    setTimeout(() => (heard = seen.length));
    await done;
    expect(heard).toBeLessThan(4);
  });

  it('is left where it is once nobody waits for it', async () => {
    const seen: number[] = [];
    expect(await inTurns(slow(9, 0, seen), () => seen.length === 3)).toBeNull();
    expect(seen).toEqual([0, 1, 2]);
  });
});
