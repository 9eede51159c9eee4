import { flatMap } from '../../core/flat-map';
import { CARDS, inkOf, scaleLineOf, squaresOf } from '../../core/picture';

/** Papers that a card is printed on. */
export const CARD_PAPERS = ['A4', 'letter'] as const;
export type CardPaper = (typeof CARD_PAPERS)[number];

/** A paper as an address names it; A4 where it names none that there is. */
export const cardPaperOf = (named: string | null): CardPaper => CARD_PAPERS.find((paper) => paper === named) ?? 'A4';

/** The card as its page draws it. */
export const scaleCard = () => ({
  width: CARDS.A5.width,
  height: CARDS.A5.height,
  ink: [...flatMap(squaresOf('A5'), inkOf), ...scaleLineOf('A5')],
});
