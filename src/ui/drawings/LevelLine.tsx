import type { Box } from './label-spot';
import { BOTTOM, H, LEFT, RIGHT, W } from './profile-frame';

/** Size of a level's label: twelve pixels of the figures' face, whose letters are all as wide. */
const LETTER = 7.2;
const LABEL_HEIGHT = 12;
const LABEL_ASCENT = 10;

/**
 * Where the label of a level may stand: at either end, over it or under it, the liked place first. None below the
 * drawing.
 */
export function spotsOf(label: string, y: number, above: boolean, atEnd: boolean): readonly Box[] {
  const width = label.length * LETTER;
  const ends = [LEFT + 4, W - RIGHT - 4 - width];
  const sides = [y - 4 - LABEL_ASCENT, y + 13 - LABEL_ASCENT];
  const xs = atEnd ? [...ends].reverse() : ends;
  const ys = (above ? sides : [...sides].reverse()).filter((top) => top + LABEL_HEIGHT <= H - BOTTOM + 2);
  return (ys.length > 0 ? ys : sides.slice(0, 1)).flatMap((top) =>
    xs.map((x): Box => ({ x, y: top, width, height: LABEL_HEIGHT })),
  );
}

/** A level with its label, which keeps a halo of paper where it crosses a rail. */
export function LevelLine({
  y,
  label,
  at,
  look,
  text,
  dash,
}: {
  y: number;
  label: string;
  at: Box;
  look: string;
  text: string;
  dash: string;
}) {
  return (
    <g>
      <path d={`M${LEFT} ${y} H${W - RIGHT}`} className={look} strokeWidth="2" strokeDasharray={dash} />
      <text
        x={at.x}
        y={at.y + LABEL_ASCENT}
        paintOrder="stroke"
        strokeWidth="4"
        className={`stroke-paper figures text-[12px] font-semibold ${text}`}
      >
        {label}
      </text>
    </g>
  );
}
