import { LIVE_ADDRESS, type Here, type LiveChanges, type LiveHello } from '../../../contract';

/** What a browser hears of the shop. */
export type Told =
  | ({ readonly kind: 'hello' } & LiveHello)
  | { readonly kind: 'changed'; readonly changes: LiveChanges }
  | { readonly kind: 'here'; readonly here: Here }
  /** Nothing is heard until the next hello. */
  | { readonly kind: 'lost' }
  /** The server lets this browser hear nothing. */
  | { readonly kind: 'refused' };

/** What the pages of a browser tell one another. */
type Between = { readonly told: Told; readonly last: string } | { readonly asks: true };

/** One page of a browser hears, and tells the others: a browser opens six connections to a server, and no more. */
const LOCK = 'serrata:live';
/** The place in the order of all changes that this page was drawn at; empty where the server could not say. */
const drawnAt = (): string => document.querySelector<HTMLMetaElement>('meta[name="serrata-drawn-at"]')?.content ?? '';

/** Whether something may have changed between two places. A page that was drawn after what others heard lacks nothing. */
function isBehind(drawn: string, heard: string): boolean {
  const [store, seq] = drawn.split('-');
  const [itsStore, itsSeq] = heard.split('-');
  return store !== itsStore || Number(seq) < Number(itsSeq);
}

/** A server that turned the stream away is asked again after so long, each time after twice as long, ms. */
const ASK_AGAIN_MS = 5000;
const LONGEST_MS = 300_000;

/** The one stream of a browser, as this page hears it. */
export class Stream {
  private readonly channel = new BroadcastChannel(LOCK);
  private readonly ends = new AbortController();
  /** Where the browser goes on after a break: another page may go on for this one. */
  private last = drawnAt();
  private readonly drawn = this.last;
  private isGreeted = false;
  /** What a page that comes later is told first; null on a page that only listens. */
  private answers: (() => Told | null) | null = null;
  private source: EventSource | null = null;
  private pause = ASK_AGAIN_MS;

  constructor(
    private readonly hear: (told: Told) => void,
    /** What this page knows, as a hello to one that comes later. */
    private readonly known: () => Told | null,
  ) {}

  /** Begins to listen: as the page that hears for all, or by what that one tells. */
  begin(): void {
    this.channel.onmessage = ({ data }: MessageEvent<Between>) => {
      if ('asks' in data) {
        const hello = this.answers?.();
        if (hello) this.post(hello);
        return;
      }
      this.last = data.last || this.last;
      this.hear(this.asFirst(data.told, data.last));
    };
    this.channel.postMessage({ asks: true } satisfies Between);
    const lead = () =>
      new Promise<void>((resolve) => {
        this.answers = this.known;
        this.open();
        this.ends.signal.addEventListener('abort', () => resolve());
      });
    navigator.locks.request(LOCK, { signal: this.ends.signal }, lead).catch(() => undefined);
  }

  end(): void {
    this.ends.abort();
    this.source?.close();
    this.channel.close();
  }

  /** What another page tells first knows nothing of what changed since this page was drawn. */
  private asFirst(told: Told, last: string): Told {
    if (told.kind !== 'hello' || this.isGreeted) return told;
    this.isGreeted = true;
    return isBehind(this.drawn, last) ? { ...told, changes: null } : told;
  }

  private post(told: Told): void {
    this.channel.postMessage({ told, last: this.last } satisfies Between);
  }

  private take(told: Told, last: string): void {
    this.last = last || this.last;
    this.hear(told);
    this.post(told);
  }

  private open(): void {
    if (this.ends.signal.aborted) return;
    const source = new EventSource(this.last === '' ? LIVE_ADDRESS : `${LIVE_ADDRESS}?since=${this.last}`);
    this.source = source;
    const on = <T>(event: string, toldOf: (data: T) => Told) =>
      source.addEventListener(event, ({ data, lastEventId }: MessageEvent<string>) =>
        this.take(toldOf(JSON.parse(data) as T), lastEventId),
      );
    on<LiveHello>('hello', (hello) => {
      this.pause = ASK_AGAIN_MS;
      // A page that does not know when it was drawn may lack anything.
      const isLost = !this.isGreeted && this.drawn === '';
      this.isGreeted = true;
      return { kind: 'hello', ...hello, changes: isLost ? null : hello.changes };
    });
    on<LiveChanges>('changed', (changes) => ({ kind: 'changed', changes }));
    on<Here>('here', (here) => ({ kind: 'here', here }));
    source.onerror = () => {
      const isRefused = source.readyState === EventSource.CLOSED;
      this.take({ kind: isRefused ? 'refused' : 'lost' }, '');
      if (!isRefused) return;
      setTimeout(() => this.open(), this.pause);
      this.pause = Math.min(2 * this.pause, LONGEST_MS);
    };
  }
}
