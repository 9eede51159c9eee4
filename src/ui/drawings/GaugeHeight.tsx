import * as texts from '#language/screens/drawings';
interface GaugeHeightProps {
  /** Least and greatest height below the edge, mm; null where none was measured. */
  readonly highest: number | null;
  readonly lowest: number | null;
  readonly setting: number | null;
  /** Least height once all cutters were filed back. */
  readonly after: number | null;
  readonly show: (mm: number) => string;
}

const EDGE = 22;
const SCALE = 58;
/** Nothing is drawn lower than this, mm. */
const DEEPEST = 1.6;

/**
 * Depth gauges against the edge of their cutter, ten times as high as long: the setting as a line, the highest and the
 * lowest gauge, and where filing back will put the highest.
 */
export function GaugeHeight({ highest, lowest, setting, after, show }: GaugeHeightProps) {
  const y = (mm: number) => EDGE + Math.min(mm, DEEPEST) * SCALE;
  const gauge = (x: number, height: number, look: string) => (
    <path
      d={`M${x} 128 L${x + 3} ${y(height) + 8} Q${x + 16} ${y(height)} ${x + 30} ${y(height) + 7} L${x + 34} 128 Z`}
      className={look}
    />
  );
  return (
    <svg
      viewBox="0 0 330 150"
      className="w-full max-w-[23rem]"
      role="img"
      aria-label={
        highest === null || lowest === null
          ? texts.noDepthGaugeMeasured
          : texts.gaugeHeights(show(highest), show(lowest), setting === null ? '' : texts.setting(show(setting)))
      }
    >
      <path d={`M286 ${EDGE} C280 60 276 90 268 128 H330 V${EDGE + 6} Z`} className="fill-slate" />
      <path d={`M0 ${EDGE} H290`} className="stroke-ink" strokeWidth="1.5" strokeDasharray="2 3" />
      <text x="4" y={EDGE - 6} className="fill-ink-soft text-[12px]">
        {texts.edgeOfTheCutter}
      </text>
      {after !== null && gauge(60, after, 'fill-none stroke-brass')}
      {highest !== null && gauge(60, highest, 'fill-slate-pale stroke-ink')}
      {lowest !== null && gauge(190, lowest, 'fill-slate-pale stroke-ink')}
      {setting !== null && <path d={`M0 ${y(setting)} H260`} className="stroke-pine" strokeWidth="2.5" />}
      {setting !== null && (
        <text x="4" y={y(setting) + 15} className="fill-pine figures text-[12px] font-bold">
          {show(setting)}
        </text>
      )}
      {highest !== null && (
        <text x="77" y="144" textAnchor="middle" className="fill-ink figures text-[12px]">
          {texts.highest(show(highest))}
        </text>
      )}
      {lowest !== null && (
        <text x="207" y="144" textAnchor="middle" className="fill-ink figures text-[12px]">
          {texts.lowest(show(lowest))}
        </text>
      )}
    </svg>
  );
}
