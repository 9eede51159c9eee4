import { z } from 'zod';
import { CARD_IDS, PICTURE_QUANTITIES } from '../picture';

/** What a picture tells of what lies on its card: what `serrata picture` prints. */
export const pictureSchema = z.strictObject({
  format: z.literal('serrata-picture'),
  version: z.literal(1),
  /** The card as it was found; null where it was not, or not well enough. */
  card: z
    .strictObject({
      /** Which of the printed cards. */
      kind: z.enum(CARD_IDS),
      /** Numbers of the coded squares that it rests on. */
      squares: z.array(z.int()),
      /** Root mean square of what is left at their corners, pixels of the picture as it was measured. */
      residual: z.number(),
      /** Between the view and the upright, degrees. */
      tilt: z.number(),
      /** Of the camera over the card, mm. */
      height: z.number(),
    })
    .nullable(),
  readings: z.array(
    z.strictObject({
      /** The place of the bench sheet that it belongs to, or its own name. */
      what: z.enum(PICTURE_QUANTITIES),
      value: z.number(),
      /** Standard uncertainty, in the same unit; 0 for a count, which is to be confirmed by eye. */
      u: z.number().min(0),
      unit: z.enum(['mm', 'rivets']),
    }),
  ),
  /** Where it was measured, pixels of the file as it is shown. */
  marks: z.array(z.strictObject({ x: z.number(), y: z.number() })),
  /** What to look at before a reading counts. */
  cautions: z.array(z.string()),
  /** Why nothing was measured, and what to do. */
  refused: z.string().nullable(),
});
export type PictureDocument = z.infer<typeof pictureSchema>;
