import { linear } from './scale';
import * as texts from '#language/screens/drawings';

/** What the cross-section is drawn from, mm and degrees; null where not measured. */
export interface SectionFigures {
  readonly near: number | null;
  readonly far: number | null;
  readonly mouth: number | null;
  readonly deep: number | null;
  readonly deepAt: number | null;
  readonly barThickness: number | null;
  readonly linkThickness: number | null;
  readonly tang: number | null;
  readonly kerf: number | null;
  readonly tipHeight: number | null;
  /** How the link leans, degrees: positive to the far side. */
  readonly lean: number | null;
  readonly clearance: number | null;
  /** Height the dressed rails will have, where dressing is advised. */
  readonly target: number | null;
}

interface CrossSectionProps {
  readonly figures: SectionFigures;
  /** Lean is drawn this many times larger. */
  readonly exaggeration: number;
  readonly show: (mm: number) => string;
}

const W = 260;
const H = 340;
/** Drawn where a width was not measured: dashed, and said so. */
const STAND_IN = { barThickness: 4.5, mouth: 1.4, depth: 8, tang: 5, linkThickness: 1.27 } as const;

/** The bar's edge cut across, to scale: rails, groove, floor, and the drive link standing as it can lean. */
export function CrossSection({ figures, exaggeration, show }: CrossSectionProps) {
  const thickness = figures.barThickness ?? STAND_IN.barThickness;
  const near = figures.near ?? figures.far ?? STAND_IN.depth;
  const far = figures.far ?? figures.near ?? STAND_IN.depth;
  const mouth = figures.mouth ?? STAND_IN.mouth;
  const top = Math.max(near, far);
  const below = 1.6;
  const above = Math.max(3.4, cutterTop(figures) + 0.4);
  const scale = Math.min((H - 58) / (top + above + below), (W - 128) / Math.max(thickness, figures.kerf ?? 0));
  const x = linear([0, 1], [W / 2, W / 2 + scale]);
  const y = linear([0, 1], [H - 38 - below * scale, H - 38 - (below + 1) * scale]);
  const half = { bar: thickness / 2, mouth: mouth / 2, floor: floorWidth(figures, mouth) / 2 };
  const drawnLean = (figures.lean ?? 0) * exaggeration;
  const unmeasured = unmeasuredWidths(figures);
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={describe(figures, show)} className="block w-full select-none">
      <text x="6" y="14" className="fill-ink-soft text-[12px]">
        {texts.nearSide}
      </text>
      <text x={W - 6} y="14" textAnchor="end" className="fill-ink-soft text-[12px]">
        {texts.farSide}
      </text>
      <Link figures={figures} x={x} y={y} scale={scale} lean={drawnLean} top={top} />
      <Rail
        side={-1}
        height={near}
        dashed={figures.near === null}
        half={half}
        x={x}
        y={y}
        below={below}
        target={figures.target}
      />
      <Rail
        side={1}
        height={far}
        dashed={figures.far === null}
        half={half}
        x={x}
        y={y}
        below={below}
        target={figures.target}
      />
      <rect
        x={x(-half.floor)}
        y={y(0)}
        width={half.floor * 2 * scale}
        height={below * scale}
        className="fill-slate-pale"
      />
      <path d={`M${x(-half.floor)} ${y(0)} H${x(half.floor)}`} className="stroke-slate" strokeWidth="2" />
      <StraightEdge figures={figures} x={x(half.bar)} from={y(-below)} to={y(top + cutterTop(figures)) - 12} />
      <HeightFigure
        x={x(-half.bar) - 12}
        from={y(0)}
        to={y(near)}
        label={figures.near === null ? texts.notMeasured : show(figures.near)}
        anchor="end"
      />
      <HeightFigure
        x={x(half.bar) + 12}
        from={y(0)}
        to={y(far)}
        label={figures.far === null ? texts.notMeasured : show(figures.far)}
        anchor="start"
      />
      <Clearance figures={figures} x={x} y={y} near={near} far={far} show={show} />
      {unmeasured.length > 0 && (
        <text textAnchor="middle" className="fill-steel text-[12px]">
          {byEye(unmeasured).map((line, i, lines) => (
            <tspan key={line} x={W / 2} y={H - 5 - 14 * (lines.length - 1 - i)}>
              {line}
            </tspan>
          ))}
        </text>
      )}
    </svg>
  );
}

/** The rule of the straight-edge test: against the bar's side, reaching past the cutter that is pushed over to it. */
function StraightEdge({ figures, x, from, to }: { figures: SectionFigures; x: number; from: number; to: number }) {
  if (figures.kerf === null || figures.barThickness === null) return null;
  return (
    <g>
      <path d={`M${x} ${from} V${to}`} className="stroke-slate" strokeWidth="1.4" strokeDasharray="9 3 2 3" />
      <text x={x + 4} y={to + 6} className="fill-slate text-[12px]">
        {texts.rule}
      </text>
    </g>
  );
}

/** Height of the cutter's tip above the rails. */
function cutterTop({ tipHeight, tang }: SectionFigures): number {
  return tipHeight === null ? 4.5 : Math.max(3.6, tipHeight - (tang ?? STAND_IN.tang) / 2);
}

function floorWidth({ deep, deepAt, near, far }: SectionFigures, mouth: number): number {
  const depth = Math.min(near ?? STAND_IN.depth, far ?? STAND_IN.depth);
  if (deep === null || !deepAt) return mouth;
  return Math.max(0.6, mouth + ((deep - mouth) * depth) / deepAt);
}

/** What is drawn by eye, in lines that fit the drawing. */
function byEye(names: readonly string[]): readonly string[] {
  if (names.length < 3) return [texts.drawnByEye(names.join(', '))];
  return [texts.drawnByEyeToo(names.slice(0, 2).join(', ')), names.slice(2).join(', ')];
}

function unmeasuredWidths(figures: SectionFigures): readonly string[] {
  const names = {
    barThickness: texts.barThickness,
    mouth: texts.grooveWidth,
    linkThickness: 'link',
    tang: 'tang',
  } as const;
  return (Object.keys(names) as (keyof typeof names)[]).filter((key) => figures[key] === null).map((key) => names[key]);
}

function describe({ near, far, clearance, lean }: SectionFigures, show: (mm: number) => string): string {
  const depths = texts.nearRailFarRail(
    near === null ? texts.notMeasured : show(near),
    far === null ? texts.notMeasured : show(far),
  );
  const room = clearance === null ? '' : texts.roomUnderTheLink(show(clearance));
  const tilt = lean === null ? '' : texts.linkLeans(Math.abs(lean).toFixed(1));
  return texts.crossSectionOfTheEdge(depths, room, tilt);
}

interface RailProps {
  readonly side: -1 | 1;
  readonly height: number;
  readonly dashed: boolean;
  readonly half: { readonly bar: number; readonly mouth: number; readonly floor: number };
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly below: number;
  readonly target: number | null;
}

function Rail({ side, height, dashed, half, x, y, below, target }: RailProps) {
  const outer = x(side * half.bar);
  const off = target !== null && target < height ? target : null;
  return (
    <g>
      <path
        d={`M${outer} ${y(-below)} V${y(height)} H${x(side * half.mouth)} L${x(side * half.floor)} ${y(0)} V${y(-below)} Z`}
        className="fill-slate-pale stroke-slate"
        strokeWidth="2"
        strokeDasharray={dashed ? '4 3' : undefined}
      />
      {off !== null && (
        <g>
          <rect
            x={Math.min(outer, x(side * half.mouth))}
            y={y(height)}
            width={Math.abs(outer - x(side * half.mouth))}
            height={y(off) - y(height)}
            className="fill-brass-pale stroke-brass"
          />
          <path
            d={`M${outer} ${y(off)} H${x(side * half.mouth)}`}
            className="stroke-brass"
            strokeWidth="2"
            strokeDasharray="2 3"
          />
        </g>
      )}
    </g>
  );
}

interface LinkProps {
  readonly figures: SectionFigures;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly scale: number;
  readonly lean: number;
  readonly top: number;
}

/** The drive link with its straps and cutter, turned about the middle of the groove's mouth. */
function Link({ figures, x, y, scale, lean }: LinkProps) {
  const g = figures.linkThickness ?? STAND_IN.linkThickness;
  const tang = figures.tang ?? STAND_IN.tang;
  const seat = Math.min(figures.near ?? STAND_IN.depth, figures.far ?? STAND_IN.depth);
  const kerf = figures.kerf;
  const tip = cutterTop(figures);
  const dashed = figures.tang === null || figures.linkThickness === null ? '4 3' : undefined;
  const strap = 1.5;
  return (
    <g transform={`rotate(${lean.toFixed(3)} ${x(0)} ${y(seat)})`} className="stroke-ink" strokeWidth="1.8">
      <rect
        x={x(-g / 2)}
        y={y(seat)}
        width={g * scale}
        height={tang * scale}
        className="fill-well"
        strokeDasharray={dashed}
      />
      <rect x={x(-g / 2 - strap)} y={y(seat + 3.2)} width={strap * scale} height={3.2 * scale} className="fill-well" />
      <rect x={x(g / 2)} y={y(seat + 3.2)} width={strap * scale} height={3.2 * scale} className="fill-well" />
      {kerf !== null && (
        <path
          d={`M${x(-g / 2 - strap)} ${y(seat + 3.2)} V${y(seat + tip)} H${x(kerf / 2)} V${y(seat + tip - 0.9)} H${x(-g / 2)} V${y(seat + 3.2)} Z`}
          className="fill-sheet"
        />
      )}
      <circle cx={x(0)} cy={y(seat + 1.5)} r={0.55 * scale} className="fill-ink" />
    </g>
  );
}

function HeightFigure({
  x,
  from,
  to,
  label,
  anchor,
}: {
  x: number;
  from: number;
  to: number;
  label: string;
  anchor: 'start' | 'end';
}) {
  const text = anchor === 'end' ? x - 5 : x + 5;
  // Two words are set under one another: beside the rail there is room for one.
  const lines = label.split(' ').length > 1 && !/\d/.test(label) ? label.split(' ') : [label];
  return (
    <g>
      <path
        d={`M${x - 4} ${from} H${x + 4} M${x - 4} ${to} H${x + 4} M${x} ${from} V${to}`}
        className="fill-none stroke-ink-soft"
        strokeWidth="1"
      />
      <text x={text} y={(from + to) / 2 + 4} textAnchor={anchor} className="fill-ink figures text-[12px] font-semibold">
        {lines.map((line, i) => (
          <tspan key={line} x={text} dy={i === 0 ? 0 : 14}>
            {line}
          </tspan>
        ))}
      </text>
    </g>
  );
}

/** Dimension of the room between the tang and the floor. */
function Clearance({
  figures,
  x,
  y,
  near,
  far,
  show,
}: {
  figures: SectionFigures;
  x: (mm: number) => number;
  y: (mm: number) => number;
  near: number;
  far: number;
  show: (mm: number) => string;
}) {
  if (figures.clearance === null || figures.tang === null) return null;
  const bottom = Math.min(near, far) - figures.tang;
  return (
    <g>
      <path
        d={`M${x(-0.5)} ${y(bottom)} H${x(0.5)} M${x(0)} ${y(0)} V${y(bottom)}`}
        className="stroke-steel"
        strokeWidth="1.6"
      />
      <text x={W / 2} y={H - 22} textAnchor="middle" className="fill-steel figures text-[12px] font-bold">
        {texts.room(show(figures.clearance))}
      </text>
    </g>
  );
}
