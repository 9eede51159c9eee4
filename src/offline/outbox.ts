import type { NewReadingMessage } from '../contract';

/** A reading that waits to be sent, with who typed it. */
export interface Waiting extends NewReadingMessage {
  readonly by: string;
}

/** Whether something that stood in the browser's storage is a reading that waits; the server looks closer. */
function isWaiting(value: unknown): value is Waiting {
  if (typeof value !== 'object' || value === null) return false;
  const { id, path, text, unit, by } = value as Partial<Record<keyof Waiting, unknown>>;
  return [id, path, text, by].every((each) => typeof each === 'string') && (unit === 'mm' || unit === 'in');
}

/** What the outbox needs of the browser's storage. */
export type OutboxStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** What boxes of readings are named by. It stays as it is: what an older build kept is found by it. */
const PREFIX = 'serrata:outbox:';

/** All names in a storage. */
const keysOf = (storage: OutboxStorage): readonly string[] =>
  Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? '');

/** A box that cannot be read counts as empty. */
function readBox(storage: OutboxStorage, key: string): readonly Waiting[] {
  try {
    const box: unknown = JSON.parse(storage.getItem(key) ?? '[]');
    return Array.isArray(box) && box.every(isWaiting) ? box : [];
  } catch {
    return [];
  }
}

/** Jobs of which something waits. */
export const waitingJobs = (storage: OutboxStorage): readonly string[] => [
  ...new Set(
    keysOf(storage).flatMap((key) => (key.startsWith(PREFIX) ? [key.slice(PREFIX.length).split(':')[0]!] : [])),
  ),
];

/** How many readings wait, by their job. */
export function waitingCounts(storage: OutboxStorage): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const job of waitingJobs(storage)) {
    const count = new Set(
      keysOf(storage)
        .filter((key) => key.startsWith(`${PREFIX}${job}:`))
        .flatMap((key) => readBox(storage, key).map(({ id }) => id)),
    ).size;
    if (count > 0) counts.set(job, count);
  }
  return counts;
}

/**
 * Readings not yet acknowledged by the server, kept in this browser so that a closed tab, a sleeping tablet or a dead
 * server loses nothing. Every tab has a box of its own. A tab that opens takes over what other boxes of the job hold: a
 * reading sent twice is stored once, so taking over from a tab that still lives does no harm.
 */
export class Outbox {
  private readonly of: string;
  private readonly own: string;

  constructor(
    private readonly storage: OutboxStorage,
    job: string,
    tab: string,
  ) {
    this.of = `${PREFIX}${job}:`;
    this.own = `${this.of}${tab}`;
  }

  /** All that waits for this job, oldest box first, each reading once. */
  takeOver(): readonly Waiting[] {
    const boxes = keysOf(this.storage).filter((key) => key.startsWith(this.of));
    const found = new Map(boxes.flatMap((key) => readBox(this.storage, key)).map((reading) => [reading.id, reading]));
    const all = [...found.values()];
    if (this.write(all)) for (const key of boxes) if (key !== this.own) this.storage.removeItem(key);
    return all;
  }

  /** @returns false when the browser refuses to keep it (private mode, full disk) */
  write(waiting: readonly Waiting[]): boolean {
    try {
      if (waiting.length === 0) this.storage.removeItem(this.own);
      else this.storage.setItem(this.own, JSON.stringify(waiting));
      return true;
    } catch {
      return false;
    }
  }
}
