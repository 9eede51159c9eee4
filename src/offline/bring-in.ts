import { READINGS_FORMAT, type PutReadings, type PutReadingsReply } from '../contract';
import { Outbox, waitingJobs, type OutboxStorage, type Waiting } from './outbox';

/** What bringing in needs of the outside: given in, so that it is tested without a browser. */
export interface Outside {
  readonly storage: OutboxStorage;
  readonly send: (job: string, message: PutReadings) => Promise<PutReadingsReply>;
  /** Whether sending again may help. */
  readonly mayRetry: (error: unknown) => boolean;
  /** Does it where no page has the job open: such a page brings its own in. */
  readonly whereNobodyIs: (job: string, work: () => Promise<void>) => Promise<void>;
  readonly tab: string;
}

const BATCH = 100;

/** The oldest readings of one person: each goes in under the name of who typed it. */
function nextBatch(waiting: readonly Waiting[]): readonly Waiting[] {
  const other = waiting.findIndex(({ by }) => by !== waiting[0]!.by);
  return waiting.slice(0, Math.min(BATCH, other === -1 ? BATCH : other));
}

/**
 * Sends what waits of a job, oldest first. What the shop contradicts or refuses stays, and is shown where the job is
 * opened.
 * @returns false where the shop cannot be reached
 */
async function bringInJob(job: string, { storage, send, mayRetry, tab }: Outside): Promise<boolean> {
  const box = new Outbox(storage, job, tab);
  let waiting = box.takeOver();
  let stays: readonly Waiting[] = [];
  while (waiting.length > 0) {
    const batch = nextBatch(waiting);
    const { by } = batch[0]!;
    let kept: readonly Waiting[] = [];
    try {
      const { results } = await send(job, {
        by,
        format: READINGS_FORMAT,
        readings: batch.map(({ by: _by, ...message }) => message),
      });
      const stored = new Set(results.flatMap(({ outcome, id }) => (outcome === 'stored' ? [id] : [])));
      kept = batch.filter(({ id }) => !stored.has(id));
    } catch (error) {
      if (mayRetry(error)) return false;
      kept = batch;
    }
    stays = [...stays, ...kept];
    waiting = waiting.slice(batch.length);
    box.write([...stays, ...waiting]);
  }
  return true;
}

/** Brings in what waits of every job that no page has open. */
export async function bringIn(outside: Outside): Promise<void> {
  for (const job of waitingJobs(outside.storage)) {
    let isThere = true;
    await outside.whereNobodyIs(job, async () => {
      isThere = await bringInJob(job, outside);
    });
    // Nor will it be for the next.
    if (!isThere) return;
  }
}
