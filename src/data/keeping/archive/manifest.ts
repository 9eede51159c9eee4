import { z } from 'zod';

/** What an archive is called in its manifest. */
export const ARCHIVE_FORMAT = 'serrata-archive';
/** The version that is written. */
export const ARCHIVE_VERSION = 2;

const checked = { bytes: z.int().min(0), sha256: z.string().regex(/^[\da-f]{64}$/) };

/** What is in an archive: see docs/formats/archive.md. */
export const manifestSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT),
  /** The first left texts that look like formulas as they are. */
  version: z.union([z.literal(1), z.literal(2)]),
  /** The newest migration of the store that it was made of. */
  schema: z.string(),
  made: z.string(),
  /** Short code of the last record in the chain: see docs/data.md. */
  recordCode: z.string().optional(),
  /** Every other file, in the order in which it is to be read. */
  files: z.array(
    z.strictObject({
      name: z.string().regex(/^[\w.-]+(\/[\w.-]+)?$/),
      /** Rows of a table. */
      rows: z.int().min(0).optional(),
      ...checked,
    }),
  ),
});
export type Manifest = z.infer<typeof manifestSchema>;
export type ArchivedFile = Manifest['files'][number];

export const MANIFEST = 'manifest.json';
