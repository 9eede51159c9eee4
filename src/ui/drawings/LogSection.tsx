import { linear, path } from './scale';

interface LogSectionProps {
  /** Depth of the cut, mm. */
  readonly depth: number;
  /** Drift down the cut, mm; null where nothing is predicted. */
  readonly curve: readonly { readonly depth: number; readonly drift: number }[] | null;
  readonly side: 'left' | 'right';
  readonly show: (mm: number) => string;
}

const W = 270;
const H = 250;
const MIDDLE = W / 2;
const TOP = 22;

/** A log seen from its end, with the straight cut and the curve that is predicted, both to the same scale. */
export function LogSection({ depth, curve, side, show }: LogSectionProps) {
  const radius = 104;
  const y = linear([0, depth], [TOP, TOP + 2 * radius]);
  const scale = (2 * radius) / depth;
  const sign = side === 'left' ? -1 : 1;
  const end = curve?.at(-1)?.drift ?? null;
  const points = (curve ?? []).map((point) => ({ x: MIDDLE + sign * point.drift * scale, y: y(point.depth) }));
  const said =
    end === null
      ? 'No curve: the lean is not measured.'
      : `At ${show(depth)} deep the cut drifts about ${show(end)} to the ${side}.`;
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={said} className="block w-full">
      <circle cx={MIDDLE} cy={TOP + radius} r={radius} className="fill-well stroke-line-strong" strokeWidth="3" />
      {[0.75, 0.5, 0.27].map((share) => (
        <circle key={share} cx={MIDDLE} cy={TOP + radius} r={radius * share} className="fill-none stroke-line" />
      ))}
      <path d={`M${MIDDLE} ${TOP - 8} V${TOP + 2 * radius + 6}`} className="stroke-ink" strokeDasharray="5 4" />
      <path d={path(points)} className="fill-none stroke-brass" strokeWidth="3.5" />
      {end !== null && points.length > 0 && (
        <text
          x={MIDDLE + sign * Math.max(34, Math.min(100, end * scale + 8))}
          y={H - 6}
          textAnchor={sign < 0 ? 'end' : 'start'}
          className="fill-brass figures text-[13px] font-bold"
        >
          {show(end)}
        </text>
      )}
      <text x="4" y="14" className="fill-ink-soft text-[12px]">
        left
      </text>
      <text x={W - 4} y="14" textAnchor="end" className="fill-ink-soft text-[12px]">
        right
      </text>
    </svg>
  );
}
