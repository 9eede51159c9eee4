import { randomBytes } from 'node:crypto';

/** How the door stands: what the server that opened it knows, and its pages must. */
export interface DoorState {
  /** Whether other machines can reach it. */
  readonly isNetwork: boolean;
  /** Whether connections are encrypted by this server itself. */
  readonly isEncrypted: boolean;
  /** What the server shows when it asks for its own pages, so that they are warm before anybody signs in. */
  readonly inside: string;
}

/** The pages are another bundle than the server that opened the door: both find it here. */
const KEY = Symbol.for('serrata.door');
const shared = globalThis as { [KEY]?: DoorState };

/** Says how the door was opened. */
export function doorIs(state: Omit<DoorState, 'inside'>): DoorState {
  return (shared[KEY] = { ...state, inside: randomBytes(32).toString('base64url') });
}

/** How the door was opened; null where nobody opened it who looked what it needs. */
export const doorState = (): DoorState | null => shared[KEY] ?? null;

/** The header by which the server knows itself. */
export const INSIDE = 'x-serrata-inside';
