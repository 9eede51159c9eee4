import { err, ok, type Result } from '../result';
import type { FieldKind } from './field';
import { type InstrumentId } from './instrument';
import { mm, type Mm } from './length';
import { parseLength, type LengthProblem } from './parse';
import { measured, standardUncertainty, type LengthReading } from './reading';

/** Whether go/no-go marks are tabs put into a groove or slots put over a link. */
export type GoNoGo = 'tab' | 'slot';

/** What a field expects: its kind, its usual instrument, and how go/no-go marks bound it. */
export interface FieldSpec {
  readonly kind: FieldKind;
  readonly instrument: InstrumentId;
  readonly placing?: number;
  /** Tabs by default: the largest that enters is a lower bound. For slots it is the other way round. */
  readonly goNoGo?: GoNoGo;
}

/** A refused typed reading: which text of it, and why. */
export type ReadingProblem = LengthProblem | { readonly code: 'bounds-crossed'; readonly lo: Mm; readonly hi: Mm };

const BOUND = /^(enters|refuses)\s+(.+)$/i;

/**
 * Bounds from go/no-go marks. A tab that enters a groove is no wider than it; a slot that a link enters is no
 * narrower than the link.
 * @param field the field that is read: how its marks bound, and its usual tool
 */
export function boundedFrom(
  enters: Mm | null,
  refuses: Mm | null,
  { goNoGo = 'tab', instrument, placing }: Omit<FieldSpec, 'kind'>,
): Result<LengthReading, ReadingProblem> {
  const [lo, hi] = goNoGo === 'tab' ? [enters, refuses] : [refuses, enters];
  if (lo !== null && hi !== null && lo >= hi) return err({ code: 'bounds-crossed', lo, hi });
  const shown = lo ?? hi;
  if (shown === null) return err({ code: 'empty' });
  // A mark is trusted no further than a reading made at it with the field's usual tool.
  return ok({ kind: 'bounded', lo, hi, u: standardUncertainty(measured([shown], instrument, placing)) });
}

type ReadingResult = Result<LengthReading, ReadingProblem>;

/** Texts read so far: a sheet is read anew at each keystroke, and all but one of its texts are the same. */
const readBefore = new Map<string, ReadingResult>();
const MOST_REMEMBERED = 4000;

/**
 * Reads what a person typed into a field: one length, several repeats separated by `;`, or the two go/no-go marks as
 * `enters .050, refuses .058`.
 * @param declared unit shown beside the field, for bare numbers
 */
export function parseReading(
  text: string,
  field: FieldSpec,
  declared?: 'mm' | 'in',
  instrument: InstrumentId = field.instrument,
): ReadingResult {
  const { kind, placing = '', goNoGo = '' } = field;
  const key = `${kind}|${placing}|${goNoGo}|${field.instrument}|${instrument}|${declared ?? ''}|${text}`;
  const before = readBefore.get(key);
  if (before) return before;
  const read = readText(text, field, declared, instrument);
  if (readBefore.size >= MOST_REMEMBERED) readBefore.clear();
  readBefore.set(key, read);
  return read;
}

function readText(
  text: string,
  field: FieldSpec,
  declared: 'mm' | 'in' | undefined,
  instrument: InstrumentId,
): ReadingResult {
  if (/^\s*(enters|refuses)\b/i.test(text)) return parseBounds(text, field, declared);
  const repeats: Mm[] = [];
  for (const part of text.split(';').filter((piece, i) => i === 0 || piece.trim() !== '')) {
    const read = parseLength(part, field.kind, declared);
    if (!read.ok) return read;
    repeats.push(read.value.length);
  }
  const [first, ...rest] = repeats;
  if (first === undefined) return err({ code: 'empty' });
  const placing = instrument === field.instrument ? field.placing : undefined;
  return ok(measured([mm(first), ...rest], instrument, placing));
}

function parseBounds(text: string, field: FieldSpec, declared?: 'mm' | 'in'): Result<LengthReading, ReadingProblem> {
  let enters: Mm | null = null;
  let refuses: Mm | null = null;
  for (const part of text.split(/[;,]\s+(?=enters|refuses)/i)) {
    const match = BOUND.exec(part.trim());
    if (!match) return err({ code: 'not-a-length', text: part.trim(), kind: field.kind });
    const read = parseLength(match[2]!, field.kind, declared);
    if (!read.ok) return read;
    if (match[1]!.toLowerCase() === 'enters') enters = read.value.length;
    else refuses = read.value.length;
  }
  return boundedFrom(enters, refuses, field);
}
