/** Requests of one connection that wait: browsers send one after the other, and what sends many wants no answer. */
const MOST_OF_ONE = 16;

/**
 * Begins one thing in each turn of the loop, of each connection in its turn. Begun as they come, fifty requests that
 * came together are answered in one turn: nobody else is heard meanwhile, and at the end of it one new caller is let
 * in.
 * @returns takes what is to be begun for a connection; false where too much of that one waits already
 */
export function oneEachTurn(): (from: object, begin: () => void) => boolean {
  const waiting = new Map<object, (() => void)[]>();
  const next = (): void => {
    for (const [from, [first, ...rest]] of waiting) {
      // Whoever has more waits behind the others.
      waiting.delete(from);
      if (rest.length > 0) waiting.set(from, rest);
      first?.();
      break;
    }
    if (waiting.size > 0) setImmediate(next);
  };
  return (from, begin) => {
    const own = waiting.get(from);
    if (own && own.length >= MOST_OF_ONE) return false;
    if (own) own.push(begin);
    else waiting.set(from, [begin]);
    if (waiting.size === 1 && !own) setImmediate(next);
    return true;
  };
}
