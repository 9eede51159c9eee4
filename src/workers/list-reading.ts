import { wrap, type Remote } from 'comlink';
import type { ListReader } from './list-reader';

/** A reader at work, and what ends it at once, whatever it is doing. */
export interface ListReading {
  readonly reader: Remote<ListReader>;
  readonly end: () => void;
}

/** Starts a reader of lists in a thread of its own. */
export function startReading(): ListReading {
  const worker = new Worker(new URL('./list-reader.ts', import.meta.url), { type: 'module', name: 'list' });
  return { reader: wrap<ListReader>(worker), end: () => worker.terminate() };
}
