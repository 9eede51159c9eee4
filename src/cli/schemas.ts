import { z } from 'zod';
import { limitsFileSchema } from '../core/limits';
import { assessmentSchema, handOverSchema, pictureSchema, plansSchema } from '../core/report';
import { benchSheetSchema } from '../core/sheet';

const TITLES = {
  'bench-sheet': 'Serrata bench sheet, version 1',
  assessment: 'Serrata assessment, version 1',
  limits: 'Serrata limits, version 1',
  plans: 'Serrata repair plans, version 1',
  handover: 'Serrata hand-over, version 1',
  picture: 'Serrata picture, version 1',
} as const;

/** The documents that have a schema. */
export const SCHEMA_NAMES = Object.keys(TITLES) as (keyof typeof TITLES)[];
export type SchemaName = keyof typeof TITLES;

const SCHEMAS: Record<SchemaName, z.ZodType> = {
  'bench-sheet': benchSheetSchema,
  assessment: assessmentSchema,
  limits: limitsFileSchema,
  plans: plansSchema,
  handover: handOverSchema,
  picture: pictureSchema,
};

/** JSON Schema (draft 2020-12) of a document as it is written. */
export function jsonSchema(name: SchemaName): Record<string, unknown> {
  const { $schema, ...rest } = z.toJSONSchema(SCHEMAS[name], { io: 'input', target: 'draft-2020-12' }) as Record<
    string,
    unknown
  >;
  return { $schema, title: TITLES[name], ...rest };
}
