import { z } from 'zod';

/** One backup that is kept. */
export interface BackupView {
  readonly name: string;
  readonly kind: 'daily' | 'by-hand' | 'migration' | 'brought' | 'before';
  readonly at: string;
  readonly bytes: number;
}

/** What is the matter with the store, where something is. */
export type StoreTrouble = 'full' | 'held' | 'read-only' | 'disk' | 'damaged' | 'away' | 'refused';

/** How the store and its disk are. */
export interface HealthView {
  readonly status: 'open' | 'trouble';
  /** Memory that the server holds, MB. */
  readonly memory: number;
  /** @property id another one once a backup was put in the store's place */
  readonly store: { readonly id: string; readonly writable: boolean; readonly trouble: StoreTrouble | null };
  /** Free space on the store's disk; null where it cannot be told. */
  readonly space: { readonly freeMb: number | null; readonly little: boolean };
  /** The newest backup kept beside the store. */
  readonly backup: { readonly at: string; readonly hours: number } | null;
  /** What is the matter, in a sentence; null when nothing is. */
  readonly says: string | null;
}

/** Which backup is to be put back. */
export const putBackSchema = z.strictObject({ name: z.string().min(1).max(200) });
