import type {
  JobView,
  NewReadingMessage,
  PutReadings,
  PutReadingsReply,
  StoredReadingMessage,
} from '../../../contract';
import type { InstrumentId, UnitSystem } from '../../../core/quantity';
import type { Entry } from '../../../core/sheet';
import type { Outbox, Waiting } from './outbox';

/** What stands at one place of the sheet on this screen. */
export interface Standing extends Entry {
  /** The reading that stands: stored, or on its way. */
  readonly id: string;
  readonly by: string;
  readonly at: string | null;
  /** What somebody else wrote there meanwhile. */
  readonly conflict: StoredReadingMessage | null;
}

export type SavingState = 'saved' | 'saving' | 'unsaved';

/** One immutable picture of the job, for drawing. */
export interface Snapshot {
  readonly standing: ReadonlyMap<string, Standing>;
  /** What is being typed and not yet entered. */
  readonly drafts: ReadonlyMap<string, Entry>;
  readonly saving: SavingState;
  /** Why the last attempt to save failed; null when it did not. */
  readonly trouble: string | null;
  readonly waiting: number;
  readonly lastReading: number;
}

/** Everything outside the store: the server, time, ids. Given in, so that the store is tested without a browser. */
export interface Outside {
  readonly send: (message: PutReadings) => Promise<PutReadingsReply>;
  readonly fetchJob: () => Promise<Pick<JobView, 'readings'>>;
  readonly newId: () => string;
  readonly later: (work: () => void, ms: number) => void;
  readonly announce: () => void;
  /** True when sending again may help; false when the server understood and refused. */
  readonly mayRetry: (error: unknown) => boolean;
}

const RETRY_MS = [1000, 2000, 5000, 10_000, 20_000];
const BATCH = 100;

/** Readings of one job on one screen: typed, kept, sent, and made one with what the store and other screens hold. */
export class JobStore {
  private snapshot: Snapshot;
  private waiting: readonly Waiting[];
  private sending = false;
  private failures = 0;
  private readonly listeners = new Set<() => void>();

  constructor(
    readings: readonly StoredReadingMessage[],
    private readonly outbox: Outbox,
    private readonly outside: Outside,
  ) {
    this.waiting = outbox.takeOver();
    const standing = new Map(readings.map((reading) => [reading.path, stored(reading)]));
    for (const reading of this.waiting) standing.set(reading.path, underway(reading));
    const lastReading = Math.max(0, ...readings.map(({ seq }) => seq));
    this.snapshot = {
      standing,
      drafts: new Map(),
      saving: this.waiting.length > 0 ? 'saving' : 'saved',
      trouble: null,
      waiting: this.waiting.length,
      lastReading,
    };
  }

  readonly getSnapshot = (): Snapshot => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Follows a keystroke: drawn at once, entered later. */
  type(path: string, text: string, unit: UnitSystem, instrument: InstrumentId | null = null): void {
    this.update({ drafts: new Map(this.snapshot.drafts).set(path, { path, text, unit, instrument }) });
  }

  /** Enters what was typed at a place. Nothing happens when it is what stands there already. */
  enter(path: string, by: string): void {
    const draft = this.snapshot.drafts.get(path);
    if (!draft) return;
    const drafts = new Map(this.snapshot.drafts);
    drafts.delete(path);
    const before = this.snapshot.standing.get(path);
    const unchanged = before ? before.text === draft.text && before.conflict === null : draft.text === '';
    this.update({ drafts });
    if (!unchanged) this.put(draft, by, before?.id ?? null);
  }

  /** Enters everything that is still being typed: the screen is going away. */
  enterAll(by: string): void {
    for (const path of [...this.snapshot.drafts.keys()]) this.enter(path, by);
  }

  /** Types and enters in one go, for choices and taps. */
  set(path: string, text: string, unit: UnitSystem, by: string, instrument: InstrumentId | null = null): void {
    this.type(path, text, unit, instrument);
    this.enter(path, by);
  }

  /** Ends a conflict: keep what the other wrote, or put ours in its place. */
  resolve(path: string, keep: 'theirs' | 'ours', by: string): void {
    const ours = this.snapshot.standing.get(path);
    if (!ours?.conflict) return;
    const theirs = ours.conflict;
    this.update({ standing: new Map(this.snapshot.standing).set(path, stored(theirs)) });
    if (keep === 'ours') this.put(ours, by, theirs.id);
  }

  /** Takes in what other screens have stored. Places with something on its way or in conflict keep what is here. */
  async refresh(): Promise<void> {
    const { readings } = await this.outside.fetchJob();
    const busy = new Set(this.waiting.map(({ path }) => path));
    const standing = new Map(this.snapshot.standing);
    for (const reading of readings) {
      const here = standing.get(reading.path);
      if (!busy.has(reading.path) && !here?.conflict) standing.set(reading.path, stored(reading));
    }
    this.update({ standing, lastReading: Math.max(this.snapshot.lastReading, ...readings.map(({ seq }) => seq)) });
  }

  /** Sends what waits, oldest first. Called again by itself until all is stored. */
  async flush(): Promise<void> {
    if (this.sending || this.waiting.length === 0) return;
    const by = this.waiting[0]!.by;
    const strangers = this.waiting.findIndex((reading) => reading.by !== by);
    const batch = this.waiting.slice(0, strangers === -1 ? BATCH : Math.min(strangers, BATCH));
    this.sending = true;
    this.update({ saving: 'saving' });
    try {
      const reply = await this.outside.send({
        by,
        readings: batch.map(({ by: _by, ...message }): NewReadingMessage => message),
      });
      this.failures = 0;
      this.takeReply(batch, reply);
    } catch (error) {
      this.failures += 1;
      this.update({ saving: 'unsaved', trouble: error instanceof Error ? error.message : 'Saving failed.' });
      if (this.outside.mayRetry(error))
        this.outside.later(() => void this.flush(), RETRY_MS[Math.min(this.failures, RETRY_MS.length) - 1]!);
      return;
    } finally {
      this.sending = false;
    }
    await this.flush();
  }

  private takeReply(batch: readonly Waiting[], reply: PutReadingsReply): void {
    const sent = new Set(batch.map(({ id }) => id));
    this.keep(this.waiting.filter(({ id }) => !sent.has(id)));
    const standing = new Map(this.snapshot.standing);
    for (const result of reply.results) {
      const reading = batch.find(({ id }) => id === result.id);
      const here = reading && standing.get(reading.path);
      if (result.outcome === 'conflict' && here) standing.set(reading.path, { ...here, conflict: result.current });
    }
    this.update({
      standing,
      saving: this.waiting.length > 0 ? 'saving' : 'saved',
      trouble: null,
      lastReading: reply.lastReading,
    });
    this.outside.announce();
  }

  private put(entry: Entry, by: string, supersedes: string | null): void {
    const reading: Waiting = {
      id: this.outside.newId(),
      path: entry.path,
      text: entry.text,
      unit: entry.unit,
      instrument: entry.instrument ?? null,
      supersedes,
      by,
    };
    this.keep([...this.waiting, reading]);
    this.update({ standing: new Map(this.snapshot.standing).set(entry.path, underway(reading)), saving: 'saving' });
    void this.flush();
  }

  private keep(waiting: readonly Waiting[]): void {
    this.waiting = waiting;
    const kept = this.outbox.write(waiting);
    this.update(
      kept
        ? { waiting: waiting.length }
        : {
            waiting: waiting.length,
            trouble: 'This browser keeps nothing: do not close the page before all is saved.',
          },
    );
  }

  private update(change: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...change };
    for (const listener of this.listeners) listener();
  }
}

function stored({ id, path, text, unit, instrument, by, at }: StoredReadingMessage): Standing {
  return { id, path, text, unit, instrument: instrument ?? null, by, at, conflict: null };
}

function underway({ id, path, text, unit, instrument, by }: Waiting): Standing {
  return { id, path, text, unit, instrument, by, at: null, conflict: null };
}
