import { z } from 'zod';
import { STEPS } from '../core/reading';
import type { Change } from '../core/live';

const id = z.string().min(1).max(80);

/** Where somebody is: a page says so when it opens, when it goes on to another step or field, and when it is left. */
export const sayHereSchema = z.strictObject({
  /** The stream that the page's browser hears changes by: where it ends, its pages are gone. */
  stream: id,
  /** The page, among all that are open. */
  page: id,
  /** Who is at it, where nobody signs in. */
  by: z.string().trim().max(80).default(''),
  /** The job and its step; null where the page is left. */
  at: z
    .strictObject({
      job: id,
      step: z.enum(STEPS),
      /** The place of the sheet that is being typed into; what is typed is not told. */
      path: z.string().min(1).max(200).nullable(),
    })
    .nullable(),
});
export type SayHere = z.infer<typeof sayHereSchema>;

/** Somebody at a job, as others are told. */
export interface Here {
  readonly page: string;
  readonly who: string;
  /** Null where they have gone. */
  readonly at: SayHere['at'];
}

/** What stands at the beginning of a stream. */
export interface LiveHello {
  readonly stream: string;
  readonly here: readonly Here[];
  /** What changed since the place in the order of changes that was named; null where all may have. */
  readonly changes: readonly Change[] | null;
}

/** What changed just now; null where all may have. */
export type LiveChanges = readonly Change[] | null;
