import { describe, expect, it } from 'vitest';
import type { PutReadings, PutReadingsReply, StoredReadingMessage } from '../../../contract';
import { memory } from '../../../../tests/support/storage';
import { JobStore, type Outside } from './job-store';
import { Outbox } from '../../../offline/outbox';

const stored = (path: string, text: string, id: string): StoredReadingMessage => ({
  seq: 1,
  id,
  path,
  text,
  unit: 'mm',
  instrument: null,
  at: '2026-11-23T09:00:00Z',
  by: 'Tam',
});

type Bendable<T> = { -readonly [K in keyof T]: T[K] };

/** A server that can be told how to answer, and a clock that runs when it is told to. */
function bench(readings: StoredReadingMessage[] = [], storage = memory(), tab = 'tab') {
  const sent: PutReadings[] = [];
  const later: (() => void)[] = [];
  const answers: ((message: PutReadings) => PutReadingsReply)[] = [];
  const accept = (message: PutReadings): PutReadingsReply => ({
    results: message.readings.map(({ id }) => ({ outcome: 'stored', id })),
    lastReading: 7,
  });
  const outside: Bendable<Outside> & { online: boolean; theirs: StoredReadingMessage[] } = {
    online: true,
    theirs: readings,
    send: (message) => {
      if (!outside.online) return Promise.reject(new Error('The server cannot be reached.'));
      sent.push(message);
      return Promise.resolve((answers.shift() ?? accept)(message));
    },
    fetchJob: () => Promise.resolve({ readings: outside.theirs }),
    newId: () => crypto.randomUUID(),
    later: (work) => void later.push(work),
    announce: () => undefined,
    mayRetry: () => true,
  };
  const store = new JobStore(readings, new Outbox(storage, 'job', tab), outside);
  return { store, outside, sent, later, answers, storage };
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('readings on a screen', () => {
  it('are drawn while typed, and sent when entered', async () => {
    const { store, sent } = bench();
    store.type('bar.mount', 'M', 'mm');
    expect(store.getSnapshot().drafts.get('bar.mount')?.text).toBe('M');
    store.type('bar.mount', 'M2', 'mm');
    store.enter('bar.mount', 'Ines');
    expect(store.getSnapshot()).toMatchObject({ saving: 'saving', waiting: 1 });
    await settle();
    expect(sent).toMatchObject([{ by: 'Ines', readings: [{ path: 'bar.mount', text: 'M2', supersedes: null }] }]);
    expect(store.getSnapshot()).toMatchObject({ saving: 'saved', waiting: 0, lastReading: 7 });
  });

  it('that say what stands already are not sent', async () => {
    const { store, sent } = bench([stored('bar.mount', 'M2', 'a')]);
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    store.set('bar.slot', '', 'mm', 'Ines');
    await settle();
    expect(sent).toEqual([]);
  });

  it('build on one another while on their way', async () => {
    const { store, sent } = bench();
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    store.set('bar.mount', 'M4', 'mm', 'Ines');
    await settle();
    const all = sent.flatMap(({ readings }) => readings);
    expect(all[1]!.supersedes).toBe(all[0]!.id);
  });

  it('are kept while the server is away, and sent when it is back', async () => {
    const { store, outside, sent, later, storage } = bench();
    outside.online = false;
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    expect(store.getSnapshot()).toMatchObject({ saving: 'unsaved', trouble: 'The server cannot be reached.' });
    expect([...storage.map.values()].join()).toContain('M2');
    outside.online = true;
    later[0]!();
    await settle();
    expect(sent).toHaveLength(1);
    expect(store.getSnapshot().saving).toBe('saved');
    expect(storage.map.size).toBe(0);
  });

  it('of a tab that was closed are taken over by the next', async () => {
    const first = bench();
    first.outside.online = false;
    first.store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    const second = bench([], first.storage, 'other');
    expect(second.store.getSnapshot().standing.get('bar.mount')?.text).toBe('M2');
    await second.store.flush();
    expect(second.sent).toHaveLength(1);
    expect(first.storage.map.size).toBe(0);
  });

  it('of two people go out under their own names', async () => {
    const { store, outside, sent, later } = bench();
    outside.online = false;
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    store.set('bar.nose', 'hard', 'mm', 'Tam');
    await settle();
    outside.online = true;
    later[0]!();
    await settle();
    expect(sent.map(({ by }) => by)).toEqual(['Ines', 'Tam']);
  });

  it('that meet another’s are shown beside it, and a person chooses', async () => {
    const { store, answers, sent } = bench();
    const theirs = stored('bar.mount', 'M4', 'x');
    answers.push(({ readings }) => ({
      results: readings.map(({ id }) => ({ outcome: 'conflict', id, current: theirs })),
      lastReading: 8,
    }));
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    expect(store.getSnapshot().standing.get('bar.mount')).toMatchObject({ text: 'M2', conflict: { text: 'M4' } });
    store.resolve('bar.mount', 'ours', 'Ines');
    await settle();
    expect(sent.at(-1)?.readings[0]).toMatchObject({ text: 'M2', supersedes: 'x' });
    expect(store.getSnapshot().standing.get('bar.mount')).toMatchObject({ text: 'M2', conflict: null });
  });

  it('keep theirs when told to', async () => {
    const { store, answers } = bench();
    answers.push(({ readings }) => ({
      results: readings.map(({ id }) => ({ outcome: 'conflict', id, current: stored('bar.mount', 'M4', 'x') })),
      lastReading: 8,
    }));
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    store.resolve('bar.mount', 'theirs', 'Ines');
    expect(store.getSnapshot().standing.get('bar.mount')).toMatchObject({ text: 'M4', conflict: null });
  });

  it('take in what another screen stored, but not over what is on its way', async () => {
    const { store, outside } = bench();
    outside.online = false;
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    outside.theirs = [stored('bar.mount', 'M9', 'a'), stored('bar.nose', 'hard', 'b')];
    await store.refresh();
    expect(store.getSnapshot().standing.get('bar.mount')?.text).toBe('M2');
    expect(store.getSnapshot().standing.get('bar.nose')?.text).toBe('hard');
  });

  it('that came from elsewhere are told with who wrote them; those from here are not', async () => {
    const { store, outside } = bench([stored('bar.mount', 'M2', 'a')]);
    store.set('bar.stamp', '325', 'mm', 'Ines');
    await settle();
    const [own] = [store.getSnapshot().standing.get('bar.stamp')!];
    outside.theirs = [stored('bar.mount', 'M2', 'a'), { ...stored('bar.nose', 'hard', 'b'), seq: 8 }];
    outside.theirs.push({ ...stored('bar.stamp', '325', own.id), by: 'Ines', seq: 7 });
    await store.refresh();
    const came = store.getSnapshot().fromElsewhere;
    expect(came).toEqual([{ path: 'bar.nose', by: 'Tam' }]);
    await store.refresh();
    expect(store.getSnapshot().fromElsewhere).toBe(came);
  });

  it('still being typed are entered when the screen goes away', async () => {
    const { store, sent } = bench();
    store.type('bar.mount', 'M2', 'mm');
    store.enterAll('Ines');
    await settle();
    expect(sent[0]?.readings[0]?.text).toBe('M2');
  });

  it('still in conflict are shown again when the page is opened again, until a person chooses', async () => {
    const first = bench();
    const contradict = ({ readings }: PutReadings): PutReadingsReply => ({
      results: readings.map(({ id }) => ({ outcome: 'conflict', id, current: stored('bar.mount', 'M4', 'x') })),
      lastReading: 8,
    });
    first.answers.push(contradict);
    first.store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    expect(first.store.getSnapshot()).toMatchObject({ saving: 'saved', waiting: 0 });
    const second = bench([stored('bar.mount', 'M4', 'x')], first.storage, 'tab');
    second.answers.push(contradict);
    await second.store.flush();
    const { standing } = second.store.getSnapshot();
    expect(standing.get('bar.mount')).toMatchObject({ text: 'M2', conflict: { text: 'M4' } });
    second.store.resolve('bar.mount', 'theirs', 'Ines');
    expect(second.store.getSnapshot().standing.get('bar.mount')).toMatchObject({ text: 'M4', conflict: null });
    expect(second.storage.map.size).toBe(0);
  });

  it('typed before another’s came in do not write over it unseen', async () => {
    const { store, outside, sent } = bench([stored('bar.mount', 'M2', 'a')]);
    store.type('bar.mount', 'M7', 'mm');
    outside.theirs = [{ ...stored('bar.mount', 'M4', 'b'), seq: 9 }];
    await store.refresh();
    store.enter('bar.mount', 'Ines');
    await settle();
    expect(sent[0]?.readings[0]).toMatchObject({ text: 'M7', supersedes: 'a' });
  });

  it('are not replaced by an answer that was on its way when they were stored', async () => {
    const { store, outside } = bench([stored('bar.mount', 'M2', 'a')]);
    const late = { readings: outside.theirs };
    let arrive: () => void = () => undefined;
    outside.fetchJob = () => new Promise((resolve) => (arrive = () => resolve(late)));
    const looking = store.refresh();
    store.set('bar.mount', 'M7', 'mm', 'Ines');
    await settle();
    arrive();
    await looking;
    expect(store.getSnapshot().standing.get('bar.mount')?.text).toBe('M7');
  });
});

describe('a reading that the server refuses', () => {
  /** Refuses a batch with a text that ends in an exclamation mark, as a server refuses what it does not understand. */
  function strictBench() {
    const at = bench();
    let strict = true;
    const accept = at.outside.send;
    at.outside.send = (message) =>
      strict && message.readings.some(({ text }) => text.endsWith('!'))
        ? Promise.reject(new Error('This is not understood.'))
        : accept(message);
    at.outside.mayRetry = (error) => !(error as Error).message.includes('not understood');
    return { ...at, relent: () => (strict = false) };
  }

  it('is laid aside alone, stays on the screen, and holds up no other', async () => {
    const { store, sent, storage, outside, later } = strictBench();
    outside.online = false;
    store.set('bar.stamp', '325', 'mm', 'Ines');
    store.set('bar.mount', 'M2!', 'mm', 'Ines');
    store.set('bar.nose', 'hard', 'mm', 'Ines');
    await settle();
    outside.online = true;
    later[0]!();
    await settle();
    expect(sent.flatMap(({ readings }) => readings.map(({ text }) => text))).toEqual(['325', 'hard']);
    expect(store.getSnapshot()).toMatchObject({ saving: 'refused', trouble: 'This is not understood.', waiting: 0 });
    outside.theirs = [{ ...stored('bar.mount', 'M1', 'old'), seq: 9 }];
    await store.refresh();
    expect(store.getSnapshot().standing.get('bar.mount')?.text).toBe('M2!');
    expect([...storage.map.values()].join()).toContain('M2!');
  });

  it('gives way to what is typed there next, which builds on what was stored', async () => {
    const { store, sent, storage } = strictBench();
    store.set('bar.mount', 'M1', 'mm', 'Ines');
    await settle();
    const base = sent[0]!.readings[0]!.id;
    store.set('bar.mount', 'M2!', 'mm', 'Ines');
    await settle();
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    expect(sent.at(-1)?.readings[0]).toMatchObject({ text: 'M2', supersedes: base });
    expect(store.getSnapshot()).toMatchObject({ saving: 'saved', trouble: null });
    expect(storage.map.size).toBe(0);
  });

  it('is passed over when something else was typed there meanwhile', async () => {
    const { store, outside, sent, later, storage } = strictBench();
    outside.online = false;
    store.set('bar.mount', 'M2!', 'mm', 'Ines');
    store.set('bar.mount', 'M2', 'mm', 'Ines');
    await settle();
    outside.online = true;
    later[0]!();
    await settle();
    expect(sent.flatMap(({ readings }) => readings)).toMatchObject([{ text: 'M2', supersedes: null }]);
    expect(storage.map.size).toBe(0);
  });

  it('is sent again when somebody asks for it', async () => {
    const { store, sent, relent } = strictBench();
    store.set('bar.mount', 'M2!', 'mm', 'Ines');
    await settle();
    expect(store.getSnapshot().saving).toBe('refused');
    relent();
    await store.sendAgain();
    expect(sent).toHaveLength(1);
    expect(store.getSnapshot()).toMatchObject({ saving: 'saved', trouble: null });
  });
});
