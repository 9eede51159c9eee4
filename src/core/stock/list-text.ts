import { err, ok, type Result } from '../result';

/** Encodings that lists come in. */
export type ListEncoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** Why a list is not read at all. */
export type ListProblem =
  | { readonly code: 'too-large'; readonly bytes: number; readonly most: number }
  | { readonly code: 'too-many-rows'; readonly most: number }
  | { readonly code: 'workbook' | 'not-text' | 'empty' }
  /** @property line where the quotation mark is opened, the first line being 1 */
  | { readonly code: 'quote-not-closed'; readonly line: number };

/**
 * Largest list taken in at once, bytes and rows: many times what a shop keeps, and little enough to be held in a
 * browser.
 */
export const MOST_LIST_BYTES = 48_000_000;
export const MOST_LIST_ROWS = 200_000;

/** The text of a list, and how it was read. */
export interface ListText {
  readonly text: string;
  readonly encoding: ListEncoding;
}

const MARKS: readonly (readonly [ListEncoding, readonly number[]])[] = [
  ['utf-8', [0xef, 0xbb, 0xbf]],
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
];

/** Bytes looked at for what kind of text it is. */
const LOOKED_AT = 4096;
/** Of a text in UTF-16 that is mostly Latin, more than this share of every other byte is nothing. */
const NOTHING_SHARE = 0.4;

/** UTF-16 without a mark: every other byte of Latin letters is nothing. */
function unmarkedUtf16(bytes: Uint8Array): ListEncoding | null {
  const nothing = [0, 0];
  const most = Math.min(bytes.length, LOOKED_AT);
  for (let i = 0; i < most; i += 1) if (bytes[i] === 0) nothing[i % 2]! += 1;
  const share = (at: 0 | 1): number => nothing[at]! / Math.max(1, most / 2);
  if (share(1) > NOTHING_SHARE && share(0) < 0.05) return 'utf-16le';
  return share(0) > NOTHING_SHARE && share(1) < 0.05 ? 'utf-16be' : null;
}

function decoded(bytes: Uint8Array, encoding: ListEncoding): string | null {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

/** Letters that no text has. */
// eslint-disable-next-line no-control-regex -- exactly they are looked for
const NO_LETTERS = /[\u0000-\u0008\u000E-\u001A\u001C-\u001F]/;

/**
 * Reads the text of a list from its bytes: by its mark where it has one, else UTF-8 if every byte agrees, else the
 * Western single-byte encoding in which any byte is a letter. Never guesses letters: what is no text is refused.
 */
export function listText(bytes: Uint8Array): Result<ListText, ListProblem> {
  if (bytes.length > MOST_LIST_BYTES) return err({ code: 'too-large', bytes: bytes.length, most: MOST_LIST_BYTES });
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return err({ code: 'workbook' });
  const marked = MARKS.find(([, mark]) => mark.every((byte, i) => bytes[i] === byte))?.[0] ?? unmarkedUtf16(bytes);
  const encodings: readonly ListEncoding[] = marked ? [marked] : ['utf-8', 'windows-1252'];
  for (const encoding of encodings) {
    const text = decoded(bytes, encoding);
    if (text === null) continue;
    return NO_LETTERS.test(text.slice(0, LOOKED_AT)) ? err({ code: 'not-text' }) : ok({ text, encoding });
  }
  return err({ code: 'not-text' });
}
