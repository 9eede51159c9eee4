import type { IncomingMessage, ServerResponse } from 'node:http';

/** How a stream is opened, and how all of them end. */
export interface LiveDoor {
  readonly open: (request: IncomingMessage, response: ServerResponse) => void;
  readonly end: () => void;
}

/** The pages, which write, are another bundle than the server, which holds the streams: both find it here. */
const KEY = Symbol.for('serrata.live');
const shared = globalThis as { [KEY]?: LiveDoor };

/** Says how streams are opened. */
export const liveDoorIs = (door: LiveDoor): void => void (shared[KEY] = door);

/** How streams are opened; null until the pages are here. */
export const liveDoor = (): LiveDoor | null => shared[KEY] ?? null;
