import type { Client, TransactionMode } from '@libsql/client';
import { otherwise } from './otherwise';
import { troubleOf } from './trouble';

/** Milliseconds a write or a look waits for another programme that holds the store, before somebody is told. */
const PATIENCE_MS = 4000;
/** Pause between two tries, ms. The driver itself waits for nobody: while it waits, nobody is answered. */
const PAUSE_MS = 40;

const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));

/**
 * Does a write again while another server holds a store that is on another machine: there a transaction begins with its
 * first statement, and where that finds the store held nothing of it is done.
 */
export async function againWhileHeld<T>(write: () => Promise<T>): Promise<T> {
  const since = performance.now();
  for (;;) {
    try {
      return await write();
    } catch (error) {
      if (troubleOf(error) !== 'held' || performance.now() - since > PATIENCE_MS) throw error;
      await pause();
    }
  }
}

/** A look whose connection was dropped between being lent and being used. */
const wasDropped = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'code' in error && error.code === 'CLIENT_CLOSED';

/**
 * A client whose looks and writes wait for whoever holds the store, while everybody else is answered. Who comes late
 * waits no longer than who came first; looks, which mostly go on while another programme writes, do not lengthen the wait
 * of writes.
 *
 * A connection that found the store held keeps an old state of it in view, and no write of its own succeeds afterwards:
 * it is dropped at once, before anybody looks through it.
 * @param isWriting whether a write of ours is under way, whose connection must stay
 */
export function patient(client: Client, isWriting: () => boolean): Client {
  const heldSince: Record<'looks' | 'writes', number | null> = { looks: null, writes: null };
  async function untilFree<T>(kind: keyof typeof heldSince, work: () => Promise<T>): Promise<T> {
    for (;;) {
      try {
        const done = await work();
        heldSince[kind] = null;
        return done;
      } catch (error) {
        if (wasDropped(error) && !client.closed) continue;
        if (troubleOf(error) !== 'held') throw error;
        if (!isWriting()) void client.reconnect();
        const since = (heldSince[kind] ??= performance.now());
        if (performance.now() - since > PATIENCE_MS) throw error;
        await pause();
      }
    }
  }
  return otherwise(client, {
    execute: ((...args: Parameters<Client['execute']>) =>
      untilFree('looks', () => client.execute(...args))) as Client['execute'],
    transaction: (mode?: TransactionMode) => untilFree('writes', () => client.transaction(mode ?? 'write')),
  });
}
