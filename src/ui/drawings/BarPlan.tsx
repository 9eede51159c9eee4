import { InItsTurn } from '../parts/InItsTurn';
import { memo } from 'react';
import * as texts from '#language/screens/drawings';

interface BarPlanProps {
  /** Tail to tip, mm; null while not measured. */
  readonly length: number | null;
  /** Height of the bar's body, mm; null while not measured. */
  readonly height: number | null;
  readonly hardNose: boolean;
  readonly stations: Readonly<
    Record<'A' | 'B', readonly { readonly key: string; readonly at: number; readonly measured: boolean }[]>
  >;
  readonly selected: { readonly edge: 'A' | 'B'; readonly key: string } | null;
  readonly onSelect: (edge: 'A' | 'B', key: string) => void;
  readonly showPosition: (mm: number) => string;
}

const W = 268;
const PAD = 14;

/**
 * The bar to scale, seen from its stamped side: tail left, edge A down, stations marked on both edges. Drawn anew only
 * when something of it changes, which few readings do.
 */
export const BarPlan = memo(function BarPlan(props: BarPlanProps) {
  const { length, height, hardNose, stations, selected, onSelect, showPosition } = props;
  const furthest = Math.max(0, ...(['A', 'B'] as const).flatMap((edge) => stations[edge].map(({ at }) => at)));
  const L = length ?? Math.max(400, furthest + 60);
  const body = height ?? 58;
  const scale = (W - 2 * PAD) / L;
  const h = body * scale;
  const [left, right, top] = [PAD, PAD + L * scale, 16];
  const H = top + h + 17;
  const middle = top + h / 2;
  const tail = Math.min(h * 0.35, 12);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="group"
      aria-label={texts.barFromItsStampedSide}
      className="block w-full select-none"
    >
      <InItsTurn>
        <path
          d={`M${left} ${top + tail} L${left + tail} ${top} H${right - h / 2} A${h / 2} ${h / 2} 0 0 1 ${right - h / 2} ${top + h} H${left + tail} L${left} ${top + h - tail} Z`}
          className="fill-slate-pale stroke-slate"
          strokeWidth="2"
          strokeDasharray={length === null || height === null ? '6 4' : undefined}
        />
        <rect
          x={left + 8}
          y={middle - 3}
          width={Math.max(26, 62 * scale)}
          height="6"
          rx="3"
          className="fill-sheet stroke-slate"
        />
        <circle cx={left + 14 + 62 * scale} cy={middle + h * 0.3} r="3" className="fill-sheet stroke-slate" />
        {hardNose ? (
          <path
            d={`M${right - h / 2} ${top + 3} A${h / 2 - 3} ${h / 2 - 3} 0 0 1 ${right - h / 2} ${top + h - 3}`}
            className="fill-none stroke-slate"
            strokeWidth="4"
          />
        ) : (
          <circle
            cx={right - h / 2}
            cy={middle}
            r={h * 0.3}
            className="fill-sheet stroke-slate"
            strokeWidth="2"
            strokeDasharray="3 3"
          />
        )}
        {(['A', 'B'] as const).map((edge) =>
          stations[edge].map(({ key, at, measured }, i) => {
            const chosen = selected?.edge === edge && selected.key === key;
            const y = edge === 'A' ? top + h : top;
            const out = edge === 'A' ? 1 : -1;
            return (
              <g
                key={`${edge}${key}`}
                role="button"
                tabIndex={-1}
                aria-label={texts.edgeStation(
                  edge,
                  i + 1,
                  showPosition(at),
                  measured ? texts.isMeasured : texts.notMeasured,
                )}
                aria-pressed={chosen}
                onClick={() => onSelect(edge, key)}
                onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onSelect(edge, key)}
                className="cursor-pointer"
              >
                <rect
                  x={left + at * scale - 20}
                  y={edge === 'A' ? y - h / 2 : y - 22}
                  width="40"
                  height={h / 2 + 22}
                  className="fill-transparent"
                />
                <path
                  d={`M${left + at * scale} ${y - out * 7} V${y + out * 3}`}
                  className={chosen ? 'stroke-steel' : 'stroke-ink'}
                  strokeWidth={chosen ? 4 : 1.6}
                />
                <text
                  x={left + at * scale}
                  y={y + (edge === 'A' ? 15 : -6)}
                  textAnchor="middle"
                  className={`figures text-[12px] ${chosen ? 'fill-steel font-bold' : measured ? 'fill-ink font-semibold' : 'fill-ink-soft'}`}
                >
                  {i + 1}
                  {measured ? '' : '?'}
                </text>
              </g>
            );
          }),
        )}
        <text x={0} y={top + 4} className="fill-ink-soft text-[12px]">
          B
        </text>
        <text x={0} y={top + h + 4} className="fill-ink-soft text-[12px]">
          A
        </text>
      </InItsTurn>
    </svg>
  );
});
