import fc, { type Arbitrary } from 'fast-check';
import { z } from 'zod';

/**
 * Texts that have met a weak place somewhere: long, empty, other scripts, half pairs, what looks like a number or a
 * path.
 */
const text = fc.oneof(
  fc.string({ maxLength: 30, unit: 'binary' }),
  fc.constantFrom(
    '',
    ' ',
    '1e300',
    '-0',
    '7,9 mm',
    '__proto__',
    'constructor',
    '../..',
    '\u0000',
    '\ud800',
    'x'.repeat(3000),
  ),
);

/** Anything that JSON can write. */
export const strange: Arbitrary<unknown> = fc.oneof(
  text,
  fc.jsonValue({ maxDepth: 3 }),
  fc.double({ noNaN: true, noDefaultInfinity: true }),
  fc.constantFrom(null, true, 1e300, -1, 2 ** 53, [], {}),
);

/** Values for a schema: mostly such as it wants, now and then anything. */
export function fromSchema(schema: z.core.$ZodType): Arbitrary<unknown> {
  return fc.oneof({ weight: 12, arbitrary: wanted(schema) }, { weight: 1, arbitrary: strange });
}

function wanted(schema: z.core.$ZodType): Arbitrary<unknown> {
  if (schema instanceof z.ZodOptional) return fc.option(fromSchema(schema.def.innerType), { nil: undefined });
  if (schema instanceof z.ZodNullable) return fc.option(fromSchema(schema.def.innerType), { nil: null });
  if (schema instanceof z.ZodDefault) return fc.option(fromSchema(schema.def.innerType), { nil: undefined });
  if (schema instanceof z.ZodPipe) return fromSchema(schema.def.in);
  if (schema instanceof z.ZodEnum) return fc.constantFrom(...schema.options);
  if (schema instanceof z.ZodLiteral) return fc.constantFrom(...schema.def.values);
  if (schema instanceof z.ZodBoolean) return fc.boolean();
  if (schema instanceof z.ZodNumber) return fc.oneof(fc.integer({ min: 0, max: 100 }), fc.double());
  if (schema instanceof z.ZodArray) return fc.array(fromSchema(schema.def.element), { maxLength: 4 });
  if (schema instanceof z.ZodUnion) return fc.oneof(...schema.def.options.map(fromSchema));
  if (schema instanceof z.ZodRecord) return fc.dictionary(text, fromSchema(schema.def.valueType), { maxKeys: 4 });
  if (schema instanceof z.ZodObject) {
    const shape = schema.shape as Record<string, z.core.$ZodType>;
    return fc.record(Object.fromEntries(Object.entries(shape).map(([key, inner]) => [key, fromSchema(inner)])));
  }
  if (schema instanceof z.ZodUUID) return fc.uuid();
  return schema instanceof z.ZodString ? text : strange;
}
