import { describe, expect, it } from 'vitest';
import { troubleOf } from './trouble';

describe('the trouble that an error tells of', () => {
  it.each([
    [{ code: 'SQLITE_BUSY' }, 'held'],
    [{ code: 'SQLITE_BUSY_SNAPSHOT' }, 'held'],
    [{ extendedCode: 'SQLITE_IOERR_WRITE' }, 'disk'],
    [{ cause: { cause: { code: 'SQLITE_FULL' } } }, 'full'],
    [{ code: 'ENOSPC' }, 'full'],
    [{ code: 'SQLITE_READONLY_DBMOVED' }, 'read-only'],
    [{ code: 'SQLITE_CORRUPT' }, 'damaged'],
    [{ code: 'SQLITE_CONSTRAINT' }, null],
    [new TypeError('fetch failed'), 'away'],
    [{ cause: new TypeError('terminated') }, 'away'],
    [new TypeError('fetch is no function'), null],
    [new Error('Server returned HTTP status 401'), 'refused'],
    [new Error('Server returned HTTP status 500'), null],
    [new Error('anything'), null],
    ['text', null],
    [null, null],
  ])('%j: %s', (error, trouble) => {
    expect(troubleOf(error)).toBe(trouble);
  });

  it('is looked for only so deep, and never goes round', () => {
    const round: { cause?: unknown } = {};
    round.cause = round;
    expect(troubleOf(round)).toBeNull();
  });
});
