import sharp from 'sharp';
import { CARDS, codeOf, squaresOf, type CardId } from '../../../src/core/picture';
import { photographOf, type Scene, type View } from './render';

/** A card as it is drawn: which squares it has stands with the card, how it is seen does not. */
export const cardDrawn = (card: CardId): Scene['card'] => ({
  width: CARDS[card].width,
  height: CARDS[card].height,
  squares: squaresOf(card).map(({ id, x, y }) => ({ x, y, bits: codeOf(id) })),
});

export const USUAL_VIEW: View = {
  ...{ width: 1200, height: 900, distance: 270, tilt: 0.3, toward: 1, roll: 0.1, view: 1.1, radial: 0.004 },
};

/** A photograph as a phone sends it. */
export async function taken(
  scene: Omit<Scene, 'card'> & { readonly on: CardId },
  view: View = USUAL_VIEW,
): Promise<Buffer> {
  const { on, ...rest } = scene;
  const { width, height, data } = photographOf({ ...rest, card: cardDrawn(on) }, view);
  return sharp(Buffer.from(data), { raw: { width, height, channels: 1 } })
    .jpeg({ quality: 88 })
    .toBuffer();
}
