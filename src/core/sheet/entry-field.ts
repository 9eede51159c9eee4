import { z } from 'zod';
import { benchSheetSchema } from './bench-sheet';
import type { SheetField } from './fields';
import { quantityField } from './quantity-schema';

/** How a typed entry of the sheet is to be read. */
export type EntryField =
  | { readonly kind: 'quantity'; readonly field: SheetField }
  | { readonly kind: 'count' }
  | { readonly kind: 'number' }
  | { readonly kind: 'choice'; readonly options: readonly string[] }
  | { readonly kind: 'choices'; readonly options: readonly string[] }
  | { readonly kind: 'yes-no' }
  | { readonly kind: 'text' };

/** A place in the sheet that can be typed into, with the schema its value must satisfy. */
export interface EntryPlace {
  readonly field: EntryField;
  readonly schema: z.core.$ZodType;
}

/** Takes off `optional` and `default` wrappers. */
function bare(schema: z.core.$ZodType): z.core.$ZodType {
  return schema instanceof z.ZodOptional || schema instanceof z.ZodDefault ? bare(schema.def.innerType) : schema;
}

const enumOptions = (schema: z.core.$ZodType): readonly string[] | null =>
  schema instanceof z.ZodEnum ? schema.options.map(String) : null;

function fieldOf(schema: z.core.$ZodType): EntryField | null {
  const field = quantityField(schema);
  if (field) return { kind: 'quantity', field };
  const options = enumOptions(schema);
  if (options) return { kind: 'choice', options };
  if (schema instanceof z.ZodArray) {
    const inner = enumOptions(bare(schema.def.element));
    return inner && { kind: 'choices', options: inner };
  }
  if (schema instanceof z.ZodBoolean) return { kind: 'yes-no' };
  if (schema instanceof z.ZodNumber) return { kind: schema.isInt ? 'count' : 'number' };
  return schema instanceof z.ZodString ? { kind: 'text' } : null;
}

function child(schema: z.core.$ZodType, key: string): z.core.$ZodType | null {
  if (schema instanceof z.ZodObject) {
    const shape = schema.shape as Record<string, z.core.$ZodType>;
    return Object.hasOwn(shape, key) ? bare(shape[key]!) : null;
  }
  return schema instanceof z.ZodArray && /^\d{1,3}$/.test(key) ? bare(schema.def.element) : null;
}

/** The schema at a path, or null where the sheet has no such place. */
const schemaAt = (path: string): z.core.$ZodType | null =>
  path.split('.').reduce<z.core.$ZodType | null>((at, key) => at && child(at, key), benchSheetSchema);

const room = new Map<string, number | null>();

/** How many members the list at a path has room for; null where it says nothing of it. */
export function mostOf(path: string): number | null {
  const before = room.get(path);
  if (before !== undefined) return before;
  const schema = schemaAt(path);
  const most =
    schema instanceof z.ZodArray
      ? (schema.def.checks?.flatMap(({ _zod: { def } }) => ('maximum' in def ? Number(def.maximum) : []))[0] ?? null)
      : null;
  room.set(path, most);
  return most;
}

const known = new Map<string, EntryPlace | null>();

/**
 * Finds the place of an entry path such as `bar.edges.A.stations.2.near` by walking the sheet's schema, so that the
 * schema stays the one definition.
 * @returns null when the sheet has no such place, or it is a group and not a value
 */
export function entryPlace(path: string): EntryPlace | null {
  const pattern = path.replace(/\d+/g, (digits) => (digits.length > 3 ? digits : '0'));
  const before = known.get(pattern);
  if (before !== undefined) return before;
  const schema = schemaAt(path);
  const field = schema && fieldOf(schema);
  const place = field ? { field, schema } : null;
  known.set(pattern, place);
  return place;
}
