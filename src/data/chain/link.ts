import { createHash } from 'node:crypto';

/** A link: its place in the chain, which record it holds, and its hash. */
export interface Link {
  readonly seq: number;
  /** Table of the record. */
  readonly record: string;
  /** The record's own number or id. */
  readonly key: string;
  readonly hash: string;
}

/** The last link of a chain so far. */
export type Head = Pick<Link, 'seq' | 'hash'>;

/** Before the first link. */
export const NO_HEAD: Head = { seq: 0, hash: '' };

/** What a cell of a chained record may hold. */
type Cell = string | number | bigint | null;

/**
 * What stands in a record, as one text: its columns by name, those that are null left out, so that a later version may
 * add some.
 */
export function contentOf(row: Readonly<Record<string, unknown>>): string {
  const cells = Object.entries(row as Record<string, Cell>).filter(([, cell]) => cell !== null && cell !== undefined);
  return JSON.stringify(cells.sort(([one], [other]) => (one < other ? -1 : 1)));
}

/**
 * SHA-256 (FIPS 180-4) over the link before and all that this one holds, in hexadecimal digits.
 * @param content as {@link contentOf} writes it
 */
export const hashOf = (before: string, { seq, record, key }: Omit<Link, 'hash'>, content: string): string =>
  createHash('sha256')
    .update(JSON.stringify([before, seq, record, key, content]))
    .digest('hex');

/** Letters and digits that are not taken for one another by hand (Crockford's base 32). */
const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const BITS = 5;
const GROUPS = 3;
const IN_A_GROUP = 4;

/**
 * The short code of a link, as papers carry it: its place and 60 bits of its hash, such as `1204-7K2M-Q9XT-04BC`.
 */
export function codeOf({ seq, hash }: Head): string {
  // Of a chain without links the hash is empty: that is nought.
  const bits = BigInt(`0x0${hash.slice(0, 15)}`);
  const letters = Array.from({ length: GROUPS * IN_A_GROUP }, (_, i) =>
    LETTERS.charAt(Number((bits >> BigInt(BITS * (GROUPS * IN_A_GROUP - 1 - i))) & 31n)),
  ).join('');
  return [String(seq), ...letters.match(/.{4}/g)!].join('-');
}

/** A code as somebody types it: spaces, small letters, and what is taken for another letter. Null where it is none. */
export function codeFrom(text: string): string | null {
  const found = /^\s*(\d{1,15})[\s-]?((?:[\dA-Z]{4}[\s-]?){3})\s*$/.exec(text.toUpperCase());
  if (!found) return null;
  const letters = found[2]!.replace(/[\s-]/g, '').replaceAll('O', '0').replace(/[IL]/g, '1');
  return [found[1], ...letters.match(/.{4}/g)!].join('-');
}
