import { z } from 'zod';
import type { HandOverDocument } from '../core/report';
import type { PaperLink } from './paper';

/** Hands a job over as it stands after a given reading. */
export const handOverRequestSchema = z.strictObject({
  by: z.string().min(1).max(80),
  upToReading: z.int().min(0),
  /** Another day for the next visit than the one that follows from use and wear. */
  nextVisit: z.iso.date().nullable(),
  /** Why it goes although something is open; required then. */
  note: z.string().trim().max(400),
});
export type HandOverRequest = z.infer<typeof handOverRequestSchema>;

/** A hand-over as the job's page shows it. */
export interface HandOverView {
  /** As it would be written now. */
  readonly draft: HandOverDocument;
  /** As it was written when it was handed over last; null where it never was. */
  readonly last: { readonly at: string; readonly by: string; readonly document: HandOverDocument } | null;
  /** Readings that the draft was made with go up to this one. */
  readonly upToReading: number;
}

/** The same with the papers of the job. */
export interface HandOverPage extends HandOverView {
  readonly papers: readonly PaperLink[];
}
