import { flatMap } from '../flat-map';
import { GAUGE_IDS, type GaugeId, type PitchMark } from '../families';
import { inches, mm, type Mm } from '../quantity';

/** One thing that a piece of a stamp may mean. */
export type StampMeaning =
  | { readonly property: 'pitch'; readonly value: PitchMark }
  | { readonly property: 'gauge'; readonly value: GaugeId }
  | { readonly property: 'driveLinks'; readonly value: number; readonly marked: boolean }
  | { readonly property: 'listedLength'; readonly value: Mm }
  | { readonly property: 'teeth'; readonly value: number }
  | { readonly property: 'outOfScope'; readonly what: 'harvester-pitch' | 'harvester-gauge' };

/** A piece of a stamp with everything it may mean: none is unread, several is ambiguous. */
export interface StampToken {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  readonly meanings: readonly StampMeaning[];
}

/** A stamp taken apart, tokens in reading order. */
export interface StampReading {
  readonly text: string;
  readonly tokens: readonly StampToken[];
}

const MARKED_LINKS = [/^(?:dl|d\.l\.|#|⬡)\s*(\d{2,3})$/i, /^(\d{2,3})\s*(?:dl|d\.l\.|e|links?|drive links?)$/i];
const MM_GAUGES: Record<string, GaugeId> = { '1.1': '.043', '1.3': '.050', '1.5': '.058', '1.6': '.063' };

/** Loops from the shortest pruning saw to the longest mill: a bare number in this range may be a count. */
const PLAUSIBLE_LINKS = { lo: 28, hi: 250 } as const;
const PLAUSIBLE_INCHES = { lo: 6, hi: 36 } as const;
const PLAUSIBLE_CM = { lo: 15, hi: 90 } as const;
const PLAUSIBLE_TEETH = { lo: 4, hi: 20 } as const;

/**
 * Pieces of a stamp: a length with its unit, a pitch with its build suffix, links with their marker, or whatever stands
 * between spaces. The order matters: the first pattern that fits at a place takes it.
 */
const PIECE = new RegExp(
  [
    String.raw`\d+(?:[.,]\d+)?\s*(?:cm|mm|inch(?:es)?|in\b\.?|["”″])`,
    String.raw`(?:0?\.325|325|0?\.404|404|1/4|3/8)(?=[-x×]\d{1,2}\b)`,
    String.raw`[-x×]\d{1,2}\s*(?:t|z|teeth)?\b`,
    String.raw`\d{1,2}\s*(?:teeth|t|z)\b`,
    String.raw`3/8\s*(?:lp|low\s*profile|p)?(?![\w/])`,
    String.raw`\d{2,3}\s*(?:drive\s*links?|links?|d\.l\.|dl|e)(?![\w])`,
    String.raw`(?:dl|d\.l\.|#|⬡)\s*\d{2,3}`,
    String.raw`[^\s;|]+`,
  ]
    .map((pattern) => `(?:${pattern})`)
    .join('|'),
  'giu',
);

function pitchMeanings(text: string): StampMeaning[] {
  const flat = text.toLowerCase().replace(/\s+/g, '');
  if (/^3\/8(lp|lowprofile|p)$/.test(flat)) return [{ property: 'pitch', value: '38lp' }];
  if (/^(3\/8|0?\.375)$/.test(flat)) return [{ property: 'pitch', value: '3/8' }];
  if (/^(1\/4|0?\.250?)$/.test(flat)) return [{ property: 'pitch', value: 'quarter' }];
  if (/^(0?\.325|325)$/.test(flat)) return [{ property: 'pitch', value: '325' }];
  if (/^(0?\.404|404)$/.test(flat)) return [{ property: 'pitch', value: '404' }];
  if (/^(3\/4|0?\.750?)$/.test(flat)) return [{ property: 'outOfScope', what: 'harvester-pitch' }];
  return [];
}

function gaugeMeanings(text: string): StampMeaning[] {
  const flat = text
    .toLowerCase()
    .replace(/,/g, '.')
    .replace(/(mm|in\.?|["”″])$/, '')
    .trim();
  if (/^0?\.080$/.test(flat)) return [{ property: 'outOfScope', what: 'harvester-gauge' }];
  const byMm = MM_GAUGES[flat];
  if (byMm && !/["”″]|in/.test(text)) return [{ property: 'gauge', value: byMm }];
  const inchForm = /^0?\.?0(\d{2})$/.exec(flat) ?? (/mm/.test(text) ? null : /^(\d{2})$/.exec(flat));
  const id = inchForm ? GAUGE_IDS.find((gauge) => gauge === `.0${inchForm[1]!}`) : undefined;
  return id ? [{ property: 'gauge', value: id }] : [];
}

function lengthMeanings(text: string): StampMeaning[] {
  const match = /^(\d+(?:[.,]\d+)?)\s*(cm|inch(?:es)?|in\.?|["”″])?$/i.exec(text);
  if (!match) return [];
  const value = Number(match[1]!.replace(',', '.'));
  const unit = match[2]?.toLowerCase();
  if (unit === 'cm') return [{ property: 'listedLength', value: mm(value * 10) }];
  if (unit) return [{ property: 'listedLength', value: inches(value) }];
  const meanings: StampMeaning[] = [];
  if (!Number.isInteger(value)) return meanings;
  if (value >= PLAUSIBLE_INCHES.lo && value <= PLAUSIBLE_INCHES.hi)
    meanings.push({ property: 'listedLength', value: inches(value) });
  if (value >= PLAUSIBLE_CM.lo && value % 5 === 0 && value <= PLAUSIBLE_CM.hi)
    meanings.push({ property: 'listedLength', value: mm(value * 10) });
  return meanings;
}

function linkMeanings(text: string): StampMeaning[] {
  for (const pattern of MARKED_LINKS) {
    const match = pattern.exec(text);
    if (match) return [{ property: 'driveLinks', value: Number(match[1]), marked: true }];
  }
  const bare = /^\d{2,3}$/.test(text) ? Number(text) : NaN;
  const plausible = bare >= PLAUSIBLE_LINKS.lo && bare <= PLAUSIBLE_LINKS.hi;
  return plausible ? [{ property: 'driveLinks', value: bare, marked: false }] : [];
}

/** Teeth, as on a sprocket: `-7`, `x7`, `7T`. */
function teethMeanings(text: string): StampMeaning[] {
  const match = /^(?:[-x×](\d{1,2})\s*(?:t|z|teeth)?|(\d{1,2})\s*(?:teeth|t|z))$/i.exec(text);
  const teeth = Number(match?.[1] ?? match?.[2]);
  return teeth >= PLAUSIBLE_TEETH.lo && teeth <= PLAUSIBLE_TEETH.hi ? [{ property: 'teeth', value: teeth }] : [];
}

/** Everything one piece may mean. */
export function tokenMeanings(text: string): readonly StampMeaning[] {
  const teeth = teethMeanings(text);
  if (teeth.length > 0) return teeth;
  const pitch = pitchMeanings(text);
  if (pitch.length > 0 && !/^\d{3}$/.test(text)) return pitch;
  const gauge = gaugeMeanings(text);
  if (gauge.length > 0 && !/^\d{2}$/.test(text)) return gauge;
  return [...pitch, ...gauge, ...linkMeanings(text), ...lengthMeanings(text)];
}

/** Stamps read so far: one is read for the bar, its nose and its links at each keystroke anywhere. */
const readBefore = new Map<string, StampReading>();
const MOST_REMEMBERED = 500;

/**
 * Takes a stamp apart. Nothing is decided here: a bare `72` is a count that nobody marked, a bare `50` may be a gauge,
 * a count or a length in centimetres, and both stand as such.
 * @param text what is punched on a bar or a link, as read
 */
export function readStamp(text: string): StampReading {
  const before = readBefore.get(text);
  if (before) return before;
  const stamp = takenApart(text);
  if (readBefore.size >= MOST_REMEMBERED) readBefore.clear();
  readBefore.set(text, stamp);
  return stamp;
}

function takenApart(text: string): StampReading {
  const tokens: StampToken[] = [];
  for (const match of text.matchAll(PIECE)) {
    const piece = match[0].replace(/^[,;()[\]]+|[,;()[\]]+$/g, '').trim();
    if (piece === '' || /^[x×/·|-]+$/.test(piece)) continue;
    const start = match.index + match[0].indexOf(piece);
    tokens.push({ text: piece, start, end: start + piece.length, meanings: tokenMeanings(piece) });
  }
  return { text, tokens };
}

/** The meanings of a property that tokens state without rival. Bare counts are included and marked so. */
export function stated<P extends StampMeaning['property']>(
  stamp: StampReading,
  property: P,
): readonly { readonly token: string; readonly meaning: Extract<StampMeaning, { property: P }> }[] {
  return flatMap(stamp.tokens, (token) => {
    const [only, ...others] = token.meanings;
    if (!only || others.length > 0 || only.property !== property) return [];
    return [{ token: token.text, meaning: only as Extract<StampMeaning, { property: P }> }];
  });
}
