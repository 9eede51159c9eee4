import { z } from 'zod';
import type { FieldSpec, LengthReading } from '../quantity';
import type { Told } from './told';
import { lengthSchema, type WrittenLength } from './written-length';

/** What kind of thing a reading is, and what it may be. */
export type Kind =
  | { readonly kind: 'length'; readonly spec: FieldSpec }
  | { readonly kind: 'count'; readonly from: number; readonly to: number }
  | { readonly kind: 'number'; readonly to: number }
  | { readonly kind: 'choice'; readonly options: readonly string[] }
  | { readonly kind: 'choices'; readonly options: readonly string[]; readonly most: number }
  | { readonly kind: 'yes-no' }
  | { readonly kind: 'text'; readonly most: number };

interface Declared {
  /** Null for a group or a list, which only hold readings. */
  readonly kind: Kind | null;
  readonly told: Told;
  /** A list's room, and the reading that its members are put in order by. */
  readonly list?: { readonly most: number; readonly orderedBy?: string };
}

/** Told by a schema's definition, which its copies share. */
const DECLARED = new WeakMap<object, Declared>();

function declare<S extends z.ZodType>(schema: S, declared: Declared): S {
  const { means } = declared.told;
  const described = means === undefined ? schema : schema.describe(means);
  DECLARED.set(described._zod.def, declared);
  return described;
}

/** What was declared of a schema; undefined for one that was not made here. */
export const declaredOf = (schema: z.core.$ZodType): Declared | undefined => DECLARED.get(schema._zod.def);

/** A length: its plausible range, the usual tool and the marks it may be told by stand in the specification. */
export const length = (spec: FieldSpec, told: Told = {}): z.ZodType<LengthReading, WrittenLength> =>
  declare(lengthSchema(spec), { kind: { kind: 'length', spec }, told });

/** A whole number of things. */
export const count = ({ from, to }: { from: number; to: number }, told: Told = {}) =>
  declare(z.int().min(from).max(to), { kind: { kind: 'count', from, to }, told });

/** A number above nothing that is no length and no count. */
export const figure = ({ to }: { to: number }, told: Told = {}) =>
  declare(z.number().positive().max(to), { kind: { kind: 'number', to }, told });

/** One of a few words. */
export const oneOf = <const W extends readonly [string, ...string[]]>(options: W, told: Told = {}) =>
  declare(z.enum(options), { kind: { kind: 'choice', options }, told });

/** Any of a few words. */
export const someOf = <const W extends readonly [string, ...string[]]>(
  options: W,
  told: Told = {},
  most = options.length,
) => declare(z.array(z.enum(options)).max(most), { kind: { kind: 'choices', options, most }, told });

export const yesNo = (told: Told = {}) => declare(z.boolean(), { kind: { kind: 'yes-no' }, told });

/** Free text of so many characters at most. */
export const words = (most: number, told: Told = {}) =>
  declare(z.string().max(most), { kind: { kind: 'text', most }, told });

type Shape = Readonly<Record<string, z.ZodType>>;
type GroupShape<S extends Shape, M extends keyof S> = {
  [K in keyof S]: K extends M ? S[K] : z.ZodOptional<S[K]>;
};

/**
 * Readings that belong together. Any of them may be missing but those named as a must: without these the group says nothing and waits.
 * @param told holds for all readings within that do not say otherwise
 */
export function group<S extends Shape, const M extends keyof S = never>(
  shape: S,
  told: Told = {},
  must: readonly M[] = [],
): z.ZodObject<GroupShape<S, M>, z.core.$strict> {
  const isMust = (key: string) => (must as readonly string[]).includes(key);
  const members = Object.entries(shape).map(([key, schema]) => [key, isMust(key) ? schema : schema.optional()]);
  return declare(z.strictObject(Object.fromEntries(members) as GroupShape<S, M>), { kind: null, told });
}

/** Many of a kind, with room for so many. */
export const listOf = <S extends z.ZodType>(item: S, most: number, told: Told = {}, orderedBy?: string) =>
  declare(z.array(item).max(most), { kind: null, told, list: orderedBy ? { most, orderedBy } : { most } });
