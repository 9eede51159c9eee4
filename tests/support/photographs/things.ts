import type { Thing } from './render';

/** Lays something down: turned about the middle, then moved, mm and radians. */
export interface Laid {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** @param half how far it reaches beside its own line, mm: rays that pass further off are not asked about */
function lying({ x, y, turn }: Laid, half: number, shade: Thing['shade']): Thing['shade'] {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return (atX, atY) => {
    const across = (atY - y) * cos - (atX - x) * sin;
    return Math.abs(across) > half ? null : shade((atX - x) * cos + (atY - y) * sin, across);
  };
}

/** A straight piece of chain. */
export interface ChainPiece extends Laid {
  /** Half the distance over three rivets, mm. */
  readonly pitch: number;
  /** Of two pitches, what lies between the rivets of a drive link: share. */
  readonly width: number;
  readonly rivets: number;
  /** Rivet heads over the card, mm. */
  readonly lift: number;
  /** Shade of the heads in their middle, against their rim. */
  readonly head: number;
}

const RIVET_RADIUS = 1.9;

/** Places of the rivets of a piece along it, about its middle, mm. */
export function rivetsAlong({ pitch, width, rivets }: ChainPiece): readonly number[] {
  const along = Array.from({ length: rivets }, (_, i) => 2 * pitch * (Math.floor(i / 2) + (i % 2) * width));
  const middle = along.at(-1)! / 2;
  return along.map((each) => each - middle);
}

/** Where the rivets of a piece lie on the card, mm. */
export const rivetPlaces = (piece: ChainPiece): readonly { readonly x: number; readonly y: number }[] =>
  rivetsAlong(piece).map((along) => ({
    x: piece.x + along * Math.cos(piece.turn),
    y: piece.y + along * Math.sin(piece.turn),
  }));

/** A piece of chain: heads on straps, drive links with their tangs between them. */
export function chainPiece(piece: ChainPiece): readonly Thing[] {
  const along = rivetsAlong(piece);
  const { pitch, lift } = piece;
  const last = along.length - 1;
  const clamped = (i: number) => Math.min(last, Math.max(0, i));
  /** Rivets near a place along the run: the one before it, and the one after. */
  const about = (x: number) => {
    const guess = clamped(Math.floor((x - along[0]!) / pitch));
    return x < along[guess]! ? clamped(guess - 1) : x > along[clamped(guess + 1)]! ? clamped(guess + 1) : guess;
  };
  const nearest = (x: number) => {
    const [before, after] = [along[about(x)]!, along[clamped(about(x) + 1)]!];
    return Math.abs(before - x) < Math.abs(after - x) ? before : after;
  };
  const heads: Thing = {
    ...{ top: lift, bottom: lift - 0.5 },
    shade: lying(piece, RIVET_RADIUS, (x, y) => {
      const off = Math.hypot(x - nearest(x), y);
      if (off > RIVET_RADIUS) return null;
      return off < 0.7 * RIVET_RADIUS ? piece.head : piece.head * 0.62;
    }),
  };
  const straps: Thing = {
    ...{ top: lift - 0.5, bottom: lift - 1.6 },
    shade: lying(piece, 3.6, (x, y) => {
      for (let i = clamped(about(x) - 2); i <= clamped(about(x) + 2); i += 1) {
        if (i % 2 === 0 || i === last) continue;
        const [from, to] = [along[i]! - 3.2, along[i + 1]! + 3.2];
        if (x >= from && x <= to) return Math.abs(y) < 3.4 - 0.05 * Math.abs(x - (from + to) / 2) ? 128 : null;
      }
      return null;
    }),
  };
  const links: Thing = {
    ...{ top: lift - 1.6, bottom: 0 },
    shade: lying(piece, 8, (x, y) => {
      for (let i = clamped(about(x) - 2); i <= clamped(about(x) + 2); i += 1) {
        if (i % 2 === 1 || i === last) continue;
        const [from, to] = [along[i]!, along[i + 1]!];
        if (x < from - 2.8 || x > to + 2.8) continue;
        if (Math.abs(y) < 3.3) return 96;
        const middle = (from + to) / 2;
        if (y < 0 && y > -8 && Math.abs(x - middle) < 0.5 * (to - from) * (1 + (y + 3.3) / 6)) return 92;
      }
      return null;
    }),
  };
  return [heads, straps, links];
}

/** The tail of a bar. */
export interface BarTail extends Laid {
  readonly thickness: number;
  /** The slot for the studs, and the hole for the adjuster, mm. */
  readonly slotWidth: number;
  readonly slotLength: number;
  readonly holeDiameter: number;
  /** Of the hole from the middle of the slot: along the bar and across it, mm. */
  readonly holeAlong: number;
  readonly holeOffset: number;
}

/** The tail of a bar: steel with a slot and adjuster holes to both sides of it. */
export function barTail(tail: BarTail): readonly Thing[] {
  const { slotWidth, slotLength, holeDiameter, holeAlong, holeOffset } = tail;
  const straight = slotLength / 2 - slotWidth / 2;
  return [
    {
      ...{ top: tail.thickness, bottom: 0 },
      shade: lying(tail, 24, (x, y) => {
        if (x < -38 || x > 90) return null;
        if (Math.hypot(Math.max(0, Math.abs(x) - straight), y) < slotWidth / 2) return null;
        if (Math.hypot(x - holeAlong, Math.abs(y) - holeOffset) < holeDiameter / 2) return null;
        return 150 + 6 * Math.sin(x / 0.7 + y / 9);
      }),
    },
  ];
}
