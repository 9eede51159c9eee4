type Ending = () => Promise<unknown>;

/**
 * What must come to its end before the server does. The pages are another bundle than the server that ends, with a
 * module of the same name each: both find the list here.
 */
const KEY = Symbol.for('serrata.endings');
const shared = globalThis as { [KEY]?: Ending[] };

/** Has something brought to its end before the server ends. */
export function beforeTheEnd(ending: Ending): void {
  (shared[KEY] ??= []).push(ending);
}

/** Brings to its end whatever must be; none waits for another. */
export async function bringToEnd(): Promise<void> {
  await Promise.allSettled((shared[KEY] ?? []).map((ending) => ending()));
}
