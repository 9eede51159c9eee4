import type { Client } from '@libsql/client';
import { describe, expect, it, vi } from 'vitest';
import { patient } from './patience';

/** A client that finds the store held so many times. */
function heldFor(times: number) {
  const asked = { executed: 0, reconnected: 0 };
  const client = {
    closed: false,
    execute: () => {
      asked.executed += 1;
      return asked.executed <= times ? Promise.reject({ code: 'SQLITE_BUSY' }) : Promise.resolve('done');
    },
    reconnect: () => {
      asked.reconnected += 1;
      return Promise.resolve();
    },
  };
  return { asked, client: client as unknown as Client };
}

describe('a client that waits for whoever holds the store', () => {
  it('tries again until it is free, and drops the connection that saw it held', async () => {
    const { asked, client } = heldFor(3);
    await expect(patient(client, () => false).execute('SELECT 1')).resolves.toBe('done');
    expect(asked).toEqual({ executed: 4, reconnected: 3 });
  });

  it('keeps the connection while a write of ours is under way', async () => {
    const { asked, client } = heldFor(2);
    await patient(client, () => true).execute('SELECT 1');
    expect(asked.reconnected).toBe(0);
  });

  it('lets any other trouble through at once', async () => {
    const client = { closed: false, execute: () => Promise.reject(new Error('no such table')) } as unknown as Client;
    await expect(patient(client, () => false).execute('SELECT 1')).rejects.toThrow('no such table');
  });

  it('tells a write after four seconds, whatever looks go on meanwhile', async () => {
    vi.useFakeTimers();
    try {
      const client = {
        closed: false,
        execute: () => Promise.resolve('seen'),
        transaction: () => Promise.reject({ code: 'SQLITE_BUSY' }),
        reconnect: () => Promise.resolve(),
      };
      const waiting = patient(client as unknown as Client, () => false);
      let told: unknown = null;
      waiting.transaction('write').catch((error: unknown) => (told = error));
      for (let ms = 0; ms < 4200; ms += 50) {
        if (ms < 3900) expect(told).toBeNull();
        await waiting.execute('SELECT 1');
        await vi.advanceTimersByTimeAsync(50);
      }
      expect(told).toMatchObject({ code: 'SQLITE_BUSY' });
    } finally {
      vi.useRealTimers();
    }
  });
});
