import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Piscina } from 'piscina';
import { TroubleElsewhere } from '../../data/trouble';
import type { Context } from '../context';
import { Refusal } from '../refusal';
import * as texts from '#language/server';
import type { TaskArgs, Tasks } from './tasks';
import type { Answered } from './worker';

/** Threads at once: whoever asks for a page must find a processor, too. */
const MOST_THREADS = 2;
/** Tasks that wait; whoever comes later is told to try again. */
const MOST_WAITING = 100;
/** Milliseconds after which a thread with nothing to do ends. */
const IDLE_MS = 120_000;

/** The threads' own file, beside the built server. */
const FILE = join(dirname(process.argv[1] ?? ''), 'worker.mjs');

let threads: Piscina | null = null;

/** The threads; null where the server was not built: in development, and in tests of its parts. */
function started(): Piscina | null {
  if (!threads && !existsSync(FILE)) return null;
  threads ??= new Piscina({
    filename: FILE,
    minThreads: 0,
    maxThreads: MOST_THREADS,
    maxQueue: MOST_WAITING,
    idleTimeout: IDLE_MS,
  });
  return threads;
}

/** What a thread said, as the task itself would have answered. */
function heard(said: Answered): unknown {
  if (said.is === 'done') return said.value;
  if (said.is === 'failed')
    throw said.trouble ? new TroubleElsewhere(said.trouble, said.message) : new Error(said.message);
  const { status, code, message, problems } = said.refusal;
  throw new Refusal(status, code, message, problems);
}

/**
 * Does a task beside the server’s own thread, so that nobody else waits for it.
 * @param signal of whoever asked: once they have gone, it is left
 * @throws Refusal, or the trouble with the store, as the task itself would
 */
export async function heavily<T extends keyof Tasks>(
  context: Context,
  name: T,
  args: TaskArgs<T>,
  signal?: AbortSignal,
): Promise<Awaited<ReturnType<Tasks[T]>>> {
  const pool = started();
  if (!pool) return (await (await import('./tasks')).perform(context, name, args)) as Awaited<ReturnType<Tasks[T]>>;
  if (pool.queueSize >= MOST_WAITING) throw new Refusal(503, 'busy', texts.tooMuchAtOnce);
  const task = { name, url: context.store.url, args };
  try {
    return heard((await pool.run(task, signal ? { signal } : {})) as Answered) as Awaited<ReturnType<Tasks[T]>>;
  } catch (error) {
    // Nobody hears it any more.
    if (signal?.aborted) throw new Refusal(503, 'gone', texts.tooMuchAtOnce);
    throw error;
  }
}
