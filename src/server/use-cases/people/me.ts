import type { Me, SessionView } from '../../../contract';
import { knownAsker, whoAsks } from '../../people/actor';

/** Who is signed in: null where nobody signs in here, or whoever asks has not. */
export function me(): Me | null {
  const known = knownAsker();
  return known && { name: known.name, role: known.role, customerId: known.customerId };
}

/** What a page learns of its session. */
export const sessionView = (): SessionView => ({ isClosed: whoAsks().as !== 'bench', me: me() });
