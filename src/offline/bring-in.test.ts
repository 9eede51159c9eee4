import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { PutReadings, PutReadingsReply } from '../contract';
import { memory } from '../../tests/support/storage';
import { bringIn, type Outside } from './bring-in';
import { Outbox, waitingCounts, waitingJobs, type Waiting } from './outbox';

const reading = (id: string, by = 'Tam', text = '6.5'): Waiting => ({
  ...{ id, path: `bar.edges.A.stations.${id}.near`, text, unit: 'mm' },
  ...{ instrument: null, supersedes: null, by },
});

class Away extends Error {}
class Refused extends Error {}

/** A shop that can be told how to answer, and what it has by now. */
function shop(storage = memory()) {
  const had: { readonly job: string; readonly id: string; readonly by: string }[] = [];
  const messages: PutReadings[] = [];
  const answers: ((message: PutReadings) => PutReadingsReply | Error)[] = [];
  const open = new Set<string>();
  const outside: Outside = {
    storage,
    tab: 'bring-in',
    mayRetry: (error) => error instanceof Away,
    whereNobodyIs: async (job, work) => {
      if (!open.has(job)) await work();
    },
    send: (job, message) => {
      messages.push(message);
      const answer = answers.shift()?.(message);
      if (answer instanceof Error) return Promise.reject(answer);
      for (const { id } of message.readings)
        if (!had.some((each) => each.id === id)) had.push({ job, id, by: message.by });
      const results = message.readings.map(({ id }) => ({ outcome: 'stored' as const, id }));
      return Promise.resolve(answer ?? { results, lastReading: had.length });
    },
  };
  return { outside, had, messages, answers, open, storage };
}

const box = (storage: ReturnType<typeof memory>, job: string, ...readings: Waiting[]) =>
  new Outbox(storage, job, 'tab').write(readings);

describe('what waits of jobs that nobody has open', () => {
  it('is brought in oldest first, each under the name of who typed it, and is gone from the browser', async () => {
    const { outside, messages, had, storage } = shop();
    box(storage, 'j', reading('1', 'Ines'), reading('2', 'Tam'), reading('3', 'Tam'));
    await bringIn(outside);
    expect(messages.map(({ by, readings }) => [by, ...readings.map(({ id }) => id)])).toEqual([
      ['Ines', '1'],
      ['Tam', '2', '3'],
    ]);
    expect(had.map(({ id }) => id)).toEqual(['1', '2', '3']);
    expect(storage.map.size).toBe(0);
  });

  it('is left to the page that has the job open', async () => {
    const { outside, had, open, storage } = shop();
    box(storage, 'j', reading('1'));
    box(storage, 'k', reading('2'));
    open.add('j');
    await bringIn(outside);
    expect(had.map(({ job }) => job)).toEqual(['k']);
    expect(waitingJobs(storage)).toEqual(['j']);
  });

  it('stays whole while the shop is away, and no other job is tried', async () => {
    const { outside, messages, answers, storage } = shop();
    box(storage, 'j', reading('1'));
    box(storage, 'k', reading('2'));
    answers.push(() => new Away());
    await bringIn(outside);
    expect(messages).toHaveLength(1);
    expect(waitingCounts(storage)).toEqual(
      new Map([
        ['j', 1],
        ['k', 1],
      ]),
    );
  });

  it('stays where the shop contradicts or refuses it, and holds up no other', async () => {
    const { outside, had, answers, storage } = shop();
    box(storage, 'j', reading('1', 'A'), reading('2', 'B'), reading('3', 'C'));
    answers.push(
      () => new Refused(),
      ({ readings }) => ({
        results: readings.map(({ id, path }) => ({
          outcome: 'conflict',
          id,
          current: { seq: 1, id: 'theirs', path, text: '7', unit: 'mm', at: '2026-12-01T09:00:00Z', by: 'D' },
        })),
        lastReading: 1,
      }),
    );
    await bringIn(outside);
    expect(had.map(({ id }) => id)).toContain('3');
    expect(new Outbox(storage, 'j', 'next').takeOver().map(({ id }) => id)).toEqual(['1', '2']);
  });

  it('is stored once each, however often the way breaks and answers are lost', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('A', 'B'), { minLength: 1, maxLength: 12 }),
        fc.array(fc.constantFrom('well', 'away', 'answer-lost'), { maxLength: 12 }),
        async (typists, ways) => {
          const { outside, had, storage } = shop();
          const left = [...ways];
          const plain = outside.send;
          const send: Outside['send'] = async (job, message) => {
            const way = left.shift() ?? 'well';
            if (way === 'away') throw new Away();
            const answer = await plain(job, message);
            if (way === 'answer-lost') throw new Away();
            return answer;
          };
          box(storage, 'j', ...typists.map((by, i) => reading(String(i), by)));
          for (let i = 0; i <= ways.length; i += 1) await bringIn({ ...outside, send });
          expect(had.map(({ id, by }) => [id, by])).toEqual(typists.map((by, i) => [String(i), by]));
          expect(storage.map.size).toBe(0);
        },
      ),
      { seed: 31 },
    );
  });
});
