import { linear, ticks } from './scale';
import * as texts from '#language/screens/drawings';

/** A family's range of pitches, unworn and stretched, mm. */
export interface FamilyBand {
  readonly label: string;
  readonly lo: number;
  readonly hi: number;
  readonly stretched: number;
  readonly weight: number;
}

interface PitchScaleProps {
  readonly bands: readonly FamilyBand[];
  /** The measured pitch and twice its standard uncertainty, mm. */
  readonly reading: { readonly pitch: number; readonly doubt: number } | null;
  readonly show: (mm: number) => string;
}

const W = 500;
const H = 148;
const LO = 5.9;
const HI = 10.9;

/**
 * Which family: the measured pitch with its doubt, standing between the families. Paler is what a stretched chain may
 * reach.
 */
export function PitchScale({ bands, reading, show }: PitchScaleProps) {
  const x = linear([LO, HI], [16, W - 16]);
  const inside = reading && reading.pitch > LO && reading.pitch < HI ? reading : null;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={inside ? texts.measuredPitch(show(inside.pitch), show(inside.doubt)) : texts.familiesByPitch}
      className="block w-full"
    >
      {ticks(LO, HI, 5).map((pitch) => (
        <g key={pitch}>
          <path d={`M${x(pitch)} 114 v6`} className="stroke-line-strong" />
          <text x={x(pitch)} y={134} textAnchor="middle" className="fill-ink-soft figures text-[12px]">
            {show(pitch)}
          </text>
        </g>
      ))}
      <path d={`M12 114 H${W - 12}`} className="stroke-line-strong" strokeWidth="1.5" />
      {bands.map(({ label, lo, hi, stretched, weight }) => {
        const row = label.startsWith('3/8 low') ? 24 : label.startsWith('3/8') ? 54 : 84;
        return (
          <g key={label} className={weight >= 0.05 ? '' : 'opacity-55'}>
            <rect x={x(lo)} y={row} width={x(stretched) - x(lo)} height="24" className="fill-well stroke-line" />
            <rect
              x={x(lo)}
              y={row}
              width={Math.max(5, x(hi) - x(lo))}
              height="24"
              className={weight >= 0.5 ? 'fill-leaf' : 'fill-slate'}
            />
            <text x={x(stretched) + 5} y={row + 17} className="fill-ink text-[13px] font-semibold">
              {label}
            </text>
          </g>
        );
      })}
      {inside && (
        <g className="stroke-steel">
          <rect
            x={x(inside.pitch - inside.doubt)}
            y={20}
            width={Math.max(2, x(inside.pitch + inside.doubt) - x(inside.pitch - inside.doubt))}
            height="92"
            className="fill-steel opacity-20"
            strokeWidth="0"
          />
          <path d={`M${x(inside.pitch)} 18 V112`} strokeWidth="3" />
          <text
            x={x(inside.pitch)}
            y={13}
            textAnchor="middle"
            strokeWidth="0"
            className="fill-steel figures text-[13px] font-bold"
          >
            {show(inside.pitch)}
          </text>
        </g>
      )}
    </svg>
  );
}
