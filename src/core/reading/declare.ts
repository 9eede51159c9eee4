import type { FieldSpec, LengthReading } from '../quantity';
import type { Judged, Part, Seen, SeenWord, Told, ToldLimit } from './told';
import type { WrittenLength } from './written-length';

/** What kind of thing a reading is, and what it may be. */
export type Kind =
  | { readonly kind: 'length'; readonly spec: FieldSpec }
  | { readonly kind: 'count'; readonly from: number; readonly to: number }
  | { readonly kind: 'number'; readonly from: number; readonly to: number }
  | { readonly kind: 'choice'; readonly options: readonly string[] }
  | { readonly kind: 'choices'; readonly options: readonly string[]; readonly most: number }
  | { readonly kind: 'yes-no' }
  | { readonly kind: 'text'; readonly most: number };

declare const AS_READ: unique symbol;
declare const AS_WRITTEN: unique symbol;
declare const AS_SEEN: unique symbol;
declare const AS_JUDGED: unique symbol;

/** The check that a judged length makes, and the ids of its limits. */
export interface JudgedType {
  readonly check: string;
  readonly limits: string;
}

/**
 * One reading: what it is and all that is told of it. Its types as read, as written, as seen and as judged (the check
 * it makes) ride along and cost nothing.
 */
export interface ReadingDeclaration<R = unknown, W = R, C extends string = never, J extends JudgedType = never> {
  readonly is: 'reading';
  readonly kind: Kind;
  readonly told: Told;
  readonly [AS_READ]?: R;
  readonly [AS_WRITTEN]?: W;
  readonly [AS_SEEN]?: C;
  readonly [AS_JUDGED]?: J;
}

/** Readings that belong together. */
export interface GroupDeclaration<S extends Shape = Shape, M extends keyof S = keyof S> {
  readonly is: 'group';
  readonly shape: S;
  /** Without these the group says nothing and waits; any other may be missing. */
  readonly must: readonly M[];
  readonly told: Told;
}

/** Many of a kind. */
export interface ListDeclaration<I extends Declaration = Declaration, E extends boolean = boolean> {
  readonly is: 'list';
  readonly item: I;
  /** Room for so many. */
  readonly most: number;
  /** The reading that members stand in order by; else by their numbers. */
  readonly orderedBy: string | null;
  /** True where the list stands, empty, although nothing is said of it. */
  readonly standsEmpty: E;
  readonly told: Told;
}

// A group's shape and a list's item are declarations again; the checker wants the knot tied by name.
/* eslint-disable @typescript-eslint/no-explicit-any */
export type Declaration =
  ReadingDeclaration<any, any, any, any> | GroupDeclaration<any, any> | ListDeclaration<any, any>;
/* eslint-enable @typescript-eslint/no-explicit-any */
export type Shape = Readonly<Record<string, Declaration>>;

type Flat<T> = { [K in keyof T]: T[K] };
type Empty<S> = { [K in keyof S]: S[K] extends { readonly standsEmpty: true } ? K : never }[keyof S];
type Must<S, M> = Extract<keyof S, M>;
type May<S, M> = Exclude<keyof S, M>;

/** What a declaration is as read: lengths are readings. */
export type ReadOf<D> = D extends { readonly is: 'reading'; readonly [AS_READ]?: infer R }
  ? NonNullable<R>
  : D extends { readonly is: 'list'; readonly item: infer I }
    ? ReadOf<I>[]
    : D extends { readonly is: 'group'; readonly shape: infer S; readonly must: readonly (infer M)[] }
      ? Flat<
          { [K in Must<S, M | Empty<S>>]: ReadOf<S[K]> } & {
            [K in May<S, M | Empty<S>>]?: ReadOf<S[K]> | undefined;
          }
        >
      : never;

/** What a declaration is as JSON writes it. */
export type WrittenOf<D> = D extends { readonly is: 'reading'; readonly [AS_WRITTEN]?: infer W }
  ? NonNullable<W>
  : D extends { readonly is: 'list'; readonly item: infer I }
    ? WrittenOf<I>[]
    : D extends { readonly is: 'group'; readonly shape: infer S; readonly must: readonly (infer M)[] }
      ? Flat<{ [K in Must<S, M>]: WrittenOf<S[K]> } & { [K in May<S, M>]?: WrittenOf<S[K]> | undefined }>
      : never;

/** The check that a finding makes; never for any other reading. */
export type SeenAs<D> = D extends { readonly is: 'reading'; readonly [AS_SEEN]?: infer C } ? Extract<C, string> : never;

/** What a length is judged by; never for any other reading. */
export type JudgedAs<D> = D extends { readonly is: 'reading'; readonly [AS_JUDGED]?: infer J }
  ? Extract<J, JudgedType>
  : never;

const reading = <R, W = R>(kind: Kind, told: Told): ReadingDeclaration<R, W> => ({ is: 'reading', kind, told });

/** A length's own limit, the word by which its warning band is called, and what follows from them. */
type JudgedTold<C extends CheckName, W extends string> = Partial<
  Pick<Judged, 'condemns' | 'always' | 'together' | 'work'>
> & {
  /** The check it makes, and the id of its limit; it begins with its part. */
  readonly check: C;
  /** Where the warning band begins: its limit's id is the check's with this word. */
  readonly watch?: Readonly<Record<W, ToldLimit>>;
} & ({ readonly least: ToldLimit } | { readonly most: ToldLimit });

function judgedBy({ check, watch, ...told }: JudgedTold<CheckName, string>): Judged {
  const [band] = Object.entries(watch ?? {});
  return {
    check,
    part: partOf(check),
    role: 'least' in told ? 'min' : 'max',
    limit: 'least' in told ? told.least : told.most,
    watch: band ? { id: `${check}.${band[0]}`, limit: band[1] } : null,
    condemns: told.condemns ?? false,
    always: told.always ?? false,
    together: told.together ?? false,
    work: told.work ?? null,
  };
}

/** A length: its plausible range, the usual tool and the marks it may be told by stand in the specification. */
export function length(spec: FieldSpec, told?: Told): ReadingDeclaration<LengthReading, WrittenLength>;
/**
 * The same judged by itself, against a limit of its own.
 * @example length(spec, { judged: { check: 'bar.bow', most: limit(0.5, 'mm', 'practice'), condemns: true } })
 */
export function length<const C extends CheckName, const W extends string = never>(
  spec: FieldSpec,
  told: Omit<Told, 'judged'> & { readonly judged: JudgedTold<C, W> },
): ReadingDeclaration<LengthReading, WrittenLength, never, { readonly check: C; readonly limits: C | `${C}.${W}` }>;
export function length(
  spec: FieldSpec,
  { judged, ...told }: Omit<Told, 'judged'> & { readonly judged?: Judged | JudgedTold<CheckName, string> } = {},
): ReadingDeclaration<LengthReading, WrittenLength> {
  const by = judged && { judged: judgedBy(judged as JudgedTold<CheckName, string>) };
  return reading<LengthReading, WrittenLength>({ kind: 'length', spec }, { ...told, ...by });
}

/** A whole number of things. */
export const count = (range: { readonly from: number; readonly to: number }, told: Told = {}) =>
  reading<number>({ kind: 'count', ...range }, told);

/** A number that is no length and no count. */
export const figure = (range: { readonly from: number; readonly to: number }, told: Told = {}) =>
  reading<number>({ kind: 'number', ...range }, told);

/** One of a few words. */
export const oneOf = <const W extends readonly string[]>(options: W, told: Told = {}) =>
  reading<W[number]>({ kind: 'choice', options }, told);

/** Any of a few words. */
export const someOf = <const W extends readonly string[]>(options: W, told: Told = {}, most = options.length) =>
  reading<W[number][]>({ kind: 'choices', options, most }, told);

const PART_OF = { bar: 'bar', nose: 'nose', chain: 'chain', sprocket: 'driveSprocket' } as const satisfies Record<
  string,
  Part
>;
type CheckName = `${keyof typeof PART_OF}.${string}`;

/** The part that a check is about: its name begins with it. */
const partOf = (check: CheckName): Part => PART_OF[check.split('.')[0] as keyof typeof PART_OF];

/** What a word says: how it is judged, and the work it calls for where it calls for any. */
type Said = SeenWord['outcome'] | readonly [SeenWord['outcome'], string];

interface SeenTold<C extends CheckName> extends Partial<Omit<Seen, 'check' | 'part' | 'words'>>, Omit<Told, 'seen'> {
  /** The check it makes; it begins with its part. */
  readonly check: C;
}

/**
 * A finding: one of a few words, each with what it says of the part.
 * @example seen({ none: 'ok', slight: ['watch', 'straighten'], plain: 'fail' }, { check: 'bar.twist', condemns: true })
 */
export function seen<const W extends Readonly<Record<string, Said>>, const C extends CheckName>(
  words: W,
  { check, condemns = false, always = false, together = false, ...told }: SeenTold<C>,
): ReadingDeclaration<keyof W & string, keyof W & string, C> {
  const said = (word: Said): SeenWord =>
    typeof word === 'string' ? { outcome: word, work: null } : { outcome: word[0], work: word[1] };
  const judged: Seen = {
    check,
    part: partOf(check),
    condemns,
    always,
    together,
    words: Object.fromEntries(Object.entries(words).map(([word, how]) => [word, said(how)])),
  };
  return reading({ kind: 'choice', options: Object.keys(words) }, { ...told, seen: judged });
}

export const yesNo = (told: Told = {}) => reading<boolean>({ kind: 'yes-no' }, told);

/** Free text of so many characters at most. */
export const words = (most: number, told: Told = {}) => reading<string>({ kind: 'text', most }, told);

/**
 * Readings that belong together. Any of them may be missing but those named as a must: without these the group says
 * nothing and waits.
 * @param told holds for all readings within that do not say otherwise
 */
export function group<S extends Shape>(shape: S, told?: Told): GroupDeclaration<S, never>;
export function group<S extends Shape, const M extends readonly (keyof S & string)[]>(
  shape: S,
  told: Told,
  must: M,
): GroupDeclaration<S, M[number]>;
export function group(shape: Shape, told: Told = {}, must: readonly string[] = []): GroupDeclaration {
  return { is: 'group', shape, must, told };
}

/** Many of a kind, with room for so many. */
export const listOf = <I extends Declaration>(item: I, most: number, told: Told = {}): ListDeclaration<I, false> => ({
  is: 'list',
  item,
  most,
  orderedBy: null,
  standsEmpty: false,
  told,
});

/** Many of a kind that stand in order by one of their readings; the list stands, empty, where nothing is said of it. */
export const orderedList = <I extends Declaration>(
  item: I,
  most: number,
  orderedBy: string,
  told: Told = {},
): ListDeclaration<I, true> => ({ is: 'list', item, most, orderedBy, standsEmpty: true, told });
