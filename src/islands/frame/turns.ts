import type { Stages } from '../../core/stages';

/** A turn goes on to its next stage until it has taken so long, ms: then keys and the screen have theirs. */
const TURN_MS = 8;

/** Waits until the browser has had its turn. */
const nextTurn = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

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

/** A page that nobody sees is not drawn: then work waits so long, ms. */
const UNSEEN_MS = 100;

/** Does work once the screen shows what has changed so far. */
export function afterPaint(work: () => void): void {
  if (document.hidden) setTimeout(work, UNSEEN_MS);
  else requestAnimationFrame(() => void nextTurn().then(work));
}
