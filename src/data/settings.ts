import { z } from 'zod';

/** What the environment may say of how Serrata runs; what is not said is as usual. */
const settingsSchema = z.object({
  /** Where the store is: a path, or the address of a libSQL server. */
  SERRATA_DB: z.string().min(1, 'must be a path or an address').default('./data/serrata.db'),
  /** Opens a store on another machine. */
  SERRATA_DB_TOKEN: z.string().optional(),
  /** The folder of backups; else one beside the store. */
  SERRATA_BACKUPS: z.string().optional(),
  /** Names the shop runs under, with commas between. */
  SERRATA_NAMES: z.string().default(''),
  /** The certificate that connections are encrypted with, and its key: files in PEM. */
  SERRATA_CERTIFICATE: z.string().optional(),
  SERRATA_KEY: z.string().optional(),
  /** The addresses of proxies that encrypt connections in front of Serrata, with commas between. */
  SERRATA_PROXY: z.string().default(''),
  /** Where the supplier answers; else the stand-in that ships with the server. */
  SERRATA_SUPPLIER: z
    .url({ protocol: /^https?$/, error: 'must be an address such as http://127.0.0.1:4173/' })
    .optional(),
  /** Requests that one connection may make in ten seconds; 0 sets no bound. */
  SERRATA_MOST_REQUESTS: z.coerce
    .number('must be a whole number, 0 for no bound')
    .int('must be a whole number, 0 for no bound')
    .min(0, 'must be a whole number, 0 for no bound')
    .default(20_000),
  /** How much of its work the server tells: what goes wrong, or from `info` on a line for each request. */
  LOG_LEVEL: z
    .enum(['silent', 'error', 'warn', 'info', 'debug'], 'must be silent, error, warn, info or debug')
    .default('warn'),
  HOST: z.string().default('127.0.0.1'),
  PORT: z.coerce
    .number('must be a whole number from 0 to 65535')
    .int('must be a whole number from 0 to 65535')
    .min(0, 'must be a whole number from 0 to 65535')
    .max(65_535, 'must be a whole number from 0 to 65535')
    .optional(),
});
export type Settings = z.infer<typeof settingsSchema>;

/**
 * What the environment says, read and checked here alone. An empty setting is one that was not made.
 * @throws Error with a sentence for each setting that cannot be used
 */
export function settings(environment: Readonly<Record<string, string | undefined>> = process.env): Settings {
  const made = Object.fromEntries(Object.entries(environment).filter(([, value]) => value !== ''));
  const read = settingsSchema.safeParse(made);
  if (read.success) return read.data;
  const wrong = read.error.issues.map(({ path, message }) => `${String(path[0])}=${made[String(path[0])]} ${message}.`);
  throw new Error(`${wrong.join('\n')} Set it right, or leave it out, and start again.`);
}
