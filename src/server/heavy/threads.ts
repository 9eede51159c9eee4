import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Piscina } from 'piscina';
import { TroubleElsewhere } from '../../data/trouble';
import type { Context } from '../context';
import { beforeTheEnd } from '../endings';
import { nobodyWaits, Refusal } from '../refusal';
import * as texts from '#language/server';
import { isLeft, leave, stillAsked, type Asked } from './asked';
import type { TaskArgs, Tasks } from './tasks';
import type { Answered, Task } from './worker';

/** Threads at once: whoever asks for a page must find a processor, too. */
const MOST_THREADS = 2;
/** Tasks that somebody waits for beside them; whoever comes later is told to try again. */
const MOST_WAITING = 100;
/** Milliseconds after which a thread with nothing to do ends. */
const IDLE_MS = 120_000;

/** The threads' own file, beside the built server. */
const FILE = join(dirname(process.argv[1] ?? ''), 'worker.mjs');

let threads: Piscina | null = null;

/** The threads; null where the server was not built: in development, and in tests of its parts. */
function started(): Piscina | null {
  if (threads) return threads;
  if (!existsSync(FILE)) return null;
  threads = new Piscina({ filename: FILE, minThreads: 0, maxThreads: MOST_THREADS, idleTimeout: IDLE_MS });
  beforeTheEnd(leaveAll);
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

/** A task that was handed over: who waits for it, and its end, whichever. */
interface Handed {
  readonly asked: Asked;
  readonly ended: Promise<unknown>;
}

/** Tasks that threads have or will have; those that were left count no more as waiting, but a thread may be at them. */
const handed = new Set<Handed>();

const waitedFor = (): number => [...handed].filter(({ asked }) => !isLeft(asked)).length;

/** Leaves every task, and waits until no thread is at any. */
async function leaveAll(): Promise<void> {
  const all = [...handed];
  for (const { asked } of all) leave(asked);
  await Promise.allSettled(all.map(({ ended }) => ended));
}

/** Hands a task over; a thread leaves it at its next step once the asker has gone. */
async function handOver<T extends keyof Tasks>(
  pool: Piscina,
  task: Omit<Task<T>, 'asked'>,
  signal?: AbortSignal,
): Promise<Answered> {
  const asked = stillAsked();
  const gone = () => leave(asked);
  signal?.addEventListener('abort', gone);
  const ended = pool.run({ ...task, asked } satisfies Task<T>) as Promise<Answered>;
  const mine = { asked, ended };
  handed.add(mine);
  try {
    return await ended;
  } finally {
    handed.delete(mine);
    signal?.removeEventListener('abort', gone);
  }
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
  if (signal?.aborted) throw nobodyWaits();
  const pool = started();
  if (!pool) return (await (await import('./tasks')).perform(context, name, args)) as Awaited<ReturnType<Tasks[T]>>;
  if (waitedFor() >= MOST_THREADS + MOST_WAITING) throw new Refusal(503, 'busy', texts.tooMuchAtOnce);
  const answered = await handOver(pool, { name, url: context.store.url, shop: context.store.shop, args }, signal);
  return heard(answered) as Awaited<ReturnType<Tasks[T]>>;
}
