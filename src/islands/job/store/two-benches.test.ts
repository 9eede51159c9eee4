import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { NewReadingMessage, PutReadings, PutReadingsReply, StoredReadingMessage } from '../../../contract';
import { memory } from '../../../../tests/support/storage';
import { JobStore } from './job-store';
import { Outbox } from '../../../offline/outbox';

/** A reading that the server does not take, whoever sends it. */
const REFUSED = /!$/;
const PATHS = ['bar.mount', 'bar.stamp'] as const;
type Path = (typeof PATHS)[number];

class Refused extends Error {}

/**
 * The store as the server keeps it: append only, one reading on top of another, a second on the same one comes back.
 */
class PlainServer {
  readonly log: (StoredReadingMessage & { readonly supersedes: string | null })[] = [];

  current = (path: string): StoredReadingMessage | null => this.log.filter((each) => each.path === path).at(-1) ?? null;

  put({ by, readings }: PutReadings): PutReadingsReply {
    if (readings.some(({ text }) => REFUSED.test(text))) throw new Refused('This is not understood.');
    return { results: readings.map((reading) => this.store(reading, by)), lastReading: this.log.length };
  }

  private store(reading: NewReadingMessage, by: string): PutReadingsReply['results'][number] {
    if (this.log.some(({ id }) => id === reading.id)) return { outcome: 'stored', id: reading.id };
    const current = this.current(reading.path);
    if (current && current.id !== reading.supersedes) return { outcome: 'conflict', id: reading.id, current };
    this.log.push({ ...reading, seq: this.log.length + 1, at: '2026-11-23T09:00:00Z', by });
    return { outcome: 'stored', id: reading.id };
  }

  readings = (): StoredReadingMessage[] => PATHS.flatMap((path) => this.current(path) ?? []);
}

const settle = () => new Promise((resolve) => setImmediate(resolve));

/** One screen, what it has shown at each place, and what became of everything entered on it. */
class Bench {
  store: JobStore;
  line: 'up' | 'down' | 'reply-lost' = 'up';
  readonly shown = new Map<Path, Set<string>>(PATHS.map((path) => [path, new Set()]));
  /** Texts entered here that nobody here has replaced or given up. */
  readonly held = new Map<Path, string>();
  private readonly storage = memory();
  private later: (() => void)[] = [];
  /** Answers that the server has given and that have not arrived yet. */
  private answers: (() => void)[] = [];

  constructor(
    private readonly server: PlainServer,
    private readonly name: string,
    private readonly newId: () => string,
  ) {
    this.store = this.opened();
  }

  private opened(): JobStore {
    const send = (message: PutReadings): Promise<PutReadingsReply> => {
      if (this.line === 'down') return Promise.reject(new Error('The server cannot be reached.'));
      try {
        const reply = this.server.put(message);
        if (this.line === 'reply-lost') return Promise.reject(new Error('The server cannot be reached.'));
        return Promise.resolve(reply);
      } catch (error) {
        return Promise.reject(error as Error);
      }
    };
    return new JobStore(this.server.readings(), new Outbox(this.storage, 'job', 'tab'), {
      send,
      fetchJob: () => {
        if (this.line === 'down') return Promise.reject(new Error('The server cannot be reached.'));
        const readings = this.server.readings();
        return new Promise((resolve) => this.answers.push(() => resolve({ readings })));
      },
      newId: this.newId,
      later: (work) => void this.later.push(work),
      announce: () => undefined,
      mayRetry: (error) => !(error instanceof Refused),
    });
  }

  /** Notes what a person can see. Where something is being typed, that is all there is to see. */
  look(): void {
    const { standing, drafts } = this.store.getSnapshot();
    for (const path of PATHS) {
      if (drafts.has(path)) continue;
      const here = standing.get(path);
      if (here) this.shown.get(path)!.add(here.text);
      if (here?.conflict) this.shown.get(path)!.add(here.conflict.text);
    }
  }

  type = (path: Path, text: string): void => this.store.type(path, text, 'mm');

  enter(path: Path): void {
    const draft = this.store.getSnapshot().drafts.get(path);
    if (draft) this.held.set(path, draft.text);
    this.store.enter(path, this.name);
  }

  resolve(path: Path, keep: 'theirs' | 'ours'): void {
    if (!this.store.getSnapshot().standing.get(path)?.conflict) return;
    if (keep === 'theirs') this.held.delete(path);
    this.store.resolve(path, keep, this.name);
  }

  /** Asks what others have stored. The answer is as of now, and comes when it comes. */
  ask = (): void => void this.store.refresh().catch(() => undefined);

  async arrive(): Promise<void> {
    const given = this.answers;
    this.answers = [];
    for (const answer of given) answer();
    await settle();
  }

  /** The tab is closed without a word and opened again. */
  async reload(): Promise<void> {
    this.later = [];
    this.answers = [];
    this.store = this.opened();
    await this.store.flush();
  }

  async tick(): Promise<void> {
    const due = this.later;
    this.later = [];
    for (const work of due) work();
    await settle();
  }
}

type Act =
  | { readonly do: 'type' | 'enter'; readonly bench: number; readonly path: Path; readonly refused: boolean }
  | { readonly do: 'line'; readonly bench: number; readonly line: Bench['line'] }
  | { readonly do: 'reload' | 'ask' | 'arrive' | 'tick'; readonly bench: number }
  | { readonly do: 'resolve'; readonly bench: number; readonly path: Path; readonly keep: 'theirs' | 'ours' };

const bench = fc.nat({ max: 1 });
const path = fc.constantFrom(...PATHS);
const rarely = fc.nat({ max: 9 }).map((n) => n === 9);
const line = fc.constantFrom('up' as const, 'up' as const, 'down' as const, 'reply-lost' as const);
const keep = fc.constantFrom('theirs' as const, 'ours' as const);
const act: fc.Arbitrary<Act> = fc.oneof(
  { weight: 5, arbitrary: fc.record({ do: fc.constant('type' as const), bench, path, refused: rarely }) },
  { weight: 5, arbitrary: fc.record({ do: fc.constant('enter' as const), bench, path, refused: rarely }) },
  { weight: 4, arbitrary: fc.record({ do: fc.constantFrom('ask' as const, 'arrive' as const), bench }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('line' as const), bench, line }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constantFrom('reload' as const, 'tick' as const), bench }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('resolve' as const), bench, path, keep }) },
);

/** Two benches at one job, and the server between them. */
async function played(acts: readonly Act[]) {
  const server = new PlainServer();
  let ids = 0;
  const newId = () => `00000000-0000-4000-8000-${String((ids += 1)).padStart(12, '0')}`;
  const benches = [new Bench(server, 'Ines', newId), new Bench(server, 'Tam', newId)] as const;
  let texts = 0;
  for (const each of acts) {
    const at = benches[each.bench]!;
    if (each.do === 'type') at.type(each.path, `text ${(texts += 1)}${each.refused ? '!' : ''}`);
    else if (each.do === 'enter') at.enter(each.path);
    else if (each.do === 'line') at.line = each.line;
    else if (each.do === 'reload') await at.reload();
    else if (each.do === 'ask') at.ask();
    else if (each.do === 'arrive') await at.arrive();
    else if (each.do === 'resolve') at.resolve(each.path, each.keep);
    else await at.tick();
    await settle();
    at.look();
  }
  for (const at of benches) {
    at.line = 'up';
    await at.tick();
    await at.store.flush();
    await settle();
  }
  return { server, benches };
}

const RUNS = { seed: 1888, numRuns: 800 };
const story = fc.array(act, { minLength: 10, maxLength: 50 });

describe('two benches at one job, with a line that fails', () => {
  it('lose nothing that was entered: it is stored, contradicted and shown, or refused and kept', async () => {
    await fc.assert(
      fc.asyncProperty(story, async (acts) => {
        const { server, benches } = await played(acts);
        for (const at of benches) {
          await at.reload();
          await settle();
          for (const [place, text] of at.held) {
            const here = at.store.getSnapshot().standing.get(place);
            const isStored = server.log.some((each) => each.path === place && each.text === text);
            expect(isStored || here?.text === text, `${text} at ${place}`).toBe(true);
          }
        }
      }),
      RUNS,
    );
  });

  it('never write over what their screen has not shown', async () => {
    await fc.assert(
      fc.asyncProperty(story, async (acts) => {
        const { server, benches } = await played(acts);
        for (const { by, path: place, supersedes } of server.log) {
          const under = server.log.find(({ id }) => id === supersedes);
          if (!under || under.by === by) continue;
          const at = benches[by === 'Ines' ? 0 : 1];
          expect([...at.shown.get(place as Path)!]).toContain(under.text);
        }
      }),
      RUNS,
    );
  });

  it('show the same in the end, where nothing is contradicted or refused', async () => {
    await fc.assert(
      fc.asyncProperty(story, async (acts) => {
        const { server, benches } = await played(acts);
        for (const at of benches) {
          at.ask();
          await at.arrive();
          const { standing, waiting, saving } = at.store.getSnapshot();
          expect(waiting).toBe(0);
          expect(saving).not.toBe('saving');
          for (const place of PATHS) {
            const here = standing.get(place);
            if (here?.conflict || (here && REFUSED.test(here.text))) continue;
            expect(here?.text).toBe(server.current(place)?.text);
          }
        }
      }),
      RUNS,
    );
  });

  it('never contradict themselves when only one of them works', async () => {
    const alone = fc.array(
      act.map((each): Act => ({ ...each, bench: 0 })),
      { minLength: 10, maxLength: 50 },
    );
    await fc.assert(
      fc.asyncProperty(alone, async (acts) => {
        const { server, benches } = await played(acts);
        const { standing } = benches[0].store.getSnapshot();
        expect([...standing.values()].filter(({ conflict }) => conflict !== null)).toEqual([]);
        for (const [place, text] of benches[0].held)
          if (!REFUSED.test(text)) expect(server.current(place)?.text).toBe(text);
      }),
      RUNS,
    );
  });
});
