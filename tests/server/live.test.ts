import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { TOPICS, type Change } from '../../src/core/live';
import type { Here, LiveHello } from '../../src/contract';
import { openStore } from '../../src/data/store';
import { eventText, placeFrom, type Place } from '../../src/server/live/event';
import { LiveHub } from '../../src/server/live/hub';
import { benchView } from '../../src/server/use-cases/bench';
import { putReadings } from '../../src/server/use-cases/jobs';
import { givePassword, joinShop } from '../../src/server/use-cases/people';
import { movePart } from '../../src/server/use-cases/shelf';
import { changeLimit, rulesInForce } from '../../src/server/use-cases/shop';
import { stockView } from '../../src/server/use-cases/stock';
import { demoContext, type TestContext } from '../support/context';

const FROM = { device: 'Firefox on Linux', address: '127.0.0.1', before: null };

let context: TestContext;
let hub: LiveHub;
beforeEach(async () => {
  context = demoContext();
  // The Bench brings summaries up to date that its reading came upon: here it has done so before.
  await benchView(context, { page: null });
  await context.store.write(() => Promise.resolve());
  hub = new LiveHub(context.store);
});
afterEach(async () => {
  hub.end();
  await context.done();
});

/** One event, as a browser takes it. */
interface Heard {
  readonly event: string;
  readonly id: string | null;
  readonly data: unknown;
}

/** A browser that listens, and may be told to leave. */
class Browser {
  constructor(private readonly shop = '') {}
  readonly written: string[] = [];
  ended = false;
  may = true;
  leave: () => void = () => undefined;

  async listens(since: Place | null = null): Promise<this> {
    const left = await hub.open(
      {
        write: (text) => this.written.push(text) > 0,
        end: () => void (this.ended = true),
        shop: this.shop,
        mayListen: () => Promise.resolve(this.may),
      },
      since,
    );
    expect(left).not.toBeNull();
    this.leave = left!;
    return this;
  }

  get heard(): readonly Heard[] {
    return this.written.flatMap((text) => {
      const event = /^event: (\w+)$/m.exec(text)?.[1];
      const data = /^data: (.*)$/m.exec(text)?.[1];
      return event && data ? [{ event, id: /^id: (.*)$/m.exec(text)?.[1] ?? null, data: JSON.parse(data) }] : [];
    });
  }

  get hello(): LiveHello {
    return this.heard.find(({ event }) => event === 'hello')!.data as LiveHello;
  }

  get changes(): readonly Change[] {
    return this.heard.filter(({ event }) => event === 'changed').flatMap(({ data }) => data as Change[]);
  }

  get place(): Place {
    return placeFrom(this.heard.findLast(({ id }) => id !== null)?.id)!;
  }
}

const aJob = async (): Promise<string> => (await benchView(context, { page: null })).jobs[0]!.id;

let count = 0;
const read = (job: string, text = 'M2') =>
  putReadings(context, job, {
    by: 'Tam Okoro',
    readings: [
      {
        ...{ id: `live-${(count += 1)}`, path: `bar.edges.A.stations.${50 + count}.near`, text },
        ...{ unit: 'mm', instrument: null, supersedes: null },
      },
    ],
  });

describe('what changes', () => {
  it('is told the moment it is written, by one write to each who listens', async () => {
    const all = await Promise.all(Array.from({ length: 200 }, () => new Browser().listens()));
    const job = await aJob();
    await hub.look();
    const before = all.map(({ written }) => written.length);
    await read(job, '6.5');
    await hub.look();
    for (const [i, { written, changes }] of all.entries()) {
      expect(written.length - before[i]!).toBe(1);
      expect(changes).toContainEqual({ topic: 'job', subject: job });
    }
  });

  it('is told by what it is about', async () => {
    const browser = await new Browser().listens();
    const job = await aJob();
    const { parts } = await stockView(context, new URLSearchParams());
    await read(job, '6.5');
    const [part] = parts;
    await movePart(context, part!.sku, { id: 'm1', by: 'Tam Okoro', kind: 'booked', pieces: 1, note: '' });
    const { value: was } = (await rulesInForce(context)).limits['bar.play'];
    await changeLimit(context, 'bar.play', { by: 'Tam Okoro', value: '0.41', source: null, was });
    await joinShop(context, { name: 'Una' });
    await hub.look();
    const topics = new Set(browser.changes.map(({ topic }) => topic));
    expect([...topics].toSorted()).toEqual(['job', 'rules', 'shop', 'stock']);
    for (const { topic, subject } of browser.changes) expect(subject === '', topic).toBe(topic !== 'job');
  });

  it('is counted upward by the store itself, whatever table it is written to', async () => {
    const told = await context.store.db.all<{ name: string; sql: string }>(
      sql`SELECT name, sql FROM sqlite_master WHERE type = 'trigger' AND name LIKE '%is_told'`,
    );
    const topics = new Set(told.map((trigger) => /VALUES \('(\w+)'/.exec(trigger.sql)?.[1]));
    expect([...topics].toSorted()).toEqual([...TOPICS].toSorted());
    const seqs = await context.store.db.all<{ seq: number }>(sql`SELECT seq FROM changed`);
    expect(new Set(seqs.map(({ seq }) => seq)).size).toBe(seqs.length);
  });

  it('is told though another programme wrote it', async () => {
    const browser = await new Browser().listens();
    const job = await aJob();
    const other = openStore(`file:${context.path}`);
    await putReadings({ ...context, store: other }, job, {
      by: 'Tam Okoro',
      readings: [
        {
          ...{ id: 'elsewhere', path: 'bar.edges.A.stations.70.near', text: '7' },
          ...{ unit: 'mm', instrument: null, supersedes: null },
        },
      ],
    });
    other.close();
    await expect.poll(() => browser.changes, { timeout: 20_000 }).toContainEqual({ topic: 'job', subject: job });
  });
});

describe('after a break', () => {
  it('what was missed is told, each thing once', async () => {
    const first = await new Browser().listens();
    const job = await aJob();
    await hub.look();
    const { place } = first;
    first.leave();
    await read(job, '6.5');
    await read(job, '6.4');
    const { changes } = (await new Browser().listens(place)).hello;
    expect(changes!.filter(({ topic }) => topic === 'job')).toEqual([{ topic: 'job', subject: job }]);
    expect((await new Browser().listens()).hello.changes).toEqual([]);
  });

  it('all may have changed where it is another store, or an older one', async () => {
    const { place } = await new Browser().listens();
    expect((await new Browser().listens({ ...place, store: place.store + 1 })).hello.changes).toBeNull();
    expect((await new Browser().listens({ ...place, seq: place.seq + 1 })).hello.changes).toBeNull();
  });

  it('all may have changed where it is too much to be told', async () => {
    const browser = await new Browser().listens();
    await context.store.write(async (tx) => {
      for (let i = 0; i < 300; i += 1)
        await tx.run(
          sql`INSERT INTO changed (topic, subject, seq) VALUES ('job', ${`j${i}`}, (SELECT max(seq) + 1 FROM changed))`,
        );
    });
    await hub.look();
    expect(browser.heard.at(-1)).toMatchObject({ event: 'changed', data: null });
  });
});

describe('who is at a job', () => {
  const at = (step: 'bar' | 'chain', path: string | null = null) => ({ job: 'j', step, path });
  const present = (browser: Browser): readonly Here[] =>
    browser.heard.filter(({ event }) => event === 'here').map(({ data }) => data as Here);

  it('is told to those who listen, and to those who come', async () => {
    const [tam, ines] = [await new Browser().listens(), await new Browser().listens()];
    const { stream } = tam.hello;
    expect(hub.sayHere('Tam Okoro', { stream, page: 'p', at: at('bar', 'bar.mount') })).toBe(true);
    // The same once more is no news.
    hub.sayHere('Tam Okoro', { stream, page: 'p', at: at('bar', 'bar.mount') });
    expect(present(ines)).toEqual([{ page: 'p', who: 'Tam Okoro', at: at('bar', 'bar.mount') }]);
    expect((await new Browser().listens()).hello.here).toEqual(present(ines));
    hub.sayHere('Tam Okoro', { stream, page: 'p', at: null });
    expect(present(ines).at(-1)).toEqual({ page: 'p', who: 'Tam Okoro', at: null });
  });

  it('is told within one shop alone', async () => {
    const [here, there] = [await new Browser().listens(), await new Browser('lower').listens()];
    hub.sayHere('Tam Okoro', { stream: here.hello.stream, page: 'p', at: at('bar') });
    expect(here.heard.filter(({ event }) => event === 'here')).toHaveLength(1);
    expect(there.heard.filter(({ event }) => event === 'here')).toEqual([]);
    expect((await new Browser('lower').listens()).hello.here).toEqual([]);
    expect((await new Browser().listens()).hello.here).toHaveLength(1);
  });

  it('has gone with the stream, unless their browser comes back with another', async () => {
    const [tam, ines] = [await new Browser().listens(), await new Browser().listens()];
    hub.sayHere('Tam Okoro', { stream: tam.hello.stream, page: 'stays', at: at('bar') });
    hub.sayHere('Tam Okoro', { stream: tam.hello.stream, page: 'goes', at: at('bar') });
    tam.leave();
    const again = await new Browser().listens();
    hub.sayHere('Tam Okoro', { stream: again.hello.stream, page: 'stays', at: at('bar') });
    await expect
      .poll(() => present(ines).filter(({ at }) => at === null), { timeout: 20_000 })
      .toEqual([{ page: 'goes', who: 'Tam Okoro', at: null }]);
    expect(hub.sayHere('Tam Okoro', { stream: tam.hello.stream, page: 'p', at: at('bar') })).toBe(false);
  });
});

describe('who may listen', () => {
  it('is looked at anew when somebody is let in or shut out', async () => {
    const [stays, goes] = [await new Browser().listens(), await new Browser().listens()];
    goes.may = false;
    await joinShop(context, { name: 'Una', role: 'owner' });
    const [una] = await context.store.db.all<{ id: string }>(sql`SELECT id FROM person WHERE name = 'Una'`);
    await givePassword(context, una!.id, 'gravel lantern spoon', FROM);
    await hub.look();
    await expect.poll(() => goes.ended, { timeout: 20_000 }).toBe(true);
    expect(stays.ended).toBe(false);
  });

  it('is ended where a browser reads nothing any more, and comes back to what it missed', async () => {
    const stuck = await hub.open(
      { write: () => false, end: () => undefined, shop: '', mayListen: () => Promise.resolve(true) },
      null,
    );
    expect(stuck).not.toBeNull();
    const other = await new Browser().listens();
    await read(await aJob(), '6.5');
    await hub.look();
    expect(hub.listening).toBe(1);
    expect(other.changes).not.toEqual([]);
  });
});

it('places are read back as they were written, and nothing else is', () => {
  const text = eventText('changed', null, { store: 3, seq: 17 });
  expect(placeFrom(/^id: (.*)$/m.exec(text)![1])).toEqual({ store: 3, seq: 17 });
  for (const said of [null, undefined, '', '3', '3-', 'a-b', '-1-2', '1e3-4']) expect(placeFrom(said)).toBeNull();
});
