import { setPriority } from 'node:os';

/** How far long work stands back, in the system's own measure: 0 is usual, 19 the last. */
const BEHIND = 10;

/**
 * Lets whoever calls this stand back where processors are few: a thread of the server, or a process of its own. Of a
 * process Linux takes the calling thread alone; elsewhere it would be the whole server, so it is left.
 */
export function standBack(): void {
  if (process.platform !== 'linux') return;
  try {
    setPriority(BEHIND);
  } catch {
    // What may not stand back works as it does.
  }
}
