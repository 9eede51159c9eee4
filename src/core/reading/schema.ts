import { z } from 'zod';
import type { Declaration, GroupDeclaration, Kind } from './declare';
import { lengthSchema } from './written-length';

function schemaOfKind(kind: Kind): z.ZodType {
  switch (kind.kind) {
    case 'length':
      return lengthSchema(kind.spec);
    case 'count':
      return z.int().min(kind.from).max(kind.to);
    case 'number':
      return z.number().min(kind.from).max(kind.to);
    case 'choice':
      return z.enum(kind.options as [string, ...string[]]);
    case 'choices':
      return z.array(z.enum(kind.options as [string, ...string[]])).max(kind.most);
    case 'yes-no':
      return z.boolean();
    case 'text':
      return z.string().max(kind.most);
  }
}

/** A finding as its bare word, or with the reading beside it that tells how it was made. */
function withHow(word: z.ZodType, how: Declaration | undefined): z.ZodType {
  return how ? z.union([word, z.strictObject({ says: word, with: schemaOf(how) })]) : word;
}

/** The members of a group, each optional unless the group cannot do without it. */
export function shapeOf({ shape, must }: Pick<GroupDeclaration, 'shape' | 'must'>): Record<string, z.ZodType> {
  return Object.fromEntries(
    Object.entries(shape).map(([key, member]) => {
      const { madeWith } = member.told;
      const schema = withHow(schemaOf(member), madeWith === undefined ? undefined : shape[madeWith]);
      if (member.is === 'list' && member.standsEmpty) return [key, schema.default([])];
      return [key, (must as readonly string[]).includes(key) ? schema : schema.optional()];
    }),
  );
}

/** The Zod schema of what was declared: strict, with the meaning of every reading as its description. */
export function schemaOf(declaration: Declaration): z.ZodType {
  const { is, told } = declaration;
  const schema =
    is === 'reading'
      ? schemaOfKind(declaration.kind)
      : is === 'list'
        ? z.array(schemaOf(declaration.item)).max(declaration.most)
        : z.strictObject(shapeOf(declaration as GroupDeclaration));
  return told.means === undefined ? schema : schema.describe(told.means);
}
