import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { sentFile } from '../../src/server/http/sent-file';
import { Refusal } from '../../src/server/refusal';
import { testContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = testContext();
});
afterEach(() => context.done());

/** Health as a server tells it that has just started: what it looked at before is forgotten. */
async function health(now: Date) {
  vi.resetModules();
  const { health: ask } = await import('../../src/server/health');
  return ask({ ...context, now: () => now });
}

describe('health', () => {
  const at = new Date('2026-11-26T09:00:00Z');
  const backupOf = (stamp: string) => {
    mkdirSync(join(dirname(context.path), 'backups'), { recursive: true });
    writeFileSync(join(dirname(context.path), 'backups', `daily-${stamp}.db`), '');
  };

  it('says nothing while all is well, and tells the age of the newest backup', async () => {
    expect(await health(at)).toMatchObject({ status: 'open', backup: null, says: null });
    backupOf('2026-11-25T21-30-00-000Z');
    expect(await health(at)).toMatchObject({ backup: { hours: 11 }, says: null });
  });

  it('says when the newest backup is old', async () => {
    backupOf('2026-11-21T09-00-00-000Z');
    expect((await health(at)).says).toContain('The newest backup is 5 days old');
  });
});

describe('a store that somebody holds', () => {
  afterEach(() => vi.restoreAllMocks());

  it('is told when it stays held, and not for a moment of it', async () => {
    vi.resetModules();
    const { health: ask } = await import('../../src/server/health');
    let ms = 100_000;
    vi.spyOn(performance, 'now').mockImplementation(() => ms);
    const after = async (seconds: number) => {
      ms += seconds * 1000;
      return (await ask(context)).store.trouble;
    };
    const other = new Database(context.path);
    other.exec('BEGIN IMMEDIATE');
    expect(await after(0)).toBeNull();
    expect(await after(3)).toBeNull();
    expect(await after(3)).toBe('held');
    other.exec('COMMIT');
    expect(await after(3)).toBeNull();
    // Held again a minute later: that it was held before says nothing of this time.
    other.exec('BEGIN IMMEDIATE');
    expect(await after(60)).toBeNull();
    expect(await after(60)).toBeNull();
    other.exec('COMMIT');
    other.close();
  });
});

describe('a store that Serrata itself holds', () => {
  afterEach(() => vi.restoreAllMocks());

  it('is not told to be held by another programme, however long a backup of it takes', async () => {
    vi.resetModules();
    let onErrand = true;
    vi.doMock('../../src/server/errands/send', () => ({ isOnErrand: () => onErrand }));
    const { health: ask } = await import('../../src/server/health');
    let ms = 100_000;
    vi.spyOn(performance, 'now').mockImplementation(() => ms);
    const after = async (seconds: number) => {
      ms += seconds * 1000;
      return (await ask(context)).store.trouble;
    };
    const saving = new Database(context.path);
    saving.exec('BEGIN IMMEDIATE');
    for (const seconds of [0, 3, 3, 3]) expect(await after(seconds)).toBeNull();
    // Once the errand is done, whoever holds it still is somebody else.
    onErrand = false;
    expect(await after(3)).toBeNull();
    expect(await after(5)).toBe('held');
    saving.exec('COMMIT');
    saving.close();
    vi.doUnmock('../../src/server/errands/send');
  });
});

describe('a file that could not be made', () => {
  it.each([
    [507, Object.assign(new Error('no space left'), { code: 'ENOSPC' })],
    [503, Object.assign(new Error('read-only'), { code: 'EROFS' })],
    [409, new Refusal(409, 'making', 'Wait.')],
  ])('is answered with %s and a sentence', async (status, error) => {
    vi.spyOn(process.stderr, 'write').mockReturnValue(true);
    const answer = await sentFile(() => Promise.reject(error));
    expect(answer.status).toBe(status);
    expect(((await answer.json()) as { message: string }).message).toMatch(/\.$/);
    vi.restoreAllMocks();
  });
});
