import { randomUUID } from 'node:crypto';
import type { Here, LiveHello, SayHere } from '../../contract';
import { changedSince, isAsGoodAsAll, type ChangedSince } from '../../data/repositories';
import type { ShopId } from '../../data/shops/names';
import type { Store } from '../../data/store';
import { eventText, type Place } from './event';

/** One browser that listens. */
export interface Listener {
  /** @returns false where it takes no more */
  readonly write: (text: string) => boolean;
  readonly end: () => void;
  /** The shop that it hears who is where of. */
  readonly shop: ShopId;
  /** Whether whoever listens still may. */
  readonly mayListen: () => Promise<boolean>;
}

/** Other programmes write to the store, too: while anybody listens, it is looked at so often, ms. */
const LOOK_EVERY_MS = 700;
/** A line that says nothing keeps what lies between from ending a stream, ms. */
const BREATH_MS = 20_000;
/** A browser whose stream ended, and that comes back within so long, was never gone, ms. */
const GONE_AFTER_MS = 3000;
/** Streams at once, and pages that one of them may speak for. */
const MOST_STREAMS = 400;
const MOST_PAGES = 30;

/** A page that somebody is at. */
interface Present {
  readonly here: Here;
  readonly stream: string;
  readonly shop: ShopId;
}

/**
 * Tells every browser what changed, the moment it was written: one write to each for all that changed together. It
 * also tells who is at which job, which no store keeps.
 */
export class LiveHub {
  private readonly listeners = new Map<string, Listener>();
  private readonly present = new Map<string, Present>();
  private place: Place | null = null;
  private looking: Promise<void> | null = null;
  private again = false;
  private timers: readonly NodeJS.Timeout[] = [];

  constructor(private readonly store: Pick<Store, 'db' | 'onWritten'>) {
    store.onWritten(() => void this.look());
  }

  /** Whether as many listen as may. */
  get isFull(): boolean {
    return this.listeners.size >= MOST_STREAMS;
  }

  /** How many listen. */
  get listening(): number {
    return this.listeners.size;
  }

  /**
   * Lets somebody listen.
   * @param since the place that they heard last; what changed after it is told at once
   * @returns takes them off again; null where too many listen
   */
  async open(listener: Listener, since: Place | null): Promise<(() => void) | null> {
    if (this.isFull) return null;
    const found = await changedSince(this.store.db, since?.seq ?? null);
    const there = [...this.present.values()].filter(({ shop }) => shop === listener.shop);
    const here = there.map((each) => each.here);
    const stream = randomUUID();
    const hello: LiveHello = { stream, here, changes: changesOf(found, since) };
    // What is written between the look and this moment is told by the next look.
    this.place ??= { store: found.store, seq: found.seq };
    this.listeners.set(stream, listener);
    listener.write(`retry: 2000\n${eventText('hello', hello, found)}`);
    this.breathe();
    void this.look();
    return () => this.left(stream);
  }

  /** Says where somebody is. @returns whether their stream is one of ours */
  sayHere(who: string, { stream, page, at }: Omit<SayHere, 'by'>): boolean {
    const listener = this.listeners.get(stream);
    if (!listener) return false;
    const { shop } = listener;
    const before = this.present.get(page);
    const here: Here = { page, who, at };
    if (at === null) {
      if (before) this.forget(page);
      return true;
    }
    const own = [...this.present.values()].filter((each) => each.stream === stream);
    if (!before && own.length >= MOST_PAGES) this.forget(own[0]!.here.page);
    this.present.set(page, { here, stream, shop });
    if (JSON.stringify(before?.here) !== JSON.stringify(here)) this.tell(eventText('here', here), shop);
    return true;
  }

  /** Looks what changed since it was looked last, and tells it. Whoever asks meanwhile is answered by one more look. */
  async look(): Promise<void> {
    if (this.listeners.size === 0) return;
    this.again = true;
    this.looking ??= this.lookOnce().finally(() => (this.looking = null));
    await this.looking;
  }

  /** Ends every stream. */
  end(): void {
    for (const timer of this.timers) clearInterval(timer);
    this.timers = [];
    for (const listener of this.listeners.values()) listener.end();
    this.listeners.clear();
    this.present.clear();
  }

  private async lookOnce(): Promise<void> {
    while (this.again) {
      this.again = false;
      // A store that cannot be looked at is told elsewhere; the next look is soon.
      const found = await changedSince(this.store.db, this.place?.seq ?? null).catch(() => null);
      if (found) this.take(found);
    }
  }

  private take(found: ChangedSince): void {
    const { place: before } = this;
    this.place = { store: found.store, seq: found.seq };
    if (!before) return;
    const changes = changesOf(found, before);
    if (changes?.length === 0) return;
    this.tell(eventText('changed', changes, this.place));
    if (changes === null || changes.some(({ topic }) => topic === 'door')) void this.turnOut();
  }

  /** @param shop whose people alone are told; undefined for everybody */
  private tell(text: string, shop?: ShopId): void {
    for (const [stream, listener] of this.listeners) {
      if (shop !== undefined && listener.shop !== shop) continue;
      if (listener.write(text)) continue;
      // What does not read what it is told comes back, and hears what it missed.
      listener.end();
      this.left(stream);
    }
  }

  /** Ends the streams of whoever may not listen any more. */
  private async turnOut(): Promise<void> {
    for (const [stream, listener] of [...this.listeners]) {
      const may = await listener.mayListen().catch(() => true);
      if (may) continue;
      listener.end();
      this.left(stream);
    }
  }

  private left(stream: string): void {
    if (!this.listeners.delete(stream)) return;
    if (this.listeners.size === 0) this.rest();
    const later = setTimeout(() => {
      for (const [page, { stream: its }] of this.present) if (its === stream) this.forget(page);
    }, GONE_AFTER_MS);
    later.unref();
  }

  private forget(page: string): void {
    const { shop, here } = this.present.get(page)!;
    this.present.delete(page);
    this.tell(eventText('here', { page, who: here.who, at: null } satisfies Here), shop);
  }

  /** Looks from time to time, and breathes, while anybody listens. */
  private breathe(): void {
    if (this.timers.length > 0) return;
    this.timers = [
      setInterval(() => void this.look(), LOOK_EVERY_MS),
      setInterval(() => {
        this.tell(': here\n\n');
        void this.turnOut();
      }, BREATH_MS),
    ];
    for (const timer of this.timers) timer.unref();
  }

  private rest(): void {
    for (const timer of this.timers) clearInterval(timer);
    this.timers = [];
    this.place = null;
  }
}

/** What changed since a place; null where all may have: it is another store, an older one, or too much to tell. */
function changesOf(found: ChangedSince, since: Place | null): LiveHello['changes'] {
  if (!since) return [];
  const isAnother = found.store !== since.store || found.seq < since.seq;
  return isAnother || isAsGoodAsAll(found) ? null : found.changes;
}
