import type { Change, Topic } from '../../../core/live';
import type { Here, SayHere, SessionView } from '../../../contract';
import { api, IS_SIGNED_OUT } from '../api';
import { Stream, type Told } from './stream';

/** Something that changed, or all of it where the list is null. */
type Changed = (changes: readonly Change[] | null) => void;

/** Where this page's person is. */
export interface OwnPlace {
  readonly by: string;
  readonly at: SayHere['at'];
}

/** Whether this browser can hear at all. */
const HEARS = typeof EventSource !== 'undefined' && typeof navigator !== 'undefined' && 'locks' in navigator;

/**
 * What this page hears of the shop while it is open: what changed, and who is at which job. It begins to listen with the
 * first who asks it to.
 */
class Live {
  private readonly page = crypto.randomUUID();
  private readonly changed = new Set<Changed>();
  private readonly watchers = new Set<() => void>();
  private readonly greeted = new Set<() => void>();
  private present: ReadonlyMap<string, Here> = new Map();
  /** Null while nothing is heard. */
  private streamId: string | null = null;
  private own: OwnPlace | null = null;
  private stream: Stream | null = null;

  readonly onChanged = (listener: Changed): (() => void) => {
    this.begin();
    this.changed.add(listener);
    return () => this.changed.delete(listener);
  };

  /** Has somebody hear that the shop can be heard, each time that it can again. */
  readonly onHello = (listener: () => void): (() => void) => {
    this.begin();
    this.greeted.add(listener);
    return () => this.greeted.delete(listener);
  };

  readonly onPresent = (watcher: () => void): (() => void) => {
    this.begin();
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  /** Everybody at a job, this page among them. The same map for as long as nothing changed. */
  readonly here = (): ReadonlyMap<string, Here> => this.present;

  /** Whether somebody of the list is at this very page. */
  readonly isOwn = ({ page }: Here): boolean => page === this.page;

  /** Says where this page's person is; null when they leave. */
  say(own: OwnPlace | null): void {
    this.begin();
    this.own = own;
    this.tell();
  }

  private begin(): void {
    if (this.stream || !HEARS) return;
    this.stream = new Stream(
      (told) => this.take(told),
      () => this.known(),
    );
    this.stream.begin();
    window.addEventListener('pagehide', () => this.leave(), { once: true });
    // A page that comes back as it was left has heard nothing meanwhile.
    window.addEventListener('pageshow', ({ persisted }) => persisted && this.comeBack(), { once: true });
  }

  private comeBack(): void {
    this.begin();
    this.announce(null);
  }

  private take(told: Told): void {
    if (told.kind === 'lost' || told.kind === 'refused') this.streamId = null;
    if (told.kind === 'refused') void tellWhereSignedOut();
    if (told.kind === 'here') this.put(told.here);
    if (told.kind === 'changed') this.announce(told.changes);
    if (told.kind !== 'hello') return;
    const isNew = this.streamId !== told.stream;
    this.streamId = told.stream;
    this.present = new Map(told.here.map((each) => [each.page, each]));
    for (const watch of this.watchers) watch();
    if (!isNew) return;
    for (const greet of this.greeted) greet();
    this.tell();
    this.announce(told.changes);
  }

  private put(here: Here): void {
    const present = new Map(this.present);
    if (here.at === null) present.delete(here.page);
    else present.set(here.page, here);
    this.present = present;
    for (const watch of this.watchers) watch();
  }

  private announce(changes: readonly Change[] | null): void {
    if (changes?.length === 0) return;
    for (const listener of this.changed) listener(changes);
  }

  private known(): Told | null {
    if (this.streamId === null) return null;
    return { kind: 'hello', stream: this.streamId, here: [...this.present.values()], changes: [] };
  }

  private message(): SayHere | null {
    if (this.streamId === null || !this.own) return null;
    return { stream: this.streamId, page: this.page, ...this.own };
  }

  private tell(): void {
    const message = this.message();
    // Nobody waits for it, and where it is lost the next hello says it again.
    if (message) api.post('/api/live/here', message).catch(() => undefined);
  }

  /** Says that the page is left, in the moment in which it is. */
  private leave(): void {
    const message = this.message();
    if (message?.at)
      navigator.sendBeacon(
        '/api/live/here',
        new Blob([JSON.stringify({ ...message, at: null })], { type: 'application/json' }),
      );
    this.stream?.end();
    this.stream = null;
    this.streamId = null;
  }
}

/** Tells the page where the stream was refused because the session has ended, by whoever ended it. */
async function tellWhereSignedOut(): Promise<void> {
  const session = await api.get<SessionView>('/api/session').catch(() => null);
  if (session?.isClosed && session.me === null) window.dispatchEvent(new Event(IS_SIGNED_OUT));
}

/** What this page hears of the shop. */
export const live = new Live();

/** What a page shows, as far as changes are about it: topics, or one job alone. */
export type About = Topic | { readonly job: string };

/** Whether something that changed is among what is shown. */
export const isAbout = ({ topic, subject }: Change, shown: readonly About[]): boolean =>
  shown.some((about) => (typeof about === 'string' ? about === topic : topic === 'job' && about.job === subject));
