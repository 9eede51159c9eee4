import type { Stages } from '../../core/stages';
import { nextTurn } from '../../ui/parts/paint';

/** A turn goes on to its next stage until it has taken so long, ms: then keys and the screen have theirs. */
const TURN_MS = 8;

/**
 * Does staged work in turns of its own.
 * @returns what came of it; null where it was given up
 */
export async function inTurns<T>(stages: Stages<T>, isGivenUp: () => boolean): Promise<T | null> {
  await nextTurn();
  let began = performance.now();
  while (!isGivenUp()) {
    const { done, value } = stages.next();
    if (done) return value;
    if (performance.now() - began < TURN_MS) continue;
    await nextTurn();
    began = performance.now();
  }
  return null;
}
