import { useId, type KeyboardEvent } from 'react';
import { linear } from './scale';
import * as texts from '#language/screens/drawings';

export type RibbonSide = 'left' | 'right';
/** What is wrong with a cutter, as it is drawn. */
export type RibbonDamage = 'chip' | 'flat' | 'burnt' | 'angle' | null;

/** One cutter of the ribbon; lengths in mm, null where it was not measured. */
export interface RibbonCutter {
  readonly length: number | null;
  /** How far its damage reaches back; null where there is none. */
  readonly setBack: number | null;
  readonly kind: RibbonDamage;
  /** Length after the rework. */
  readonly after: number | null;
  /** Said of it by those who cannot see it. */
  readonly said: string;
}

interface CutterRibbonProps {
  readonly left: readonly RibbonCutter[];
  readonly right: readonly RibbonCutter[];
  /** The mark that no cutter may end below, mm. */
  readonly mark: number;
  /** The length that all are filed back to; null while none was measured. */
  readonly target: number | null;
  readonly selected?: { readonly side: RibbonSide; readonly cutter: number };
  /** Chooses a cutter; without it the ribbon is a picture, and nothing on it is a button. */
  readonly onSelect?: (side: RibbonSide, cutter: number) => void;
  /** Keys while the ribbon has the focus. */
  readonly onKeyDown?: (event: KeyboardEvent) => void;
  readonly show: (mm: number) => string;
}

/** A cutter gets a finger's width. */
const CELL = 44;
const BAR = 24;
/** Room at the left for the names of the sides, at the right for the figures of the lines. */
const GUTTER = 36;
const FIGURES = 66;
const HALF = 92;
const MIDDLE = 22;
const PAD = 12;
const HEIGHT = 2 * (HALF + PAD) + MIDDLE;
/** Room above the longest cutter. */
const HEADROOM = 1.08;
/** New cutters are about so long, mm: the least that the scale shows. */
const NEW_CUTTER = 9;

/**
 * The loop unrolled: left cutters above the middle, right ones below, each as long as it is; the mark, and the line
 * that the worst of all draws for every other. What comes off is hatched, damage has a glyph of its own kind.
 */
export function CutterRibbon({ left, right, mark, target, selected, onSelect, onKeyDown, show }: CutterRibbonProps) {
  const hatch = useId();
  const columns = Math.max(left.length, right.length);
  const width = GUTTER + columns * CELL + FIGURES;
  const longest = Math.max(NEW_CUTTER, ...[...left, ...right].map(({ length }) => length ?? 0));
  const tall = linear([0, longest * HEADROOM], [0, HALF]);
  const scales = { left: (mm: number) => PAD + HALF - tall(mm), right: (mm: number) => PAD + HALF + MIDDLE + tall(mm) };
  return (
    <div
      className="overflow-x-auto"
      {...(onSelect ? {} : { tabIndex: 0, role: 'region', 'aria-label': texts.theLoopToBeMoved })}
    >
      <svg
        width={width}
        height={HEIGHT}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        role="group"
        aria-label={texts.loopUnrolled}
        onKeyDown={onKeyDown}
        className="block"
      >
        <defs>
          <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" className="fill-brass-pale" />
            <path d="M0 0V6" className="stroke-brass" strokeWidth="2.4" />
          </pattern>
        </defs>
        <rect x="0" y={PAD + HALF} width={width} height={MIDDLE} className="fill-slate-pale" />
        {(['left', 'right'] as const).map((side) => (
          <g key={side}>
            <text
              x="6"
              y={side === 'left' ? PAD + 14 : HEIGHT - PAD - 4}
              className="fill-ink-soft text-[13px] font-semibold"
            >
              {side === 'left' ? texts.left : texts.right}
            </text>
            {(side === 'left' ? left : right).map((cutter, i) => (
              <Cutter
                key={i}
                cutter={cutter}
                number={i + 1}
                side={side}
                x={GUTTER + i * CELL}
                y={scales[side]}
                target={target}
                hatch={`url(#${hatch})`}
                isSelected={selected?.side === side && selected.cutter === i + 1}
                isFirst={selected === undefined && side === 'left' && i === 0}
                {...(onSelect ? { onSelect: () => onSelect(side, i + 1) } : {})}
              />
            ))}
            <Level y={scales[side](mark)} width={width} look="stroke-oxide" dash="7 4" />
            {target !== null && <Level y={scales[side](target)} width={width} look="stroke-pine" />}
          </g>
        ))}
        <text x={width - FIGURES + 9} y={scales.left(mark) + 4} className="fill-oxide figures text-[12px]">
          {show(mark)}
        </text>
        {target !== null && Math.abs(tall(target) - tall(mark)) > 12 && (
          <text x={width - FIGURES + 9} y={scales.left(target) + 4} className="fill-pine figures text-[12px] font-bold">
            {show(target)}
          </text>
        )}
      </svg>
    </div>
  );
}

function Level({ y, width, look, dash }: { y: number; width: number; look: string; dash?: string }) {
  return (
    <path
      d={`M${GUTTER - 4} ${y} H${width - FIGURES + 6}`}
      className={`pointer-events-none fill-none ${look}`}
      strokeWidth="2"
      {...(dash ? { strokeDasharray: dash } : {})}
    />
  );
}

interface CutterProps {
  readonly cutter: RibbonCutter;
  readonly number: number;
  readonly side: RibbonSide;
  readonly x: number;
  /** Where a length ends on the drawing. */
  readonly y: (mm: number) => number;
  readonly target: number | null;
  readonly hatch: string;
  readonly isSelected: boolean;
  /** True for the one that the Tab key comes to while none is chosen. */
  readonly isFirst: boolean;
  readonly onSelect?: () => void;
}

/** A bar between two lengths. */
function span(x: number, y: (mm: number) => number, from: number, to: number) {
  const [a, b] = [y(from), y(to)];
  return { x: x + (CELL - BAR) / 2, y: Math.min(a, b), width: BAR, height: Math.max(0, Math.abs(a - b)) };
}

function Cutter({ cutter, number, side, x, y, target, hatch, isSelected, isFirst, onSelect }: CutterProps) {
  const { length, setBack, kind, after, said } = cutter;
  const kept = length === null ? 0 : Math.min(length, target ?? length);
  const asButton = onSelect
    ? {
        role: 'button',
        tabIndex: isSelected || isFirst ? 0 : -1,
        'aria-pressed': isSelected,
        onClick: onSelect,
        onKeyDown: (event: KeyboardEvent) => (event.key === 'Enter' || event.key === ' ') && onSelect(),
        className: 'cursor-pointer outline-none focus-visible:[&>rect:first-child]:stroke-steel',
      }
    : { role: 'img' };
  return (
    <g {...asButton} aria-label={said} data-cutter={`${side} ${number}`}>
      <rect
        x={x + 1}
        y={side === 'left' ? 2 : PAD + HALF + MIDDLE}
        width={CELL - 2}
        height={HALF + PAD - 2}
        strokeWidth="3"
        className={isSelected ? 'fill-steel-pale' : 'fill-transparent'}
      />
      {length === null ? (
        <rect {...span(x, y, 0, 3)} className="fill-none stroke-line-strong" strokeDasharray="3 3" strokeWidth="1.5" />
      ) : (
        <>
          <rect {...span(x, y, 0, kept)} className="fill-slate" />
          <rect {...span(x, y, kept, length)} fill={hatch} className="stroke-brass" strokeWidth="1" />
          <path d={`M${x + (CELL - BAR) / 2} ${y(length)} h${BAR}`} className="stroke-ink" strokeWidth="2.4" />
        </>
      )}
      {after !== null && <path d={`M${x + 5} ${y(after)} H${x + CELL - 5}`} className="stroke-pine" strokeWidth="4" />}
      {setBack !== null && length !== null && (
        <rect
          {...span(x, y, Math.max(0, length - setBack), length)}
          className="fill-oxide-pale stroke-oxide"
          strokeWidth="2"
        />
      )}
      {kind !== null && <Damage kind={kind} x={x + CELL / 2} y={y(length ?? 3)} down={side === 'left' ? 1 : -1} />}
      <text
        x={x + CELL / 2}
        y={PAD + HALF + (side === 'left' ? 10 : 20)}
        textAnchor="middle"
        className={`figures text-[10px] ${isSelected ? 'fill-steel font-bold' : 'fill-ink-soft'}`}
      >
        {number}
      </text>
    </g>
  );
}

/** A glyph for each kind of damage, at the tip of its cutter. */
function Damage({ kind, x, y, down }: { kind: Exclude<RibbonDamage, null>; x: number; y: number; down: 1 | -1 }) {
  const shapes = {
    chip: `M${x - 6} ${y} l6 ${8 * down} l6 ${-8 * down} Z`,
    flat: `M${x - 9} ${y} h18 v${4 * down} h-18 Z`,
    burnt: `M${x - 5} ${y + 4 * down} a5 5 0 1 0 10 0 a5 5 0 1 0 -10 0 Z`,
    angle: `M${x - 9} ${y} L${x + 9} ${y} L${x + 9} ${y + 9 * down} Z`,
  } as const;
  return <path d={shapes[kind]} className="fill-oxide stroke-sheet" strokeWidth="1.5" />;
}
