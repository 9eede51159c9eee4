import type { PaperDrawing, PaperTone } from '../../contract';

/** Colours of lines on a paper. */
const LINE: Readonly<Record<PaperTone, string>> = {
  plain: 'var(--ink)',
  soft: 'var(--line-strong)',
  good: 'var(--leaf)',
  work: 'var(--brass)',
  gone: 'var(--oxide)',
  open: 'var(--steel)',
  act: 'var(--pine)',
  code: '#000',
  ground: '#fff',
};

/** Narrower than this a drawing on a phone could not be read, px. */
const LEAST_WIDTH = 200;

/** A drawing of a paper, laid out already: lines and words where they stand. */
export function Drawing({ width, height, said, share, shapes }: PaperDrawing) {
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={said}
      className="mt-2 block h-auto max-w-full"
      style={{ width: `${share * 100}%`, minWidth: LEAST_WIDTH }}
    >
      {shapes.map((shape, i) =>
        shape.is === 'path' ? (
          <path
            key={i}
            d={shape.d}
            fill={shape.fill ? LINE[shape.fill] : 'none'}
            stroke={shape.stroke ? LINE[shape.stroke] : 'none'}
            strokeWidth={shape.width}
            strokeDasharray={shape.dash}
          />
        ) : (
          <text
            key={i}
            x={shape.x}
            y={shape.y}
            fontSize={shape.size}
            textAnchor={shape.anchor}
            fill={shape.tone === 'soft' ? 'var(--ink-soft)' : LINE[shape.tone]}
          >
            {shape.text}
          </text>
        ),
      )}
    </svg>
  );
}
