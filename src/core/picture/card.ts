import { flatMap } from '../flat-map';

/** A place on the card, mm from its middle: x to the right, y up. */
export interface OnCard {
  readonly x: number;
  readonly y: number;
}

/** A place in a picture, pixels from its upper left corner: x to the right, y down. */
export interface Pixel {
  readonly x: number;
  readonly y: number;
}

/** A coded square that was found: its number, and its corners as they go round from its own upper left, clockwise. */
export interface FoundSquare {
  readonly id: number;
  readonly corners: readonly [Pixel, Pixel, Pixel, Pixel];
}

/** Side of a coded square, mm. */
export const SQUARE_SIDE = 18;

/** Bits along a square, its black border with them. */
export const SQUARE_BITS = 6;

/** The dictionary that the squares are coded by. */
export const SQUARE_DICTIONARY = '4x4, 50';

/** The line by which a print is measured, mm. */
export const SCALE_LINE = 100;

/** A printed card: coded squares at its corners and in the middle of its sides, round a free field. */
interface Card {
  /** The whole sheet, mm. */
  readonly width: number;
  readonly height: number;
  /** Half the distances of its corner squares' middles, mm. */
  readonly x: number;
  readonly y: number;
  /** Squares at the corners: upper left, upper right, lower left, lower right. */
  readonly corners: readonly [number, number, number, number];
  /** Squares in the middle of the sides, against bending: top, right, bottom, left. */
  readonly sides: readonly [number, number, number, number];
}

/** The cards that there are. Fixed: a picture stays readable as long as it is kept. */
export const CARDS = {
  A5: { width: 210, height: 148, x: 88, y: 57, corners: [0, 1, 2, 3], sides: [8, 9, 10, 11] },
  A6: { width: 148, height: 105, x: 58.5, y: 37.5, corners: [4, 5, 6, 7], sides: [12, 13, 14, 15] },
} as const satisfies Record<string, Card>;
export type CardId = keyof typeof CARDS;
export const CARD_IDS = Object.keys(CARDS) as readonly CardId[];

/** A coded square as it is printed. */
export interface PrintedSquare extends OnCard {
  readonly id: number;
}

/** The squares of a card, and the middles of each. */
export function squaresOf(card: CardId): readonly PrintedSquare[] {
  const { x, y, corners, sides } = CARDS[card];
  const [topLeft, topRight, bottomLeft, bottomRight] = corners;
  const [top, right, bottom, left] = sides;
  return [
    { id: topLeft, x: -x, y },
    { id: topRight, x, y },
    { id: bottomLeft, x: -x, y: -y },
    { id: bottomRight, x, y: -y },
    { id: top, x: 0, y },
    { id: right, x, y: 0 },
    { id: bottom, x: 0, y: -y },
    { id: left, x: -x, y: 0 },
  ];
}

/** Corners of a printed square, as they go round from its upper left, clockwise. */
export function cornersOf({ x, y }: OnCard): readonly [OnCard, OnCard, OnCard, OnCard] {
  const half = SQUARE_SIDE / 2;
  return [
    { x: x - half, y: y + half },
    { x: x + half, y: y + half },
    { x: x + half, y: y - half },
    { x: x - half, y: y - half },
  ];
}

/** The card that a square is of; null for any other number. */
export const cardOfSquare = (id: number): CardId | null =>
  CARD_IDS.find((card) => squaresOf(card).some((square) => square.id === id)) ?? null;

export const isCornerSquare = (id: number): boolean =>
  flatMap(CARD_IDS, (card) => CARDS[card].corners as readonly number[]).includes(id);
