import { useState } from 'react';
import { keeping } from './keeping';

/**
 * A value that is worked out with every drawing, as the very same object where it says the same as before: what is
 * drawn from it alone need not be drawn again.
 */
export function useKept<T>(value: T): T {
  const [kept] = useState(() => keeping((next: T) => next));
  return kept(value);
}
