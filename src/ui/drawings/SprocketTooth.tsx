import { linear } from './scale';
import * as texts from '#language/screens/drawings';

interface SprocketToothProps {
  /** Depth of the grooves that the drive links have worn, mm; null while it was not measured. */
  readonly wear: number | null;
  /** Half width of its doubt, mm. */
  readonly doubt: number | null;
  readonly watch: number;
  readonly limit: number;
  readonly show: (mm: number) => string;
}

const FACE = 54;
const BOTTOM = 190;
/** The scale goes so far beyond the limit. */
const BEYOND = 1.8;

/**
 * A worn tooth cut across, its groove drawn to a scale of its own: how deep the drive links have worn it, against the
 * shop's two limits.
 */
export function SprocketTooth({ wear, doubt, watch, limit, show }: SprocketToothProps) {
  const full = Math.max(limit * BEYOND, (wear ?? 0) * 1.1);
  const y = linear([0, full], [FACE, BOTTOM - 14]);
  const depth = y(wear ?? 0);
  const level = (value: number, look: string, text: string) => (
    <g>
      <path d={`M40 ${y(value)} H300`} className={`fill-none ${look}`} strokeWidth="2" strokeDasharray="6 4" />
      <text x="306" y={y(value) + 4} className="fill-ink figures text-[13px]">
        {show(value)} {text}
      </text>
    </g>
  );
  return (
    <svg
      viewBox="0 0 452 200"
      className="w-full max-w-[28rem]"
      role="img"
      aria-label={wear === null ? texts.wearNotMeasured : texts.groovesWorn(show(wear), show(watch), show(limit))}
    >
      <path
        d={`M48 ${BOTTOM} V${FACE + 8} Q48 ${FACE} 56 ${FACE} H132 C138 ${FACE} 138 ${depth} 146 ${depth} H194 C202 ${depth} 202 ${FACE} 208 ${FACE} H284 Q292 ${FACE} 292 ${FACE + 8} V${BOTTOM} Z`}
        className="fill-slate-pale stroke-slate"
        strokeWidth="2"
      />
      <path d="M152 6 H188 V30 L182 44 Q170 50 158 44 L152 30 Z" className="fill-slate" />
      <text x="200" y="24" className="fill-ink-soft text-[12px]">
        {texts.driveLink}
      </text>
      {level(watch, 'stroke-brass', texts.watch)}
      {level(limit, 'stroke-oxide', texts.replace)}
      {wear === null && (
        <text x="170" y="150" textAnchor="middle" className="fill-steel text-[14px] font-bold">
          {texts.notMeasured}
        </text>
      )}
      {wear !== null && (
        <g>
          <path d={`M170 ${FACE} V${depth}`} className="stroke-ink" strokeWidth="2" />
          {doubt !== null && (
            <path
              d={`M164 ${y(Math.max(0, wear - doubt))} h12 M164 ${y(wear + doubt)} h12 M170 ${y(Math.max(0, wear - doubt))} V${y(wear + doubt)}`}
              className="stroke-ink"
              strokeWidth="1.5"
            />
          )}
          <text
            x="134"
            y={Math.max(depth - 6, FACE + 16)}
            textAnchor="end"
            className="fill-ink figures text-[16px] font-bold"
          >
            {show(wear)}
          </text>
        </g>
      )}
    </svg>
  );
}
