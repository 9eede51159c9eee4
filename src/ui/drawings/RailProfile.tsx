import { alongLine, freestBox, type Box, type Spot } from './label-spot';
import { linear, path, ticks } from './scale';

/** One station as drawn; what is not measured is null. */
export interface ProfilePoint {
  readonly key: string;
  readonly at: number;
  readonly near: number | null;
  readonly far: number | null;
  /** Height the dressed rails will have, where dressing is advised. */
  readonly target: number | null;
  /** The second measurement, after the rework. */
  readonly nearAfter: number | null;
  readonly farAfter: number | null;
}

interface RailProfileProps {
  readonly edges: Readonly<Record<'A' | 'B', readonly ProfilePoint[]>>;
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

const W = 500;
const H = 192;
const LEFT = 54;
const RIGHT = 8;
const TOP = 26;
const BOTTOM = 34;
const NOSE = 34;

type Edge = 'A' | 'B';
type Along = Readonly<Record<Edge, (at: number) => number>>;

function depthRange({ edges, limit, tang, room }: RailProfileProps): readonly [number, number] {
  const heights = (['A', 'B'] as const).flatMap((edge) =>
    edges[edge].flatMap(({ near, far, nearAfter, farAfter }) => [near, far, nearAfter, farAfter]),
  );
  const known = [...heights, limit, tang === null ? null : tang + room].filter((value) => value !== null);
  if (known.length === 0) return [0, 10];
  const [lo, hi] = [Math.min(...known), Math.max(...known)];
  return [Math.max(0, Math.floor(2 * (lo - 0.45)) / 2), Math.ceil(2 * (hi + 0.1)) / 2];
}

/**
 * The unrolled rail profile: depth from the groove's floor along edge A from tail to nose, round the nose, and back along edge B.
 * Near and far rail, the limit, the link's room, and the dressing line with the metal to come off.
 */
export function RailProfile(props: RailProfileProps) {
  const { edges, limit, tang, room, selected, onSelect, show, showPosition } = props;
  const [lo, hi] = depthRange(props);
  const y = linear([lo, hi], [H - BOTTOM, TOP]);
  const ats = (['A', 'B'] as const).flatMap((edge) => edges[edge].map(({ at }) => at));
  const span: readonly [number, number] = ats.length > 0 ? [0, Math.max(...ats) * 1.06] : [0, 400];
  const middle = LEFT + (W - LEFT - RIGHT) / 2;
  const along = { A: linear(span, [LEFT, middle - NOSE / 2]), B: linear(span, [W - RIGHT, middle + NOSE / 2]) };
  const rails = railSpots(props, along, y);
  const limitOnTop = limit !== null && tang !== null && limit > tang + room;
  const limitLabel = limit === null ? '' : `least depth ${show(limit)}`;
  const limitAt = freestBox(spotsOf(limitLabel, y(limit ?? 0), limitOnTop, false), rails);
  const linkLabel = tang === null ? '' : `link with ${show(room)} room ${show(tang + room)}`;
  const depthTicks = ticks(lo, hi, 5);
  const again = (['A', 'B'] as const).some((edge) =>
    edges[edge].some(({ nearAfter, farAfter }) => nearAfter !== null || farAfter !== null),
  );
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="group" aria-label="Unrolled rail profile" className="block w-full select-none">
      <defs>
        <pattern id="metal-off" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" className="fill-brass-pale" />
          <path d="M0 0 V6" className="stroke-brass" strokeWidth="2.4" />
        </pattern>
      </defs>
      {depthTicks.map((depth) => (
        <g key={depth}>
          <path d={`M${LEFT} ${y(depth)} H${W - RIGHT}`} className="stroke-line" strokeWidth="1" />
          <text x={LEFT - 8} y={y(depth) + 4} textAnchor="end" className="fill-ink-soft figures text-[12px]">
            {show(depth)}
          </text>
        </g>
      ))}
      <text x={2} y={13} className="fill-ink-soft text-[12px]">
        depth{lo > 0 ? ` from ${show(lo)}` : ''}
      </text>
      <Nose x={middle} />
      {(['A', 'B'] as const).map((edge) => (
        <EdgeProfile
          key={edge}
          edge={edge}
          points={edges[edge]}
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
          at={freestBox(spotsOf(linkLabel, y(tang + room), !limitOnTop, true), rails, limit === null ? [] : [limitAt])}
          look="stroke-steel"
          text="fill-steel"
          dash="7 4"
        />
      )}
      <text x={LEFT} y={H - 4} className="fill-ink text-[12px] font-semibold">
        tail · edge A
      </text>
      <text x={W - RIGHT} y={H - 4} textAnchor="end" className="fill-ink text-[12px] font-semibold">
        edge B · tail
      </text>
      <Legend again={again} />
    </svg>
  );
}

function Legend({ again }: { again: boolean }) {
  return (
    <g transform={`translate(${W - (again ? 368 : 318)} 4)`} className="text-[12px]">
      <path d="M0 8 H20" className="stroke-ink" strokeWidth="2.4" />
      <circle cx="10" cy="8" r="3.6" className="fill-ink" />
      <text x="26" y="12" className="fill-ink">
        near rail
      </text>
      <path d="M96 8 H116" className="stroke-slate" strokeWidth="2.4" strokeDasharray="5 3" />
      <rect x="102.5" y="4.5" width="7" height="7" className="fill-sheet stroke-slate" strokeWidth="2" />
      <text x="122" y="12" className="fill-ink">
        far rail
      </text>
      <rect x="180" y="2" width="18" height="12" fill="url(#metal-off)" className="stroke-brass" />
      <text x="204" y="12" className="fill-ink">
        metal to come off
      </text>
      {again && (
        <>
          <path d="M312 8 H334" className="stroke-pine" strokeWidth="3" />
          <text x="340" y="12" className="fill-ink">
            after
          </text>
        </>
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
        nose
      </text>
    </g>
  );
}

/** Size of a level's label: twelve pixels of the figures' face, whose letters are all as wide. */
const LETTER = 7.2;
const LABEL_HEIGHT = 12;
const LABEL_ASCENT = 10;

/** Where the label of a level may stand: at either end, over it or under it, the liked place first. None below the drawing. */
function spotsOf(label: string, y: number, above: boolean, atEnd: boolean): readonly Box[] {
  const width = label.length * LETTER;
  const ends = [LEFT + 4, W - RIGHT - 4 - width];
  const sides = [y - 4 - LABEL_ASCENT, y + 13 - LABEL_ASCENT];
  const xs = atEnd ? [...ends].reverse() : ends;
  const ys = (above ? sides : [...sides].reverse()).filter((top) => top + LABEL_HEIGHT <= H - BOTTOM + 2);
  return (ys.length > 0 ? ys : sides.slice(0, 1)).flatMap((top) =>
    xs.map((x): Box => ({ x, y: top, width, height: LABEL_HEIGHT })),
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

/** A level with its label, which keeps a halo of paper where it crosses a rail. */
function LevelLine({
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

interface EdgeProfileProps {
  readonly edge: Edge;
  readonly points: readonly ProfilePoint[];
  readonly x: (at: number) => number;
  readonly y: (depth: number) => number;
  readonly selected: string | null;
  readonly onSelect: (edge: Edge, key: string) => void;
  readonly show: (mm: number) => string;
  readonly showPosition: (mm: number) => string;
}

/** Runs of neighbouring stations where a rail stands above its dressing line, as closed shapes. */
function metalOff(
  points: readonly ProfilePoint[],
  rail: 'near' | 'far',
  x: (at: number) => number,
  y: (depth: number) => number,
): string {
  const whole = points.filter(
    (point): point is ProfilePoint & { target: number } => point.target !== null && point[rail] !== null,
  );
  if (whole.length < 2) return '';
  const top = whole.map((point) => ({ x: x(point.at), y: y(Math.max(point[rail]!, point.target)) }));
  const under = whole.map((point) => ({ x: x(point.at), y: y(point.target) })).reverse();
  return `${path([...top, ...under])}Z`;
}

function EdgeProfile({ edge, points, x, y, selected, onSelect, show, showPosition }: EdgeProfileProps) {
  const line = (rail: 'near' | 'far' | 'target' | 'nearAfter' | 'farAfter') =>
    path(points.map((point) => (point[rail] === null ? null : { x: x(point.at), y: y(point[rail]) })));
  return (
    <g>
      <path d={metalOff(points, 'near', x, y)} fill="url(#metal-off)" />
      <path d={metalOff(points, 'far', x, y)} fill="url(#metal-off)" />
      <path d={line('target')} className="fill-none stroke-brass" strokeWidth="2" strokeDasharray="2 3" />
      <path d={line('far')} className="fill-none stroke-slate" strokeWidth="2.4" strokeDasharray="5 3" />
      <path d={line('near')} className="fill-none stroke-ink" strokeWidth="2.4" />
      <path d={line('farAfter')} className="fill-none stroke-pine" strokeWidth="3" strokeDasharray="5 3" />
      <path d={line('nearAfter')} className="fill-none stroke-pine" strokeWidth="3" />
      {points.map((point, i) => (
        <StationMark
          key={point.key}
          number={i + 1}
          edge={edge}
          point={point}
          x={x(point.at)}
          y={y}
          chosen={selected === point.key}
          onSelect={onSelect}
          show={show}
          showPosition={showPosition}
        />
      ))}
    </g>
  );
}

function StationMark({
  number,
  edge,
  point,
  x,
  y,
  chosen,
  onSelect,
  show,
  showPosition,
}: Omit<EdgeProfileProps, 'points' | 'x' | 'selected'> & {
  number: number;
  point: ProfilePoint;
  x: number;
  chosen: boolean;
}) {
  const { key, at, near, far, nearAfter, farAfter } = point;
  const said = [
    near === null ? 'near not measured' : `near ${show(near)}`,
    far === null ? 'far not measured' : `far ${show(far)}`,
    ...(nearAfter === null ? [] : [`after the rework near ${show(nearAfter)}`]),
    ...(farAfter === null ? [] : [`far ${show(farAfter)}`]),
  ].join(', ');
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={`Edge ${edge}, station ${number} at ${showPosition(at)}: ${said}`}
      aria-pressed={chosen}
      onPointerEnter={({ pointerType }) => pointerType === 'mouse' && onSelect(edge, key)}
      onClick={() => onSelect(edge, key)}
      onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onSelect(edge, key)}
      className="cursor-pointer"
    >
      <rect
        x={x - 16}
        y={TOP}
        width="32"
        height={H - TOP - BOTTOM + 16}
        className={chosen ? 'fill-steel-pale opacity-60' : 'fill-transparent'}
      />
      <path
        d={`M${x} ${TOP} V${H - BOTTOM + 4}`}
        className={chosen ? 'stroke-steel' : 'stroke-line'}
        strokeWidth={chosen ? 2 : 1}
      />
      {far !== null && (
        <rect x={x - 4.5} y={y(far) - 4.5} width="9" height="9" className="fill-sheet stroke-slate" strokeWidth="2" />
      )}
      {near !== null && <circle cx={x} cy={y(near)} r="4.5" className="fill-ink" />}
      <text
        x={x}
        y={H - BOTTOM + 16}
        textAnchor="middle"
        className={`figures text-[12px] ${chosen ? 'fill-steel font-bold' : 'fill-ink-soft'}`}
      >
        {number}
      </text>
    </g>
  );
}
