import type { NewReadingMessage } from '../../../contract';

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

/**
 * Readings not yet acknowledged by the server, kept in this browser so that a closed tab, a sleeping tablet or a dead
 * server loses nothing. Every tab has a box of its own. A tab that opens takes over what other boxes of the job hold: a
 * reading sent twice is stored once, so taking over from a tab that still lives does no harm.
 */
export class Outbox {
  private readonly own: string;

  constructor(
    private readonly storage: OutboxStorage,
    private readonly jobKey: string,
    tab: string,
  ) {
    this.own = `${jobKey}:${tab}`;
  }

  /** All that waits for this job, oldest box first, each reading once. */
  takeOver(): readonly Waiting[] {
    const boxes = Array.from({ length: this.storage.length }, (_, i) => this.storage.key(i)).filter((key) =>
      key?.startsWith(`${this.jobKey}:`),
    );
    const found = new Map(boxes.flatMap((key) => this.readBox(key!)).map((reading) => [reading.id, reading]));
    const all = [...found.values()];
    if (this.write(all)) for (const key of boxes) if (key !== this.own) this.storage.removeItem(key!);
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

  /** A box that cannot be read counts as empty. */
  private readBox(key: string): readonly Waiting[] {
    try {
      const box: unknown = JSON.parse(this.storage.getItem(key) ?? '[]');
      return Array.isArray(box) && box.every(isWaiting) ? box : [];
    } catch {
      return [];
    }
  }
}
