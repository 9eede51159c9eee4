import type { JudgedAs, JudgedType, SeenAs } from './declare';
import type { WrittenLength } from './written-length';

type Leaf = string | number | boolean;
export type Join<P extends string, K extends string> = P extends '' ? K : `${P}.${K}`;

/**
 * Every place of a sheet, as one points at it: `bar.edges.A.stations.2.near`, members of a list by their number. A
 * place that the sheet does not have is no value of this type, so that a slip of the pen does not compile.
 * @template T a document as it is written
 */
export type PathsOf<T, P extends string = ''> = [WrittenLength] extends [T]
  ? P
  : T extends Leaf
    ? P
    : T extends readonly (infer I)[]
      ? PathsOfMembers<I, P>
      : { [K in keyof T & string]-?: PathsOf<NonNullable<T[K]>, Join<P, K>> }[keyof T & string];

type PathsOfMembers<I, P extends string> = [WrittenLength] extends [I]
  ? `${P}.${number}`
  : [I] extends [string]
    ? P
    : PathsOf<I, `${P}.${number}`>;

/** Groups and lists of a sheet. */
export type GroupsOf<T, P extends string = ''> = [WrittenLength] extends [T]
  ? never
  : T extends Leaf
    ? never
    : T extends readonly (infer I)[]
      ? [I] extends [string]
        ? never
        : P | GroupsOf<I, `${P}.${number}`>
      : P | { [K in keyof T & string]-?: GroupsOf<NonNullable<T[K]>, Join<P, K>> }[keyof T & string];

export type Side = 'A' | 'B';

/**
 * Every reading with what may be said of it, whichever edge or member of a list it belongs to:
 * `bar.edges.stations.near`.
 */
export type ReadingsOf<T, P extends string = ''> = [WrittenLength] extends [T]
  ? readonly [P, WrittenLength]
  : T extends Leaf
    ? readonly [P, T]
    : T extends readonly (infer I)[]
      ? ReadingsOf<I, P>
      : {
          [K in keyof T & string]-?: ReadingsOf<NonNullable<T[K]>, K extends Side ? P : Join<P, K>>;
        }[keyof T & string];

/** Every finding of a declaration with the check it makes, whichever edge or member of a list it belongs to. */
export type FindingsOf<D, P extends string = ''> = D extends { readonly is: 'reading' }
  ? [SeenAs<D>] extends [never]
    ? never
    : readonly [P, SeenAs<D>]
  : D extends { readonly is: 'list'; readonly item: infer I }
    ? FindingsOf<I, P>
    : D extends { readonly is: 'group'; readonly shape: infer S }
      ? { [K in keyof S & string]: FindingsOf<S[K], K extends Side ? P : Join<P, K>> }[keyof S & string]
      : never;

/** Which group or list a place is, whatever edge or member it belongs to. */
export type GroupIdsOf<T, P extends string = ''> = [WrittenLength] extends [T]
  ? never
  : T extends Leaf
    ? never
    : T extends readonly (infer I)[]
      ? [I] extends [string]
        ? never
        : P | GroupIdsOf<I, P>
      : | P
        | {
            [K in keyof T & string]-?: GroupIdsOf<NonNullable<T[K]>, K extends Side ? P : Join<P, K>>;
          }[keyof T & string];

/**
 * Every judged length of a declaration with its check and its limits, whichever edge or member of a list it belongs to.
 */
export type JudgedOf<D, P extends string = ''> = D extends { readonly is: 'reading' }
  ? [JudgedAs<D>] extends [never]
    ? never
    : readonly [P, JudgedAs<D>]
  : D extends { readonly is: 'list'; readonly item: infer I }
    ? JudgedOf<I, P>
    : D extends { readonly is: 'group'; readonly shape: infer S }
      ? { [K in keyof S & string]: JudgedOf<S[K], K extends Side ? P : Join<P, K>> }[keyof S & string]
      : never;

/** The ids of all limits that are told within a declaration. */
export type LimitsOf<D> = Extract<JudgedOf<D>, readonly [string, JudgedType]>[1]['limits'];

/** Members of a list have numbers, edges have letters: neither changes which reading it is. */
export const isMember = (key: string): boolean => /^\d{1,3}$/.test(key);
export const isSide = (key: string): key is Side => key === 'A' || key === 'B';
