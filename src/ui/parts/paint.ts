import { startTransition } from 'react';

/** Waits until the browser has had its turn. */
export const nextTurn = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/** A page that nobody sees is not drawn: then work waits so long, ms. */
const UNSEEN_MS = 100;

/** Does work once the screen shows what has changed so far. */
export function afterPaint(work: () => void): void {
  if (document.hidden) setTimeout(work, UNSEEN_MS);
  else requestAnimationFrame(() => void nextTurn().then(work));
}

/** What waits to be drawn, in the order it asked. */
const waiting: (() => void)[] = [];

function drawNext(): void {
  const draw = waiting.shift();
  if (draw) startTransition(draw);
  if (waiting.length > 0) afterPaint(drawNext);
}

/**
 * Draws once the screen shows all that asked before: a page that is opened comes piece by piece, so that a slow machine
 * answers keys and taps between.
 * @returns takes it back
 */
export function drawInTurn(draw: () => void): () => void {
  waiting.push(draw);
  if (waiting.length === 1) afterPaint(drawNext);
  return () => {
    const at = waiting.indexOf(draw);
    if (at >= 0) waiting.splice(at, 1);
  };
}
