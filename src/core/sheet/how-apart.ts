import type { Place } from '../reading';
import { SHEET } from './places';

/** A finding as a sheet may write it, with how it was made. */
interface Made {
  readonly says: unknown;
  readonly with: unknown;
}

const isMade = (value: unknown): value is Made =>
  typeof value === 'object' && value !== null && 'says' in value && 'with' in value;

function apart(place: Place | undefined, value: unknown): unknown {
  if (!place || typeof value !== 'object' || value === null) return value;
  if (place.is === 'list') return Array.isArray(value) ? value.map((each) => apart(place.item, each)) : value;
  if (place.is === 'reading') return value;
  const found: Record<string, unknown> = {};
  for (const [key, inner] of Object.entries(value)) {
    const member = place.members.get(key);
    const how = member?.is === 'reading' ? member.reading.told.madeWith : undefined;
    if (how !== undefined && isMade(inner)) Object.assign(found, { [key]: inner.says, [how]: inner.with });
    else found[key] = apart(member, inner);
  }
  return found;
}

/** Whether any place within tells how it was made. */
function tells(place: Place): boolean {
  if (place.is === 'reading') return place.reading.told.madeWith !== undefined;
  return place.is === 'list' ? tells(place.item) : [...place.members.values()].some(tells);
}

/** The groups of the sheet in which findings may be written with how they were made, looked up once. */
const TELLING = [...SHEET.members].filter(([, member]) => tells(member)).map(([key]) => key);

/** A sheet in which every finding stands as its word, and how it was made beside it. */
export function withHowApart<S extends object>(sheet: S): S {
  const changed = TELLING.filter((key) => key in sheet).map(
    (key) => [key, apart(SHEET.members.get(key), (sheet as Record<string, unknown>)[key])] as const,
  );
  return changed.length === 0 ? sheet : { ...sheet, ...Object.fromEntries(changed) };
}
