import type { KeyboardEvent, PointerEvent } from 'react';
import type { OpenPicture, Tap } from './use-picture';
import * as texts from '#language/screens/picture';

interface MarkedPictureProps {
  readonly picture: OpenPicture;
  /** Where it was measured. */
  readonly marks: readonly Tap[];
  readonly taps: readonly Tap[];
  readonly onTaps: (taps: readonly Tap[]) => void;
}

const FINE = 0.1;
const COARSE = 5;
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Where the pointer is, pixels of the picture. */
function placeOf({ currentTarget, clientX, clientY }: PointerEvent<SVGElement>, { width, height }: OpenPicture): Tap {
  const svg = currentTarget.ownerSVGElement ?? currentTarget;
  const box = svg.getBoundingClientRect();
  return { x: ((clientX - box.left) / box.width) * width, y: ((clientY - box.top) / box.height) * height };
}

/** A photograph with its marks: a tap adds one, a drag or an arrow key moves it. */
export function MarkedPicture({ picture, marks, taps, onTaps }: MarkedPictureProps) {
  const { width, height, address } = picture;
  const size = Math.max(width, height) / 90;
  const moved = (i: number, to: Tap) => onTaps(taps.map((tap, k) => (k === i ? to : tap)));
  const byKey = (i: number, event: KeyboardEvent) => {
    if (event.key === 'Delete') onTaps(taps.filter((_, k) => k !== i));
    const way = WAYS[event.key];
    const tap = taps[i];
    if (!way || !tap) return;
    event.preventDefault();
    const step = event.shiftKey ? COARSE : FINE;
    moved(i, { x: tap.x + way[0] * step, y: tap.y + way[1] * step });
  };
  return (
    <div className="relative">
      <img src={address} width={width} height={height} alt={texts.pictureWithMarks} className="block h-auto w-full" />
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="absolute inset-0 size-full touch-pan-y"
        onPointerUp={(event) => {
          if (event.target === event.currentTarget) onTaps([...taps, placeOf(event, picture)]);
        }}
      >
        {marks.map(({ x, y }, i) => (
          <g key={i} pointerEvents="none">
            <circle cx={x} cy={y} r={size * 0.8} fill="none" stroke="#fff" strokeWidth={size / 3} />
            <circle cx={x} cy={y} r={size * 0.8} fill="none" stroke="#12513b" strokeWidth={size / 6} />
            <text
              x={x}
              y={y - size * 1.4}
              fontSize={size * 1.5}
              textAnchor="middle"
              fill="#12513b"
              stroke="#fff"
              strokeWidth={size / 3}
              paintOrder="stroke"
            >
              {i + 1}
            </text>
          </g>
        ))}
        {taps.map(({ x, y }, i) => (
          <g
            key={i}
            tabIndex={0}
            role="button"
            aria-label={texts.moveTap(i + 1)}
            className="cursor-move touch-none"
            onKeyDown={(event) => byKey(i, event)}
            onPointerDown={({ currentTarget, pointerId }) => currentTarget.setPointerCapture(pointerId)}
            onPointerMove={(event) => {
              if (event.currentTarget.hasPointerCapture(event.pointerId)) moved(i, placeOf(event, picture));
            }}
          >
            <circle cx={x} cy={y} r={size * 2} fill="transparent" />
            <path
              d={`M${x - size * 1.4} ${y}h${size * 2.8}M${x} ${y - size * 1.4}v${size * 2.8}`}
              stroke="#fff"
              strokeWidth={size / 2.5}
            />
            <path
              d={`M${x - size * 1.4} ${y}h${size * 2.8}M${x} ${y - size * 1.4}v${size * 2.8}`}
              stroke="#9a2d1a"
              strokeWidth={size / 5}
            />
          </g>
        ))}
      </svg>
    </div>
  );
}
