import { flatMap } from '../flat-map';
import type { InstrumentId } from '../quantity';
import type { WrittenBenchSheet } from './bench-sheet';
import type { Entry } from './entry';
import type { Json } from './json';
import { withHowApart } from './how-apart';
import { readingAt } from './places';

/** A length as one would type it: the reverse of reading an entry. */
function lengthText(written: { [key: string]: Json }): { text: string; instrument?: InstrumentId; hand?: string } {
  if (Array.isArray(written.repeats)) {
    const text = written.repeats.join('; ');
    return {
      text,
      ...(typeof written.instrument === 'string' ? { instrument: written.instrument as InstrumentId } : {}),
      ...(typeof written.by === 'string' ? { hand: written.by } : {}),
    };
  }
  const marks = flatMap(['enters', 'refuses'], (mark) =>
    typeof written[mark] === 'string' ? [`${mark} ${written[mark]}`] : [],
  );
  return { text: marks.join(', ') };
}

/** Takes a written sheet apart into entries, so that an imported sheet is stored like a typed one. */
export function entriesFromSheet(written: WrittenBenchSheet): readonly Entry[] {
  const { format: _format, version: _version, studies: _studies, ...content } = withHowApart(written);
  const entries: Entry[] = [];
  const walk = (value: Json, path: string): void => {
    const kind = readingAt(path)?.kind.kind;
    if (kind === 'length' && typeof value === 'object' && !Array.isArray(value))
      entries.push({ path, unit: 'mm', ...lengthText(value) });
    else if (kind === 'choices' && Array.isArray(value)) entries.push({ path, unit: 'mm', text: value.join(', ') });
    else if (typeof value === 'boolean') entries.push({ path, unit: 'mm', text: value ? 'yes' : 'no' });
    else if (typeof value !== 'object') entries.push({ path, unit: 'mm', text: String(value) });
    else for (const [key, inner] of Object.entries(value)) walk(inner, path === '' ? key : `${path}.${key}`);
  };
  walk(JSON.parse(JSON.stringify(content)) as Json, '');
  return entries;
}
