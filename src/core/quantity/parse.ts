import { flatMap } from '../flat-map';
import { err, ok, type Result } from '../result';
import { bareUnits, plausibleRange, UNIT_MM, type FieldKind } from './field';
import { mm, type Mm } from './length';

/** A length as somebody typed it. */
export interface TypedLength {
  readonly length: Mm;
  /** The unit it was read in. */
  readonly unit: keyof typeof UNIT_MM;
  /** The raw text, trimmed. */
  readonly text: string;
}

/** Why a typed length was refused. Sentences are made of it in the wording. */
export type LengthProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'not-a-length'; readonly text: string; readonly kind: FieldKind }
  | { readonly code: 'too-many-digits'; readonly most: number }
  | { readonly code: 'negative'; readonly text: string; readonly kind: FieldKind }
  | { readonly code: 'ambiguous'; readonly text: string; readonly readings: readonly { text: string; length: Mm }[] }
  | {
      readonly code: 'out-of-range';
      readonly text: string;
      readonly kind: FieldKind;
      readonly lo: number;
      readonly hi: number;
      readonly readings: readonly { text: string; length: Mm }[];
    };

const UNIT_WORDS: Record<string, readonly (keyof typeof UNIT_MM)[]> = {
  mm: ['mm'],
  millimetre: ['mm'],
  millimetres: ['mm'],
  millimeter: ['mm'],
  millimeters: ['mm'],
  cm: ['cm'],
  centimetre: ['cm'],
  centimetres: ['cm'],
  in: ['in'],
  'in.': ['in'],
  inch: ['in'],
  inches: ['in'],
  '"': ['in'],
  '”': ['in'],
  '″': ['in'],
  "''": ['in'],
  thou: ['thou'],
  thousandths: ['thou'],
  // A "mil" is a thousandth of an inch to some benches and a millimetre to others.
  mil: ['mm', 'thou'],
  mils: ['mm', 'thou'],
};

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** No tool shows more digits, and no number holds more. */
const MOST_DIGITS = 20;

interface NumberReading {
  readonly value: number;
  readonly fraction: boolean;
  readonly shown: string;
}

/** All values a written number can have: a comma before three digits is a decimal comma or a thousands mark. */
function readNumber(text: string): readonly NumberReading[] {
  const mixed = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (mixed) {
    const [, whole, top, bottom] = mixed;
    if (Number(bottom) === 0) return [];
    return [{ value: Number(whole ?? 0) + Number(top) / Number(bottom), fraction: true, shown: text }];
  }
  if (/^\d*\.?\d+$|^\d+\.$/.test(text)) return [{ value: Number(text), fraction: false, shown: text }];
  if (/^\d*,\d+$/.test(text)) {
    const decimal = { value: Number(text.replace(',', '.')), fraction: false, shown: text.replace(',', '.') };
    if (!/^[1-9]\d{0,2},\d{3}$/.test(text)) return [decimal];
    const thousands = text.replace(',', '');
    return [decimal, { value: Number(thousands), fraction: false, shown: thousands }];
  }
  return [];
}

/** Splits "13/64 in" into its number and its unit word; the unit is '' where none is written. */
function splitUnit(text: string): { number: string; unit: string } | null {
  const match = /^([\d.,/\s-]*\d\.?)\s*([a-z."”″']*)$/i.exec(text);
  if (!match) return null;
  return { number: match[1]!.trim(), unit: match[2]!.toLowerCase() };
}

/**
 * Reads a length as a person types it: `3/8`, `1 1/2"`, `.325`, `13/64 in`, `50 thou`, `1.3mm`, `1,3 mm`.
 *
 * A bare fraction is in inches. Any other bare number is read in every unit the field allows; a reading outside
 * the field's plausible range does not count. Exactly one must remain, else the text is refused with the
 * readings named: nothing is guessed. Where the screen shows a unit beside the field, `declared` settles it.
 *
 * @param text what was typed
 * @param kind the field, see {@link FieldKind}
 * @param declared unit shown beside the field (mm or in), if one is shown
 * @returns the length, or the reason it was refused
 * @example parseLength('50', 'gauge') // 1.27 mm, read as 50 thou
 */
export function parseLength(text: string, kind: FieldKind, declared?: 'mm' | 'in'): Result<TypedLength, LengthProblem> {
  const trimmed = text.trim();
  if (trimmed === '') return err({ code: 'empty' });
  if (trimmed.replace(/\D/g, '').length > MOST_DIGITS) return err({ code: 'too-many-digits', most: MOST_DIGITS });
  const plain = trimmed.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]!}`).trim();
  if (/^[-−–]\s*\.?\d/.test(plain)) return err({ code: 'negative', text: trimmed, kind });
  const parts = splitUnit(plain);
  const numbers = parts ? readNumber(parts.number) : [];
  if (!parts || numbers.length === 0) return err({ code: 'not-a-length', text: trimmed, kind });
  const written = parts.unit === '' ? undefined : UNIT_WORDS[parts.unit];
  if (parts.unit !== '' && !written) return err({ code: 'not-a-length', text: trimmed, kind });

  const readings = flatMap(numbers, (number) => {
    const units = written ?? (number.fraction ? (['in'] as const) : bareUnits(kind));
    return units.map((unit) => ({ unit, shown: `${number.shown} ${unit}`, length: mm(number.value * UNIT_MM[unit]) }));
  });
  return choose(trimmed, kind, readings, written ? undefined : declared);
}

interface UnitReading {
  readonly unit: keyof typeof UNIT_MM;
  readonly shown: string;
  readonly length: Mm;
}

function choose(
  text: string,
  kind: FieldKind,
  readings: readonly UnitReading[],
  declared: 'mm' | 'in' | undefined,
): Result<TypedLength, LengthProblem> {
  const { lo, hi } = plausibleRange(kind);
  const plausible = readings.filter(({ length }) => length >= lo && length <= hi);
  const meant = plausible.filter(({ unit }) => unit === declared);
  const left = meant.length > 0 ? meant : plausible;
  const [only, ...rivals] = left;
  const named = (list: readonly UnitReading[]) => list.map(({ shown, length }) => ({ text: shown, length }));
  if (!only) {
    const shown = declared ? readings.filter(({ unit }) => unit === declared) : readings;
    return err({ code: 'out-of-range', text, kind, lo, hi, readings: named(shown.length > 0 ? shown : readings) });
  }
  const distinct = rivals.filter(({ length }) => length !== only.length);
  if (distinct.length > 0) return err({ code: 'ambiguous', text, readings: named([only, ...distinct]) });
  return ok({ length: only.length, unit: only.unit, text });
}
