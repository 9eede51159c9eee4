import { complained } from '../log';
import { makeDailyBackup } from '../use-cases/backup';

/** How often it is looked whether a daily backup is due, ms. */
const LOOK_EVERY = 15 * 60_000;

/**
 * Makes a backup a day, from the first look on, for as long as the server runs.
 * @param store the store's file; null where it is on another machine
 */
export function keepDaily(store: string | null): { readonly stop: () => void } {
  if (store === null) return { stop: () => undefined };
  const look = () =>
    void makeDailyBackup(store, new Date()).catch((error: unknown) =>
      complained(`The daily backup was not made. ${error instanceof Error ? error.message : String(error)}`),
    );
  look();
  const timer = setInterval(look, LOOK_EVERY);
  timer.unref();
  return { stop: () => clearInterval(timer) };
}
