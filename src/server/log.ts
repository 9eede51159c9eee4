import { AsyncLocalStorage } from 'node:async_hooks';
import pino from 'pino';
import { settings } from '../data/settings';

/** The request that work is done for, by its id. */
const working = new AsyncLocalStorage<string>();

/** Does some work for a request: what is logged meanwhile bears its id. */
export const forRequest = <T>(id: string, work: () => T): T => working.run(id, work);

/** The id of the request that is answered just now; null outside of any. */
export const requestId = (): string | null => working.getStore() ?? null;

/**
 * One line of JSON for each thing that is said, with the request it belongs to. No line holds what people wrote or are
 * called: of requests their pattern, of errors where they were made.
 */
const logger = pino(
  {
    level: settings().LOG_LEVEL,
    base: null,
    timestamp: pino.stdTimeFunctions.isoTime,
    mixin: () => {
      const id = requestId();
      return id === null ? {} : { request: id };
    },
  },
  process.stderr,
);

/** What the server says of its work, to whoever runs it. */
export const said = (text: string): void => void process.stdout.write(`${text}\n`);

/** What was asked, and what came of it. */
export interface Answered {
  readonly method: string;
  /** The pattern of the address, never the address itself: that may hold a name. */
  readonly route: string;
  readonly status: number;
  readonly ms: number;
}

/** One line for a request. */
export const answeredLine = (answered: Answered): void => logger.info(answered, 'answered');

/** Where an error was made, without what it says: a message may quote what somebody typed. */
function whereOf(error: Error): string[] {
  return (error.stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .map((line) => line.trim());
}

const OWN_FAULTS = [TypeError, RangeError, ReferenceError] as const;

/** What went wrong, by what kind of thing it is and where it was made. */
export function complained(error: unknown): void {
  if (!(error instanceof Error)) return logger.error(String(error));
  const { name } = error;
  // What a fault of the programme itself says quotes nobody; what the store says may quote what was being written.
  const says = OWN_FAULTS.some((fault) => error instanceof fault) ? { says: error.message } : {};
  const code = 'code' in error && typeof error.code === 'string' ? { code: error.code } : {};
  logger.error({ error: name, ...says, ...code, at: whereOf(error) }, 'failed');
}
