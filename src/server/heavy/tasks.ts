import type { AuditAsked, Paper, PictureView, PreviewLimit } from '../../contract';
import type { Context } from '../context';
import { cardPdf } from '../papers/card-pdf';
import { paperPdf } from '../papers/pdf';
import type { CardPaper } from '../use-cases/scale-card';
import { measurePicture, type AskedOfPicture } from '../pictures';
import { Refusal } from '../refusal';
import { dueAsCalendar, dueAsCsv } from '../use-cases/gear';
import { figuresView } from '../use-cases/figures';
import { previewLimit } from '../use-cases/limit-preview';
import { pictureView } from '../use-cases/picture';
import { jobPlans } from '../use-cases/plans';
import { auditAsCsv } from '../use-cases/people/audit';
import { stockAsCsv } from '../use-cases/stock-imports';
import { pictureDocument } from '../../wording';
import * as texts from '#language/server';

/** Work that takes so long that it is done beside the server’s own thread. It looks into the store itself. */
export const TASKS = {
  /** The plans of a job as it is stored. */
  plans: (context: Context, jobId: string, supplier: string | null) => jobPlans(context, jobId, supplier),
  /** What a change of a limit would do to the open jobs: each is appraised and planned twice. */
  limitPreview: (context: Context, id: string, change: PreviewLimit) => previewLimit(context, id, change),
  /** A paper as PDF. */
  pdf: async (_context: Context, paper: Paper): Promise<Uint8Array> => new Uint8Array(await paperPdf(paper)),
  /** The scale card as PDF. */
  card: async (_context: Context, paper: CardPaper): Promise<Uint8Array> => new Uint8Array(await cardPdf(paper)),
  /** What a photograph tells by the card in it. */
  picture: async (_context: Context, bytes: Uint8Array, asked: AskedOfPicture): Promise<PictureView> => {
    const measured = await measurePicture(Buffer.from(bytes), asked);
    if (!measured) throw new Refusal(400, 'not-a-photo', texts.sendPngOrJpeg);
    return pictureView(pictureDocument(measured));
  },
  /** The whole stock list as CSV. */
  stockCsv: (context: Context) => stockAsCsv(context),
  /** What is due of a fleet, as CSV and as a calendar: every piece of every saw is looked at. */
  dueCsv: (context: Context, customerId: string) => dueAsCsv(context, customerId),
  /** Who did what, as CSV: the whole chain of records is gone through. */
  auditCsv: (context: Context, asked: AuditAsked) => auditAsCsv(context, asked),
  /** What the records of a time teach: every piece of many saws is looked at. */
  figures: (context: Context, from: string, until: string) => figuresView(context, from, until),
  dueCalendar: (context: Context, customerId: string, address: string) => dueAsCalendar(context, customerId, address),
};
export type Tasks = typeof TASKS;

/** What a task is given beside the store. */
export type TaskArgs<T extends keyof Tasks> = Parameters<Tasks[T]> extends [Context, ...infer Rest] ? Rest : never;

/** Does one task. */
export const perform = <T extends keyof Tasks>(context: Context, name: T, args: TaskArgs<T>): ReturnType<Tasks[T]> =>
  (TASKS[name] as (...given: readonly unknown[]) => ReturnType<Tasks[T]>)(context, ...(args as readonly unknown[]));
