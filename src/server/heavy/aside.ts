import { setPriority } from 'node:os';

/**
 * How far long work stands back, in the system's own measure: 0 is usual, 19 the last. Somebody waits for it, so that it
 * stands back a little only: a third to a half of what others get where all want a processor.
 */
const BEHIND = { thread: 3, process: 5 };

/**
 * Lets whoever calls this stand back where processors are few: a thread of the server, or a process of its own. Of a
 * process Linux takes the calling thread alone; elsewhere it would be the whole server, so it is left.
 */
export function standBack(as: keyof typeof BEHIND): void {
  if (process.platform !== 'linux') return;
  try {
    setPriority(BEHIND[as]);
  } catch {
    // What may not stand back works as it does.
  }
}
