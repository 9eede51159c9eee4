import { useSyncExternalStore } from 'react';
import { connection } from './connection';

/** Since when the shop cannot be reached; null while it can. */
export const useAwaySince = (): Date | null =>
  useSyncExternalStore(connection.subscribe, connection.awaySince, () => null);
