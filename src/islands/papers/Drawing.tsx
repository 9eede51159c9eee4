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

/** Narrower than this share of its own width a drawing could not be read: on a phone it is moved sideways. */
const LEAST_SHARE = 0.85;

/** A drawing of a paper, laid out already: lines and words where they stand. */
export function Drawing({ width, height, said, share, shapes }: PaperDrawing) {
  return (
    // A scrolling region takes the focus, so that keys move it too.
    <div className="mt-2 overflow-x-auto" role="group" aria-label={said} tabIndex={share === 1 ? 0 : undefined}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={said}
        className="block h-auto"
        style={{ width: `${share * 100}%`, minWidth: share === 1 ? width * LEAST_SHARE : undefined }}
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
    </div>
  );
}
