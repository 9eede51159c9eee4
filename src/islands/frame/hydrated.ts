import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** What only the browser knows and what does not change, such as its address; `otherwise` in the server's page. */
export const useOfBrowser = <T>(ask: () => T, otherwise: T): T => useSyncExternalStore(never, ask, () => otherwise);

const yes = () => true;

/** False in the server's page, true once keys and fields answer. */
export const useHydrated = (): boolean => useOfBrowser(yes, false);
