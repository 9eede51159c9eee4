import fc from 'fast-check';
import { z } from 'zod';
import { FIELD_KINDS } from '../../src/core/quantity';
import { benchSheetSchema, entryPlace, fieldSpec, type Entry } from '../../src/core/sheet';

/** Members of each list that are typed into. */
const MEMBERS = 3;

const bare = (schema: z.core.$ZodType): z.core.$ZodType =>
  schema instanceof z.ZodOptional || schema instanceof z.ZodDefault ? bare(schema.def.innerType) : schema;

/** Every place under a schema that can be typed into, found by walking it, so that a new field is tried from its first day. */
function placesUnder(schema: z.core.$ZodType, path: string): readonly string[] {
  if (path !== '' && entryPlace(path)) return [path];
  const below = (inner: z.core.$ZodType, key: string) => placesUnder(bare(inner), path === '' ? key : `${path}.${key}`);
  if (schema instanceof z.ZodObject)
    return Object.entries(schema.shape as Record<string, z.core.$ZodType>).flatMap(([key, inner]) => below(inner, key));
  if (schema instanceof z.ZodArray)
    return Array.from({ length: MEMBERS }, (_, i) => below(schema.def.element, String(i))).flat();
  return [];
}

/** All places of the bench sheet, lists with their first members. */
export const PLACES = placesUnder(benchSheetSchema, '').filter((path) => path !== 'format' && path !== 'version');

const STAMPS = ['18 in 325 .050 72DL', '3/8 .058', '3/8LP 52E', '.404 1.6', '72', 'K-77', 'M2', 'O1'];

/** What somebody could type at a place and be understood. */
export function fitting(path: string): fc.Arbitrary<string> {
  const { field } = entryPlace(path)!;
  switch (field.kind) {
    case 'quantity': {
      const { lo, hi } = FIELD_KINDS[fieldSpec(field.field).kind];
      return fc
        .integer({ min: Math.ceil(lo * 100), max: Math.floor(hi * 100) })
        .map((hundredths) => `${hundredths / 100} mm`);
    }
    case 'count':
      return fc.integer({ min: 5, max: 12 }).map(String);
    case 'number':
      return fc.integer({ min: 1000, max: 14000 }).map(String);
    case 'choice':
      return fc.constantFrom(...field.options);
    case 'choices':
      return fc
        .subarray([...field.options], { minLength: 1, maxLength: Math.min(6, field.options.length) })
        .map((chosen) => chosen.join(', '));
    case 'yes-no':
      return fc.constantFrom('yes', 'no');
    case 'text':
      return fc.constantFrom(...STAMPS);
  }
}

const entryAt = (path: string): fc.Arbitrary<Entry> => fitting(path).map((text) => ({ path, text, unit: 'mm' }));

/** Entries at any places of the sheet at all, each understood, no place twice. */
export const anyEntries: fc.Arbitrary<readonly Entry[]> = fc
  .subarray([...PLACES], { minLength: 1, maxLength: PLACES.length })
  .chain((paths) => fc.tuple(...paths.map(entryAt)));
