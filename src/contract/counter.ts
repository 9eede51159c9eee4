import { z } from 'zod';
import { STOCK_KINDS } from '../core/stock';
import type { KickbackClass } from '../core/fit';
import type { IdentifiedProperty, Sequence } from '../core/identify';
import type { StockAnswer } from './views';
import { LONGEST_CUSTOMER } from './names';

/** One thing a caller said, at its place of the bench sheet. */
export const counterEntrySchema = z.strictObject({
  path: z.string().min(3).max(120),
  text: z.string().max(500),
  unit: z.enum(['mm', 'in']),
});
export type CounterEntry = z.infer<typeof counterEntrySchema>;

const entries = z.array(counterEntrySchema).max(60);
const who = z.string().min(1).max(80);

/** What is asked of the counter: all that is known so far, and which kind of part is wanted. */
export const counterAskSchema = z.strictObject({
  entries,
  kind: z.enum(STOCK_KINDS),
  inHand: z.boolean(),
});
export type CounterAsk = z.infer<typeof counterAskSchema>;

/** A saw to be remembered, with what was learned of it. */
export const rememberSawSchema = z.strictObject({
  by: who,
  /** A saw the shop knows, or a new one with its owner. */
  saw: z.union([
    z.strictObject({ id: z.string() }),
    z.strictObject({
      customer: z.string().trim().min(1, 'Whose saw is it?').max(LONGEST_CUSTOMER),
      label: z.string().trim().min(1, 'Which saw is it?').max(120),
    }),
  ]),
  entries,
});
export type RememberSaw = z.infer<typeof rememberSawSchema>;

/** One of the three numbers, as the counter says it. */
export interface CounterNumberView {
  readonly property: IdentifiedProperty;
  readonly name: string;
  readonly status: 'settled' | 'open' | 'conflict' | 'unknown';
  /** The value, or what is still in question. */
  readonly value: string;
  readonly why: readonly string[];
}

/** A mount as the shop names it: what it has for it, and the saws that have it. */
export interface MountView {
  readonly mount: string;
  readonly bars: number;
  readonly saws: readonly string[];
}

/** A piece of a stamp with what it may mean. */
export interface StampPieceView {
  readonly text: string;
  readonly means: string;
  readonly certain: boolean;
  /** False where it means nothing that is known: it may be a code that the shop has not learned. */
  readonly isRead: boolean;
}

export interface CounterReply {
  readonly numbers: readonly CounterNumberView[];
  readonly question: { readonly path: string; readonly ask: string; readonly why: string } | null;
  readonly clashes: readonly string[];
  readonly cautions: readonly string[];
  readonly pieces: { readonly bar: readonly StampPieceView[]; readonly chain: readonly StampPieceView[] };
  readonly refused: readonly { readonly path: string; readonly message: string }[];
  readonly stock: readonly StockAnswer[];
  /** What a supplier can be asked for and a slip be written with; null while a number is open. */
  readonly order: {
    readonly pitch: string;
    readonly gauge: string;
    readonly links: number;
    readonly kickbackClass: KickbackClass | null;
    readonly sequence: Sequence | null;
    /** True when the links were counted twice, false when a stamp says them. */
    readonly counted: boolean;
  } | null;
}

/** A saw that the shop knows. */
export interface KnownSawView {
  readonly id: string;
  readonly label: string;
  readonly customer: string;
  readonly remembered: boolean;
  /** Whether it is no saw but a model: what is usual for it, measured by nobody. */
  readonly isModel: boolean;
}

/** What is remembered of a saw. */
export interface SawMemoryView {
  readonly saw: KnownSawView;
  readonly entries: readonly CounterEntry[];
  /** Where it comes from and how old it is. */
  readonly note: string;
}
