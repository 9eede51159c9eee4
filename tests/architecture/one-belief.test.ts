import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { expect, it } from 'vitest';
import { readingAt } from '../../src/core/sheet';
import { FINDING_LIST } from '../../src/core/symptom/findings';

const ROOM = resolve(import.meta.dirname, '../../src/core/symptom');

/** What asks for the next look knows what came and what is there already; it weighs nothing. */
const ASKS = 'ask.ts';

/** May ask the sheet itself, for words that no part is judged by. */
const HEARS_WORDS = 'found.ts';

/** Names a file takes from the sheet's room as values, not as types alone. */
const takenFromSheet = (source: string): readonly string[] =>
  [...source.matchAll(/^import (?!type )\{([^}]*)\} from '\.\.\/sheet';/gm)].flatMap(([, names]) =>
    names!
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== '' && !name.startsWith('type ')),
  );

/** Lengths, heights and angles of a sheet, as they would be read past the belief. */
const rawReadings = (source: string): readonly string[] =>
  source.match(/sheet\.(?:bar|chain|driveSprocket|loop)\b/g) ?? [];

const files = readdirSync(ROOM).filter((name) => name.endsWith('.ts') && !name.includes('.test.') && name !== ASKS);

it('sees a value that is taken from the sheet, and a reading that is read past the belief', () => {
  expect(takenFromSheet("import { valuesAt, type BenchSheet } from '../sheet';\n")).toEqual(['valuesAt']);
  expect(takenFromSheet("import type { BenchSheet } from '../sheet';\n")).toEqual([]);
  expect(rawReadings('const depth = told.sheet.bar?.edges;')).toEqual(['sheet.bar']);
});

it.each(files)('%s: no cause reads a raw reading', (name) => {
  const source = readFileSync(join(ROOM, name), 'utf8');
  expect(takenFromSheet(source)).toEqual(name === HEARS_WORDS ? ['valuesAt'] : []);
  expect(rawReadings(source)).toEqual([]);
});

it('what a cause hears by word is a word: lengths come through the checks', () => {
  const heard = FINDING_LIST.flatMap(([, finding]) => (finding.from === 'word' ? [finding.reading] : []));
  expect(heard.length).toBeGreaterThan(0);
  for (const path of heard) expect(readingAt(path)?.kind.kind, path).not.toBe('length');
});
