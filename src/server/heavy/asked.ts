/**
 * Whether somebody still waits for a task: a word of memory that both threads see, so that a thread hears of it between
 * two steps of its work without having to listen. Nothing else stops a thread: torn off while the store's driver is at
 * work, it takes the whole server with it.
 */
export type Asked = Int32Array;

const WORD = 0;
const LEFT = 1;

export const stillAsked = (): Asked => new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));

/** Says that nobody waits any more. */
export function leave(asked: Asked): void {
  Atomics.store(asked, WORD, LEFT);
}

export const isLeft = (asked: Asked): boolean => Atomics.load(asked, WORD) === LEFT;
