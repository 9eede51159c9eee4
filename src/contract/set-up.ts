import { z } from 'zod';

/** What a shop says or brings before its first job, each in its own time. */
export const SET_UP_ITEMS = ['shop', 'people', 'limits', 'rates', 'stock', 'saws', 'sign-in'] as const;
export type SetUpItem = (typeof SET_UP_ITEMS)[number];

/** How one of them stands: said or brought, still open, or left for good. */
export const SET_UP_STATES = ['done', 'open', 'left'] as const;
export type SetUpState = (typeof SET_UP_STATES)[number];

/** One of them is settled, left, or taken up again. */
export const settleSetUpSchema = z.strictObject({
  by: z.string().min(1).max(80).optional(),
  item: z.enum(SET_UP_ITEMS),
  state: z.enum(SET_UP_STATES),
});
export type SettleSetUp = z.infer<typeof settleSetUpSchema>;
