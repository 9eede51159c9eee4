import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { existsSync, mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { clearHalfMade, isDailyDue, KEEPING, toLetGo, type KeptBackup } from './backups';

const DAY = 86_400_000;
const noon = Date.UTC(2026, 10, 26, 12);
const backup = (at: number, kind: KeptBackup['kind'] = 'daily'): KeptBackup => ({
  name: `${kind}-${at}`,
  file: '',
  kind,
  at: new Date(at),
  bytes: 1,
});
const days = (count: number) => Array.from({ length: count }, (_, i) => backup(noon - i * DAY));
const stay = (backups: readonly KeptBackup[]) => {
  const gone = new Set(toLetGo(backups));
  return backups.filter((each) => !gone.has(each));
};

describe('the keeping rule', () => {
  it('keeps the last days, then one a week, then one a month', () => {
    const kept = stay(days(500)).map(({ at }) => at.toISOString().slice(0, 10));
    expect(kept.slice(0, 7)).toEqual(['26', '25', '24', '23', '22', '21', '20'].map((day) => `2026-11-${day}`));
    // 22 and 15, 8, 1 November are Sundays, the last days of their weeks.
    expect(kept).toEqual(
      expect.arrayContaining(['2026-11-15', '2026-11-08', '2026-11-01', '2026-10-31', '2026-01-31']),
    );
    expect(kept.at(-1)).toBe('2025-12-31');
    expect(kept.length).toBeLessThanOrEqual(KEEPING.days + KEEPING.weeks + KEEPING.months);
  });

  it('keeps the newest of those made by hand, and never counts one kind against another', () => {
    const byHand = Array.from({ length: 14 }, (_, i) => backup(noon - i * 1000, 'by-hand'));
    expect(stay([...byHand, backup(noon - 20 * DAY, 'migration')])).toHaveLength(KEEPING.others + 1);
  });

  it('never lets the newest go, whatever the clock did, and lets none go of what it kept', () => {
    const kinds = fc.constantFrom('daily', 'by-hand', 'migration', 'brought', 'before');
    const any = fc.array(fc.tuple(fc.integer({ min: 0, max: 4e12 }), kinds), { maxLength: 60 });
    fc.assert(
      fc.property(any, (list) => {
        const backups = list.map(([at, kind]) => backup(at, kind as KeptBackup['kind'])).sort((a, b) => +b.at - +a.at);
        const kept = stay(backups);
        for (const kind of ['daily', 'by-hand'] as const) {
          const newest = backups.find((each) => each.kind === kind);
          if (newest) expect(kept).toContain(newest);
        }
        expect(stay(kept)).toEqual(kept);
      }),
      { seed: 11, numRuns: 200 },
    );
  });
});

describe('a daily backup', () => {
  it('is due when none was made in the day before', () => {
    expect(isDailyDue([], new Date(noon))).toBe(true);
    expect(isDailyDue([backup(noon - DAY / 2)], new Date(noon))).toBe(false);
    expect(isDailyDue([backup(noon - DAY / 2, 'by-hand')], new Date(noon))).toBe(true);
    expect(isDailyDue([backup(noon - DAY)], new Date(noon))).toBe(true);
  });

  it('is due when a clock that was wrong has dated the last one ahead', () => {
    expect(isDailyDue([backup(noon + 900 * DAY)], new Date(noon))).toBe(true);
  });
});

describe('what a killed server left half made', () => {
  it('is cleared away once it is old, and nothing else', () => {
    const home = mkdtempSync(join(tmpdir(), 'serrata-half-'));
    const store = join(home, 'shop.db');
    const folder = join(home, '.archive-abc');
    mkdirSync(folder);
    const files = ['shop.db', 'old.db.part', 'young.db.part', 'notes.txt'].map((name) => join(home, name));
    for (const file of files) writeFileSync(file, 'x');
    const hourAgo = new Date(Date.now() - 2 * 3_600_000);
    for (const path of [files[1]!, files[3]!, folder]) utimesSync(path, hourAgo, hourAgo);
    clearHalfMade(store, new Date());
    expect([...files, folder].map((path) => existsSync(path))).toEqual([true, false, true, true, false]);
    rmSync(home, { recursive: true });
  });
});
