import type {
  JobView,
  NewReadingMessage,
  PutReadings,
  PutReadingsReply,
  StoredReadingMessage,
} from '../../../contract';
import type { InstrumentId, UnitSystem } from '../../../core/quantity';
import type { Entry } from '../../../core/sheet';
import type { Outbox, Waiting } from '../../../offline/outbox';
import * as texts from '#language/screens/job';

/** What stands at one place of the sheet on this screen. */
export interface Standing extends Entry {
  /** The reading that stands: stored, or on its way. */
  readonly id: string;
  readonly by: string;
  readonly at: string | null;
  /** What somebody else wrote there meanwhile. */
  readonly conflict: StoredReadingMessage | null;
}

/** A reading that came in from another screen. */
export interface FromElsewhere {
  readonly path: string;
  readonly by: string;
}

/** `unsaved` is tried again by itself; `refused` waits for somebody to type something else, or to send it again. */
export type SavingState = 'saved' | 'saving' | 'unsaved' | 'refused';

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
  /** What came in from elsewhere last, in one go; the same list for as long as no more came. */
  readonly fromElsewhere: readonly FromElsewhere[];
}

/** Everything outside the store: the server, time, ids. Given in, so that the store is tested without a browser. */
export interface Outside {
  readonly send: (message: PutReadings) => Promise<PutReadingsReply>;
  readonly fetchJob: () => Promise<Pick<JobView, 'readings'>>;
  readonly newId: () => string;
  readonly later: (work: () => void, ms: number) => void;
  /** Tells that readings are stored. */
  readonly announce: (stored: readonly Waiting[], lastReading: number) => void;
  /** True when sending again may help; false when the server understood and refused. */
  readonly mayRetry: (error: unknown) => boolean;
}

const RETRY_MS = [1000, 2000, 5000, 10_000, 20_000];
const BATCH = 100;

/** Where readings of a screen are typed into, as its fields need it. */
export type ReadingsStore = Pick<JobStore, keyof JobStore>;

/** Readings of one job on one screen: typed, kept, sent, and made one with what the store and other screens hold. */
export class JobStore {
  private snapshot: Snapshot;
  private waiting: readonly Waiting[];
  /** Sent, contradicted by what somebody else wrote, and kept until a person chooses. */
  private contradicted: readonly Waiting[] = [];
  /** Sent and refused by the server: kept until something else is typed there. */
  private refused: readonly Waiting[] = [];
  /**
   * The reading that stood at a place when typing began there: what is entered was written with that in sight, and no
   * other.
   */
  private readonly inSight = new Map<string, string | null>();
  private sending = false;
  /** True after a refusal: one reading is sent at a time, so that it alone is refused and the others are stored. */
  private singly = false;
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
      fromElsewhere: [],
    };
  }

  readonly getSnapshot = (): Snapshot => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Follows a keystroke: drawn at once, entered later. */
  type(path: string, text: string, unit: UnitSystem, instrument: InstrumentId | null = null): void {
    if (!this.snapshot.drafts.has(path)) this.inSight.set(path, this.snapshot.standing.get(path)?.id ?? null);
    this.update({ drafts: new Map(this.snapshot.drafts).set(path, { path, text, unit, instrument }) });
  }

  /** Enters what was typed at a place. Nothing happens when it is what stands there already. */
  enter(path: string, by: string): void {
    const draft = this.snapshot.drafts.get(path);
    if (!draft) return;
    const drafts = new Map(this.snapshot.drafts);
    drafts.delete(path);
    const before = this.snapshot.standing.get(path);
    const unchanged = before ? isSame(before, draft) && before.conflict === null : draft.text === '';
    this.update({ drafts });
    if (!unchanged) this.put(draft, by, this.inSight.get(path) ?? null);
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

  /**
   * Says what a reading was measured with, half typed or entered: the text stays, and the reading is stored anew with
   * its tool.
   */
  setTool(path: string, instrument: InstrumentId | null, by: string): void {
    const draft = this.snapshot.drafts.get(path);
    const there = draft ?? this.snapshot.standing.get(path);
    if (!there || there.text.trim() === '') return;
    this.type(path, there.text, there.unit, instrument);
    if (!draft) this.enter(path, by);
  }

  /** Ends a conflict: keep what the other wrote, or put ours in its place. */
  resolve(path: string, keep: 'theirs' | 'ours', by: string): void {
    const ours = this.snapshot.standing.get(path);
    if (!ours?.conflict) return;
    const theirs = ours.conflict;
    this.update({ standing: new Map(this.snapshot.standing).set(path, stored(theirs)) });
    if (keep === 'ours') this.put(ours, by, theirs.id);
    else this.forgetReturned(path);
  }

  /**
   * Takes in what other screens have stored. Places with something on its way, refused or in conflict keep what is
   * here, and so does all when the answer is older than what was stored from here meanwhile.
   */
  async refresh(): Promise<void> {
    const { readings } = await this.outside.fetchJob();
    if (Math.max(0, ...readings.map(({ seq }) => seq)) < this.snapshot.lastReading) return;
    const busy = new Set([...this.waiting, ...this.refused].map(({ path }) => path));
    const standing = new Map(this.snapshot.standing);
    const came: FromElsewhere[] = [];
    for (const reading of readings) {
      const here = standing.get(reading.path);
      if (busy.has(reading.path) || here?.conflict) continue;
      standing.set(reading.path, stored(reading));
      if (here?.id !== reading.id) came.push({ path: reading.path, by: reading.by });
    }
    this.update({
      standing,
      lastReading: Math.max(this.snapshot.lastReading, ...readings.map(({ seq }) => seq)),
      ...(came.length > 0 ? { fromElsewhere: came } : {}),
    });
  }

  /** Sends everything again that is not stored, what was refused included: whatever stood in the way may be gone. */
  async sendAgain(): Promise<void> {
    this.waiting = [...this.refused, ...this.waiting];
    this.refused = [];
    this.update({ waiting: this.waiting.length });
    await this.flush();
  }

  /** Sends what waits, oldest first. Called again by itself until all is stored. */
  async flush(): Promise<void> {
    if (this.sending || this.waiting.length === 0) return;
    const batch = this.nextBatch();
    const { by } = batch[0]!;
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
      const message = error instanceof Error ? error.message : texts.savingFailed;
      if (!this.outside.mayRetry(error)) this.takeRefusal(batch, message);
      else return this.tryLater(message);
    } finally {
      this.sending = false;
    }
    await this.flush();
  }

  /** The oldest readings of one person, or the oldest alone. */
  private nextBatch(): readonly Waiting[] {
    const { by } = this.waiting[0]!;
    const strangers = this.waiting.findIndex((reading) => reading.by !== by);
    const most = this.singly ? 1 : BATCH;
    return this.waiting.slice(0, strangers === -1 ? most : Math.min(strangers, most));
  }

  private tryLater(trouble: string): void {
    this.failures += 1;
    this.update({ saving: 'unsaved', trouble });
    this.outside.later(() => void this.flush(), RETRY_MS[Math.min(this.failures, RETRY_MS.length) - 1]!);
  }

  /**
   * The server understood and refused. Of several one was at fault: they go again one by one, and that one is laid
   * aside.
   */
  private takeRefusal(batch: readonly Waiting[], trouble: string): void {
    const [at, ...others] = batch;
    if (others.length > 0) {
      this.singly = true;
      return;
    }
    const rest = this.waiting.slice(1);
    // What was typed on top of it replaces it, and builds on what it was built on.
    if (!rest.some(({ path }) => path === at!.path)) this.refused = [...this.refused, at!];
    this.keep(rest.map((next) => (next.supersedes === at!.id ? { ...next, supersedes: at!.supersedes } : next)));
    this.update({ saving: this.savingState(), trouble });
  }

  private takeReply(batch: readonly Waiting[], reply: PutReadingsReply): void {
    const sent = new Set(batch.map(({ id }) => id));
    const standing = new Map(this.snapshot.standing);
    for (const result of reply.results) {
      const reading = batch.find(({ id }) => id === result.id);
      const here = reading && standing.get(reading.path);
      if (result.outcome !== 'conflict' || !here) continue;
      standing.set(reading.path, { ...here, conflict: result.current });
      this.contradicted = [...this.contradicted.filter(({ path }) => path !== reading.path), reading];
    }
    this.keep(this.waiting.filter(({ id }) => !sent.has(id)));
    if (this.waiting.length === 0) this.singly = false;
    this.update({
      standing,
      saving: this.savingState(),
      trouble: this.refused.length > 0 ? this.snapshot.trouble : null,
      lastReading: reply.lastReading,
    });
    const outcomes = new Map(reply.results.map(({ id, outcome }) => [id, outcome]));
    this.outside.announce(
      batch.filter(({ id }) => outcomes.get(id) === 'stored'),
      reply.lastReading,
    );
  }

  private savingState(): SavingState {
    if (this.waiting.length > 0) return 'saving';
    return this.refused.length > 0 ? 'refused' : 'saved';
  }

  /** A place where something else is typed, or theirs is taken, needs what came back no more. */
  private forgetReturned(path: string): void {
    const elsewhere = (reading: Waiting): boolean => reading.path !== path;
    this.contradicted = this.contradicted.filter(elsewhere);
    this.refused = this.refused.filter(elsewhere);
    this.keep(this.waiting);
  }

  private put(entry: Entry, by: string, base: string | null): void {
    const refused = this.refused.find(({ id }) => id === base);
    const supersedes = refused ? refused.supersedes : base;
    this.forgetReturned(entry.path);
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
    const kept = this.outbox.write([...this.contradicted, ...this.refused, ...waiting]);
    this.update(
      kept
        ? { waiting: waiting.length }
        : {
            waiting: waiting.length,
            trouble: texts.browserKeepsNothing,
          },
    );
  }

  private update(change: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...change };
    for (const listener of this.listeners) listener();
  }
}

/** The same text by the same tool. */
const isSame = (before: Entry, draft: Entry): boolean =>
  before.text === draft.text && (before.instrument ?? null) === (draft.instrument ?? null);

function stored({ id, path, text, unit, instrument, by, at }: StoredReadingMessage): Standing {
  return { id, path, text, unit, instrument: instrument ?? null, by, at, conflict: null };
}

function underway({ id, path, text, unit, instrument, by }: Waiting): Standing {
  return { id, path, text, unit, instrument, by, at: null, conflict: null };
}
