import { openStore, type Store } from '../data/store';

/** What a use case works with. Clock and ids come from here, so that they can be fixed in a test. */
export interface Context {
  readonly store: Store;
  readonly now: () => Date;
  readonly newId: () => string;
}

let shared: Context | null = null;

/** The context of the running server, opened at first use. */
export function context(): Context {
  shared ??= { store: openStore(), now: () => new Date(), newId: () => crypto.randomUUID() };
  return shared;
}
