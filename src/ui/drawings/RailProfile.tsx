import { InItsTurn } from '../parts/InItsTurn';
import { useMemo, type ReactNode } from 'react';
import { EdgeProfile, rutSign } from './EdgeProfile';
import { alongLine, freestBox, type Spot } from './label-spot';
import { LevelLine, spotsOf } from './LevelLine';
import {
  BOTTOM,
  H,
  LEFT,
  NOSE,
  RIGHT,
  rutBottom,
  TOP,
  W,
  type Edge,
  type ProfileBand,
  type ProfilePoint,
} from './profile-frame';
import { linear, ticks } from './scale';
import * as texts from '#language/screens/drawings';

interface RailProfileProps {
  readonly edges: Readonly<Record<'A' | 'B', readonly ProfilePoint[]>>;
  /** What is believed of the rails along each edge from all readings, with its doubt. */
  readonly bands: Readonly<Record<'A' | 'B', readonly ProfileBand[]>>;
  /** Least groove depth, mm. */
  readonly limit: number | null;
  /** Length of the drive-link tang, mm: the link stands on the floor there. */
  readonly tang: number | null;
  /** Room the link should have over the floor, mm. */
  readonly room: number;
  readonly selected: { readonly edge: 'A' | 'B'; readonly key: string } | null;
  readonly onSelect: (edge: 'A' | 'B', key: string) => void;
  /** Writes a depth in the unit of the screen. */
  readonly show: (mm: number) => string;
  /** Writes a position in the unit of the screen. */
  readonly showPosition: (mm: number) => string;
}

/** Where the nose stands. */
const MIDDLE = LEFT + (W - LEFT - RIGHT) / 2;

type Along = Readonly<Record<Edge, (at: number) => number>>;

function depthRange({ edges, bands, limit, tang, room }: RailProfileProps): readonly [number, number] {
  const heights = (['A', 'B'] as const).flatMap((edge) =>
    edges[edge].flatMap((point) => [point.near, point.far, point.nearAfter, point.farAfter, rutBottom(point)]),
  );
  const believed = (['A', 'B'] as const).flatMap((edge) =>
    bands[edge].flatMap(({ near, far, half }) => [Math.min(near, far) - half, Math.max(near, far) + half]),
  );
  const known = [...heights, ...believed, limit, tang === null ? null : tang + room].filter((value) => value !== null);
  if (known.length === 0) return [0, 10];
  const [lo, hi] = [Math.min(...known), Math.max(...known)];
  return [Math.max(0, Math.floor(2 * (lo - 0.45)) / 2), Math.ceil(2 * (hi + 0.1)) / 2];
}

/**
 * The unrolled rail profile: depth from the groove's floor along edge A from tail to nose, round the nose, and back
 * along edge B.
 * Near and far rail as they are believed to stand, each with its doubt, the readings as points, the limit, the link's
 * room, and the dressing line with the metal to come off.
 */
export function RailProfile(props: RailProfileProps) {
  const { edges, bands, limit, tang, room, selected, onSelect, show, showPosition } = props;
  const [lo, hi] = depthRange(props);
  const y = useMemo(() => linear([lo, hi], [H - BOTTOM, TOP]), [lo, hi]);
  const ats = (['A', 'B'] as const).flatMap((edge) => edges[edge].map(({ at }) => at));
  const end = ats.length > 0 ? Math.max(...ats) * 1.06 : 400;
  const along = useMemo(
    () => ({ A: linear([0, end], [LEFT, MIDDLE - NOSE / 2]), B: linear([0, end], [W - RIGHT, MIDDLE + NOSE / 2]) }),
    [end],
  );
  const rails = railSpots(props, along, y);
  const limitOnTop = limit !== null && tang !== null && limit > tang + room;
  const limitLabel = limit === null ? '' : texts.leastDepth(show(limit));
  const limitAt = freestBox(spotsOf(limitLabel, y(limit ?? 0), limitOnTop, false), rails);
  const linkLabel = tang === null ? '' : texts.linkWithRoom(show(room), show(tang + room));
  const depthTicks = ticks(lo, hi, 5);
  const again = (['A', 'B'] as const).some((edge) =>
    edges[edge].some(({ nearAfter, farAfter }) => nearAfter !== null || farAfter !== null),
  );
  const rutted = (['A', 'B'] as const).some((edge) => edges[edge].some((point) => rutBottom(point) !== null));
  const legend = rowsOf(signsOf(again, rutted));
  const above = (legend.length - 1) * ROW;
  return (
    <svg
      viewBox={`0 ${-above} ${W} ${H + above}`}
      role="group"
      aria-label={texts.unrolledRailProfile}
      className="block w-full select-none"
    >
      <defs>
        <pattern id="metal-off" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" className="fill-brass-pale" />
          <path d="M0 0 V6" className="stroke-brass" strokeWidth="2.4" />
        </pattern>
      </defs>
      <InItsTurn>
        {' '}
        {depthTicks.map((depth) => (
          <g key={depth}>
            <path d={`M${LEFT} ${y(depth)} H${W - RIGHT}`} className="stroke-line" strokeWidth="1" />
            <text x={LEFT - 8} y={y(depth) + 4} textAnchor="end" className="fill-ink-soft figures text-[12px]">
              {show(depth)}
            </text>
          </g>
        ))}
        <text x={2} y={13} className="fill-ink-soft text-[12px]">
          {texts.depth(lo > 0 ? texts.from(show(lo)) : '')}
        </text>
        <Nose x={MIDDLE} />
        {(['A', 'B'] as const).map((edge) => (
          <EdgeProfile
            key={edge}
            edge={edge}
            points={edges[edge]}
            band={bands[edge]}
            x={along[edge]}
            y={y}
            selected={selected?.edge === edge ? selected.key : null}
            onSelect={onSelect}
            show={show}
            showPosition={showPosition}
          />
        ))}
        {limit !== null && (
          <LevelLine y={y(limit)} label={limitLabel} at={limitAt} look="stroke-oxide" text="fill-oxide" dash="" />
        )}
        {tang !== null && (
          <LevelLine
            y={y(tang + room)}
            label={linkLabel}
            at={freestBox(
              spotsOf(linkLabel, y(tang + room), !limitOnTop, true),
              rails,
              limit === null ? [] : [limitAt],
            )}
            look="stroke-steel"
            text="fill-steel"
            dash="7 4"
          />
        )}
        <text x={LEFT} y={H - 4} className="fill-ink text-[12px] font-semibold">
          {texts.tailOfEdge}
        </text>
        <text x={W - RIGHT} y={H - 4} textAnchor="end" className="fill-ink text-[12px] font-semibold">
          {texts.tailOfEdgeB}
        </text>
        <Legend rows={legend} />
      </InItsTurn>
    </svg>
  );
}

interface Sign {
  readonly word: string;
  readonly sign: ReactNode;
}

const ROW = 16;
/** About what a sign and its word take, px. */
const widthOf = ({ word }: Sign): number => 34 + 5.9 * word.length;
/** Room beside what the depths are said to begin with, px. */
const BESIDE = W - 112;

/** Signs laid into rows that leave what stands beside them free. */
function rowsOf(signs: readonly Sign[]): readonly (readonly Sign[])[] {
  const rows: Sign[][] = [[]];
  for (const sign of signs) {
    const row = rows.at(-1)!;
    const width = [...row, sign].reduce((sum, each) => sum + widthOf(each), 0);
    if (width > BESIDE && row.length > 0) rows.push([sign]);
    else row.push(sign);
  }
  return rows;
}

/** What the signs of the drawing stand for; `after` where it was measured again, `rut` where there is one. */
const signsOf = (again: boolean, rutted: boolean): readonly Sign[] => [
  { word: texts.doubt, sign: <rect y="2" width="18" height="12" className="fill-ink opacity-15" /> },
  {
    word: texts.nearRail,
    sign: (
      <>
        <path d="M0 8 H20" className="stroke-ink" strokeWidth="2.4" />
        <circle cx="10" cy="8" r="3.6" className="fill-ink" />
      </>
    ),
  },
  {
    word: texts.farRail,
    sign: (
      <>
        <path d="M0 8 H20" className="stroke-slate" strokeWidth="2.4" strokeDasharray="5 3" />
        <rect x="6.5" y="4.5" width="7" height="7" className="fill-sheet stroke-slate" strokeWidth="2" />
      </>
    ),
  },
  {
    word: texts.metalToComeOff,
    sign: <rect y="2" width="18" height="12" fill="url(#metal-off)" className="stroke-brass" />,
  },
  ...(rutted ? [{ word: texts.rutOrPit, sign: <path d={rutSign(10, 2, 14)} className="fill-oxide" /> }] : []),
  ...(again ? [{ word: texts.after, sign: <path d="M0 8 H20" className="stroke-pine" strokeWidth="3" /> }] : []),
];

/** Rows of signs, the last above the drawing and each to its right edge. */
function Legend({ rows }: { rows: readonly (readonly Sign[])[] }) {
  return (
    <g className="text-[12px]">
      {rows.map((row, k) =>
        row.map(({ word, sign }, i) => (
          <g
            key={word}
            transform={`translate(${W - row.slice(i).reduce((sum, each) => sum + widthOf(each), 0)} ${4 - (rows.length - 1 - k) * ROW})`}
          >
            {sign}
            <text x="26" y="12" className="fill-ink">
              {word}
            </text>
          </g>
        )),
      )}
    </g>
  );
}

/** The bend round the nose between the two edges. */
function Nose({ x }: { x: number }) {
  return (
    <g>
      <rect x={x - NOSE / 2} y={TOP} width={NOSE} height={H - TOP - BOTTOM} className="fill-well" />
      <text x={x} y={(TOP + H - BOTTOM) / 2} textAnchor="middle" className="fill-ink-soft text-[12px]">
        {texts.nose}
      </text>
    </g>
  );
}

/** Everything of the rails that a label could cover. */
function railSpots({ edges }: RailProfileProps, along: Along, y: (depth: number) => number): readonly Spot[] {
  return (['A', 'B'] as const).flatMap((edge) =>
    (['near', 'far', 'nearAfter', 'farAfter'] as const).flatMap((rail) =>
      alongLine(
        edges[edge].map((point) => {
          const depth = point[rail];
          return depth === null ? null : { x: along[edge](point.at), y: y(depth) };
        }),
      ),
    ),
  );
}
