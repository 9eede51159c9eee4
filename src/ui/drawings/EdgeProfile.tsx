import { memo } from 'react';
import { BOTTOM, H, rutBottom, TOP, type Edge, type ProfileBand, type ProfilePoint } from './profile-frame';
import { path } from './scale';
import * as texts from '#language/screens/drawings';

interface EdgeProfileProps {
  readonly edge: Edge;
  readonly points: readonly ProfilePoint[];
  /** What is believed of the rails along the edge; empty where nothing was measured. */
  readonly band: readonly ProfileBand[];
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
  const height = (point: ProfilePoint) => (rail === 'near' ? point.nearBelieved : point.farBelieved) ?? point[rail];
  const whole = points.filter(
    (point): point is ProfilePoint & { target: number } => point.target !== null && height(point) !== null,
  );
  if (whole.length < 2) return '';
  const top = whole.map((point) => ({ x: x(point.at), y: y(Math.max(height(point)!, point.target)) }));
  const under = whole.map((point) => ({ x: x(point.at), y: y(point.target) })).reverse();
  return `${path([...top, ...under])}Z`;
}

/** A trough from the rail tops down to a rut's bottom. */
export const rutSign = (x: number, top: number, bottom: number): string =>
  `M${x - 6} ${top} L${x - 2.5} ${bottom} H${x + 2.5} L${x + 6} ${top} Z`;

/** The doubt of a rail as a closed shape round what is believed of it. A lone place has no length to draw. */
function doubt(
  band: readonly ProfileBand[],
  rail: 'near' | 'far',
  x: (at: number) => number,
  y: (depth: number) => number,
): string {
  if (band.length < 2) return '';
  const side = (sign: 1 | -1) => band.map((place) => ({ x: x(place.at), y: y(place[rail] + sign * place.half) }));
  return `${path([...side(1), ...side(-1).reverse()])}Z`;
}

/**
 * One edge of the profile: its rails as they are believed to stand, with their doubt; the readings as points; the metal
 * to come off, and a mark to choose each station by.
 * Drawn anew only when the edge itself changes: a key is typed on one of two.
 */
export const EdgeProfile = memo(function EdgeProfile(props: EdgeProfileProps) {
  const { edge, points, band, x, y, selected, onSelect, show, showPosition } = props;
  const line = (rail: 'target' | 'nearAfter' | 'farAfter') =>
    path(points.map((point) => (point[rail] === null ? null : { x: x(point.at), y: y(point[rail]) })));
  const believed = (rail: 'near' | 'far') => path(band.map((place) => ({ x: x(place.at), y: y(place[rail]) })));
  return (
    <g>
      <path d={doubt(band, 'far', x, y)} className="fill-slate opacity-15" />
      <path d={doubt(band, 'near', x, y)} className="fill-ink opacity-10" />
      <path d={metalOff(points, 'near', x, y)} fill="url(#metal-off)" />
      <path d={metalOff(points, 'far', x, y)} fill="url(#metal-off)" />
      <path d={line('target')} className="fill-none stroke-brass" strokeWidth="2" strokeDasharray="2 3" />
      <path d={believed('far')} className="fill-none stroke-slate" strokeWidth="2.4" strokeDasharray="5 3" />
      <path d={believed('near')} className="fill-none stroke-ink" strokeWidth="2.4" />
      <path d={line('farAfter')} className="fill-none stroke-pine" strokeWidth="3" strokeDasharray="5 3" />
      <path d={line('nearAfter')} className="fill-none stroke-pine" strokeWidth="3" />
      {points.map(({ key, at, near, far, nearAfter, farAfter, rut }, i) => (
        <StationMark
          key={key}
          id={key}
          number={i + 1}
          edge={edge}
          at={at}
          near={near}
          far={far}
          nearAfter={nearAfter}
          farAfter={farAfter}
          rut={rut}
          x={x(at)}
          y={y}
          chosen={selected === key}
          onSelect={onSelect}
          show={show}
          showPosition={showPosition}
        />
      ))}
    </g>
  );
});

interface StationMarkProps
  extends
    Pick<ProfilePoint, 'at' | 'near' | 'far' | 'nearAfter' | 'farAfter' | 'rut'>,
    Pick<EdgeProfileProps, 'edge' | 'y' | 'onSelect' | 'show' | 'showPosition'> {
  /** The station's key. */
  readonly id: string;
  readonly number: number;
  readonly x: number;
  readonly chosen: boolean;
}

/**
 * A station's readings, and the mark to choose it by. What is believed there moves with every reading of the edge, and
 * is not drawn here.
 */
const StationMark = memo(function StationMark(props: StationMarkProps) {
  const { id, number, edge, at, near, far, nearAfter, farAfter, rut, x, y, chosen, onSelect, show, showPosition } =
    props;
  const bottom = rutBottom({ near, far, rut });
  const said = [
    near === null ? texts.nearNotMeasured : texts.near(show(near)),
    far === null ? texts.farNotMeasured : texts.far(show(far)),
    ...(nearAfter === null ? [] : [texts.afterTheReworkNear(show(nearAfter))]),
    ...(farAfter === null ? [] : [texts.far(show(farAfter))]),
    ...(bottom === null ? [] : [texts.rutDeep(show(rut!))]),
  ].join(', ');
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={texts.stationSaid(edge, number, showPosition(at), said)}
      aria-pressed={chosen}
      onPointerEnter={({ pointerType }) => pointerType === 'mouse' && onSelect(edge, id)}
      onClick={() => onSelect(edge, id)}
      onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onSelect(edge, id)}
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
      {bottom !== null && <path d={rutSign(x, y(bottom + rut!), y(bottom))} className="fill-oxide" />}
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
});
