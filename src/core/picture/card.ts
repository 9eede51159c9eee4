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

/** What the squares are coded by, inside their black border: row by row, 1 white (OpenCV's dictionary 4X4_50, 0 to 15). */
const CODES = [
  ['1011', '0101', '0011', '0010'],
  ['0000', '1111', '1001', '1010'],
  ['0011', '0011', '0010', '1101'],
  ['1001', '1001', '0100', '0110'],
  ['0101', '0100', '1001', '1110'],
  ['0111', '1001', '1100', '1101'],
  ['1001', '1110', '0010', '1110'],
  ['1100', '0100', '1111', '0010'],
  ['1111', '1110', '1101', '1010'],
  ['1100', '1111', '0101', '0110'],
  ['1111', '1001', '1001', '0001'],
  ['0001', '0001', '1010', '0111'],
  ['0000', '1110', '1011', '0111'],
  ['0010', '1010', '0000', '1111'],
  ['0010', '0100', '1011', '0001'],
  ['0010', '0110', '0011', '1110'],
] as const;

/** The bits of a square inside its border. @param id 0 to 15 */
export const codeOf = (id: number): readonly string[] => CODES[id] ?? [];

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

/** Something black on a card, mm from its middle, y up: it begins at its upper left corner. */
export interface Ink extends OnCard {
  readonly width: number;
  readonly height: number;
}

/** Ends of the scale line, and the line itself, are this thick, mm. */
const STROKE = 0.35;
const TICK = 3;

/** The scale line of a card: near its lower edge, with a tick at each end. Its length is from tick to tick, outside. */
export function scaleLineOf(card: CardId): readonly Ink[] {
  const y = -CARDS[card].height / 2 + 4;
  const left = -SCALE_LINE / 2;
  return [
    { x: left, y: y + STROKE / 2, width: SCALE_LINE, height: STROKE },
    { x: left, y: y + TICK / 2, width: STROKE, height: TICK },
    { x: -left - STROKE, y: y + TICK / 2, width: STROKE, height: TICK },
  ];
}

/** Black bits reach a little into one another, mm: no light shows between them. Outer edges stay where they are. */
const OVERLAP = 0.05;

/** The black of a square: its border, and the bits that are not white. */
export function inkOf({ id, x, y }: PrintedSquare): readonly Ink[] {
  const bit = SQUARE_SIDE / SQUARE_BITS;
  const rows = ['000000', ...codeOf(id).map((row) => `0${row}0`), '000000'];
  const more = (row: number, column: number) => (rows[row]?.[column] === '0' ? OVERLAP : 0);
  return flatMap(rows, (row, i) =>
    flatMap([...row], (each, k): readonly Ink[] =>
      each === '1'
        ? []
        : [
            {
              x: x - SQUARE_SIDE / 2 + k * bit,
              y: y + SQUARE_SIDE / 2 - i * bit,
              width: bit + more(i, k + 1),
              height: bit + more(i + 1, k),
            },
          ],
    ),
  );
}
