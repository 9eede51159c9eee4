import { linear, path } from './scale';
import * as texts from '#language/screens/drawings';

interface LogSectionProps {
  /** Depth of the cut, mm. */
  readonly depth: number;
  /** Drift down the cut, mm; null where nothing is predicted. */
  readonly curve: readonly { readonly depth: number; readonly drift: number }[] | null;
  readonly side: 'left' | 'right';
  /** The cut that was made; null where none was. */
  readonly measured: { readonly drift: number; readonly side: 'left' | 'right' | 'none' } | null;
  readonly show: (mm: number) => string;
}

const W = 270;
const H = 250;
const MIDDLE = W / 2;
const TOP = 22;
const RADIUS = 104;
/** Points that the cut is drawn with. */
const POINTS = 16;

const SIGN = { left: -1, right: 1, none: 0 } as const;

const SIDE = { left: texts.leftwards, right: texts.rightwards };

/** Where the figure of a curve stands, off the middle, px. */
const beside = (end: number): number => Math.max(34, Math.min(100, end + 8));

/**
 * A log seen from its end, with the straight cut, the curve that is predicted and the one that was cut, all to the same
 * scale.
 */
export function LogSection({ depth, curve, side, measured, show }: LogSectionProps) {
  const y = linear([0, depth], [TOP, TOP + 2 * RADIUS]);
  const scale = (2 * RADIUS) / depth;
  const sign = SIGN[side];
  const end = curve?.at(-1)?.drift ?? null;
  const points = (curve ?? []).map((point) => ({ x: MIDDLE + sign * point.drift * scale, y: y(point.depth) }));
  const said = [
    end === null ? texts.noCurve : texts.cutDrifts(show(depth), show(end), SIDE[side]),
    measured &&
      (measured.side === 'none' ? texts.itCutStraight : texts.itCutAside(show(measured.drift), SIDE[measured.side])),
  ]
    .filter(Boolean)
    .join(' ');
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={said} className="block w-full">
      <circle cx={MIDDLE} cy={TOP + RADIUS} r={RADIUS} className="fill-well stroke-line-strong" strokeWidth="3" />
      {[0.75, 0.5, 0.27].map((share) => (
        <circle key={share} cx={MIDDLE} cy={TOP + RADIUS} r={RADIUS * share} className="fill-none stroke-line" />
      ))}
      <path d={`M${MIDDLE} ${TOP - 8} V${TOP + 2 * RADIUS + 6}`} className="stroke-ink" strokeDasharray="5 4" />
      <path d={path(points)} className="fill-none stroke-brass" strokeWidth="3.5" />
      {measured && <MeasuredCut depth={depth} measured={measured} scale={scale} y={y} show={show} />}
      {end !== null && points.length > 0 && (
        <text
          x={MIDDLE + sign * beside(end * scale)}
          y={H - 6}
          textAnchor={sign < 0 ? 'end' : 'start'}
          className="fill-brass figures text-[13px] font-bold"
        >
          {show(end)}
        </text>
      )}
      <text x="4" y="14" className="fill-ink-soft text-[12px]">
        {texts.leftwards}
      </text>
      <text x={W - 4} y="14" textAnchor="end" className="fill-ink-soft text-[12px]">
        {texts.rightwards}
      </text>
    </svg>
  );
}

interface MeasuredCutProps extends Pick<LogSectionProps, 'depth' | 'show'> {
  readonly measured: NonNullable<LogSectionProps['measured']>;
  readonly scale: number;
  readonly y: (depth: number) => number;
}

/** The cut as it was made: only its end was measured, and a curve of the usual form leads there. */
function MeasuredCut({ depth, measured: { drift, side }, scale, y, show }: MeasuredCutProps) {
  const sign = SIGN[side];
  const points = Array.from({ length: POINTS + 1 }, (_, i) => {
    const share = i / POINTS;
    return { x: MIDDLE + sign * drift * scale * share ** 2, y: y(depth * share) };
  });
  const last = points.at(-1)!;
  return (
    <g>
      <path
        d={path(points)}
        className="fill-none stroke-pine"
        strokeWidth="3.5"
        strokeDasharray="2 5"
        strokeLinecap="round"
      />
      <circle cx={last.x} cy={last.y} r="5" className="fill-pine" />
      <text
        x={MIDDLE + (sign || 1) * beside(drift * scale)}
        y={H - 22}
        textAnchor={sign < 0 ? 'end' : 'start'}
        className="fill-pine figures text-[13px] font-bold"
      >
        {side === 'none' ? 'straight' : show(drift)}
      </text>
    </g>
  );
}
