import { z } from 'zod';
import type { HandOverDocument } from '../core/report';
import type { PaperLink } from './paper';

/** Hands a job over as the screen showed it. */
export const handOverRequestSchema = z.strictObject({
  by: z.string().min(1).max(80),
  /** Names all that the screen was drawn from. */
  revision: z.string().min(1).max(100),
  /** Another day for the next visit than the one that follows from use and wear. */
  nextVisit: z.iso.date().nullable(),
  /** Why it goes although something is open; required then. */
  note: z.string().trim().max(400),
});
export type HandOverRequest = z.infer<typeof handOverRequestSchema>;

/** A hand-over whose papers are kept as they were given. */
export interface GivenHandOver {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

/** A hand-over as the job's page shows it. */
export interface HandOverView {
  /** As it would be written now. */
  readonly draft: HandOverDocument;
  /** As it was written when it was handed over last; null where it never was. */
  readonly last: { readonly at: string; readonly by: string; readonly document: HandOverDocument } | null;
  /** Every time that it was handed over with its papers, the newest first. */
  readonly given: readonly GivenHandOver[];
  /** Names all that the draft was made of: another one once any of it has moved. */
  readonly revision: string;
}

/** The same with the papers of the job. */
export interface HandOverPage extends HandOverView {
  readonly papers: readonly PaperLink[];
}
