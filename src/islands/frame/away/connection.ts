/** Since when the shop cannot be reached; null while it can, as far as anybody asked. */
let since: Date | null = null;
const listeners = new Set<() => void>();

function become(next: Date | null): void {
  if ((since === null) === (next === null)) return;
  since = next;
  for (const listener of listeners) listener();
}

/** Nothing came back of what was asked. */
export const notReached = (): void => become(new Date());
/** The shop answered. */
export const reached = (): void => become(null);

/** Since when the shop cannot be reached, and who wants to hear of it. */
export const connection = {
  awaySince: (): Date | null => since,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};
