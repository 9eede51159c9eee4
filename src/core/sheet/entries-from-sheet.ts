import type { InstrumentId } from '../quantity';
import type { WrittenBenchSheet } from './bench-sheet';
import type { Entry } from './entry';
import { entryPlace } from './entry-field';
import type { Json } from './json';

/** A quantity as one would type it: the reverse of reading an entry. */
function quantityText(written: { [key: string]: Json }): { text: string; instrument?: InstrumentId } {
  if (Array.isArray(written.repeats)) {
    const text = written.repeats.join('; ');
    return typeof written.instrument === 'string' ? { text, instrument: written.instrument as InstrumentId } : { text };
  }
  const marks = ['enters', 'refuses'].flatMap((mark) =>
    typeof written[mark] === 'string' ? [`${mark} ${written[mark]}`] : [],
  );
  return { text: marks.join(', ') };
}

/** Takes a written sheet apart into entries, so that an imported sheet is stored like a typed one. */
export function entriesFromSheet(written: WrittenBenchSheet): readonly Entry[] {
  const { format: _format, version: _version, ...content } = written;
  const entries: Entry[] = [];
  const walk = (value: Json, path: string): void => {
    const field = entryPlace(path)?.field;
    if (field?.kind === 'quantity' && typeof value === 'object' && !Array.isArray(value))
      entries.push({ path, unit: 'mm', ...quantityText(value) });
    else if (field?.kind === 'choices' && Array.isArray(value))
      entries.push({ path, unit: 'mm', text: value.join(', ') });
    else if (typeof value === 'boolean') entries.push({ path, unit: 'mm', text: value ? 'yes' : 'no' });
    else if (typeof value !== 'object') entries.push({ path, unit: 'mm', text: String(value) });
    else for (const [key, inner] of Object.entries(value)) walk(inner, path === '' ? key : `${path}.${key}`);
  };
  walk(JSON.parse(JSON.stringify(content)) as Json, '');
  return entries;
}
