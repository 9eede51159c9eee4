/** Work waits this long where idleness is not told, ms. */
const AFTER = 1500;

/**
 * Does work while nothing else is to do. Not every browser says when that is; then a moment later will do.
 * @returns takes it back
 */
export function whenIdle(work: () => void): () => void {
  if (!('requestIdleCallback' in window)) {
    const timer = setTimeout(work, AFTER);
    return () => clearTimeout(timer);
  }
  const idle = window.requestIdleCallback(work);
  return () => window.cancelIdleCallback(idle);
}
