import { z } from 'zod';
import type { BookingState, OrderState } from '../core/booking';
import type { ChainNumbers } from '../core/order';
import type { PlannedPart } from '../core/stock';

const by = z.string().min(1).max(80);
const id = z.string().min(1).max(60);

/**
 * Something done with one part of a job's plan. Its id is made where it was asked for, so that sending it twice does it
 * once.
 */
export const jobPartSchema = z.strictObject({
  id,
  by,
  sku: z.string().min(1).max(60),
  act: z.enum(['take', 'put-back', 'order']),
});
export type JobPartAct = z.infer<typeof jobPartSchema>;

/** Something done about an order: ask how it stands, book in what came, call it off. */
export const orderActSchema = z.strictObject({ id, by, act: z.enum(['ask', 'arrived', 'cancel']) });
export type OrderAct = z.infer<typeof orderActSchema>;

/** What the supplier answers to an order, or about one. */
export const orderAnswerSchema = z.object({
  state: z.enum(['confirmed', 'late', 'refused']),
  /** Working days until it is here; none where it is refused. */
  days: z.int().min(0).max(400).nullable(),
  why: z.string().max(200).optional(),
});
export type OrderAnswer = z.infer<typeof orderAnswerSchema>;

/** An order for a job as it stands, with what became of it. */
export interface PartOrderView {
  readonly id: string;
  readonly state: OrderState;
  readonly due: string | null;
  readonly events: readonly {
    readonly state: OrderState;
    readonly note: string;
    readonly at: string;
    readonly by: string;
  }[];
}

/** Pieces of a part on the shelf of a sister shop. */
export interface PartElsewhere {
  readonly shop: string;
  readonly sku: string;
  readonly pieces: number;
}

/** A part that the signed plan needs, and how it stands. */
export interface JobPartView {
  readonly sku: string;
  /** The part of the saw that it takes the place of; null where nobody knows any more. */
  readonly part: PlannedPart | null;
  readonly name: string;
  readonly priceCents: number;
  readonly state: BookingState;
  /** The three numbers and the class of a new chain; null of any other part. */
  readonly chain: ChainNumbers | null;
  /** Pieces on the shelf now. */
  readonly left: number;
  readonly order: PartOrderView | null;
  /** Sister shops that have it on their shelf, where there is none here. */
  readonly elsewhere: readonly PartElsewhere[];
}

/** The parts of a job's plan. */
export interface JobPartsView {
  /** False while no plan is signed. */
  readonly signed: boolean;
  readonly parts: readonly JobPartView[];
  /** Parts taken for this job that its plan does not need, or needs no more. */
  readonly stray: readonly { readonly sku: string; readonly pieces: number }[];
}
