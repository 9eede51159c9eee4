import * as texts from '#language/screens/drawings';
interface PushPullProps {
  /** Percent that counts; null while it was not measured. */
  readonly percent: number | null;
  readonly perJoint: number | null;
  readonly watch: number;
  readonly limit: number;
  readonly show: (mm: number) => string;
}

const LINKS = 9;
const PITCH = 56;
const LEFT = 16;
/** Play is drawn so many times as large as it is, or nobody would see it. */
const MAGNIFIED = 25;

/** A row of straps on their rivets, each joint drawn with its play to one side or the other. */
function Row({ y, play }: { y: number; play: number }) {
  return Array.from({ length: LINKS }, (_, i) => {
    const x = LEFT + i * (PITCH + play);
    return (
      <g key={i}>
        <rect
          x={x}
          y={y - 11}
          width={PITCH - 6}
          height="22"
          rx="11"
          className="fill-slate-pale stroke-slate"
          strokeWidth="1.5"
        />
        <circle cx={x + 11} cy={y} r="5" className="fill-sheet stroke-ink" strokeWidth="1.5" />
        <circle cx={x + PITCH - 17} cy={y} r="5" className="fill-sheet stroke-ink" strokeWidth="1.5" />
        <circle cx={x + 11 + play / 2} cy={y} r="3" className="fill-ink" />
        <circle cx={x + PITCH - 17 - play / 2} cy={y} r="3" className="fill-ink" />
      </g>
    );
  });
}

/** The same stretch pushed together and pulled apart, with its play magnified, and the growth on its scale. */
export function PushPull({ percent, perJoint, watch, limit, show }: PushPullProps) {
  const play = Math.min(14, (perJoint ?? 0) * MAGNIFIED);
  const full = limit * 1.5;
  const x = (value: number) => LEFT + (Math.min(value, full) / full) * 600;
  const end = (gap: number) => LEFT + LINKS * (PITCH + gap) - 6 - gap;
  return (
    <svg
      viewBox="0 0 660 196"
      className="w-full max-w-[44rem]"
      role="img"
      aria-label={percent === null ? texts.notMeasuredYet : texts.grown(percent.toFixed(2), watch, limit)}
    >
      <text x={LEFT} y="14" className="fill-ink-soft text-[12px]">
        {texts.pushedTogether}
      </text>
      <Row y={34} play={0} />
      <text x={LEFT} y="68" className="fill-ink-soft text-[12px]">
        {texts.pulledApart(play > 0 ? texts.playMagnified(MAGNIFIED) : '')}
      </text>
      <Row y={88} play={play} />
      <path d={`M${end(0)} 18 V106`} className="stroke-ink-soft" strokeDasharray="2 3" />
      {play > 0 && <path d={`M${end(0)} 106 H${end(play)}`} className="stroke-brass" strokeWidth="4" />}
      {perJoint !== null && (
        <text x={end(play)} y="124" textAnchor="end" className="fill-ink figures text-[13px]">
          {texts.aJoint(show(perJoint))}
        </text>
      )}
      <rect x={x(0)} y="140" width={x(watch) - x(0)} height="16" className="fill-leaf-pale stroke-leaf" />
      <rect x={x(watch)} y="140" width={x(limit) - x(watch)} height="16" className="fill-brass-pale stroke-brass" />
      <rect x={x(limit)} y="140" width={x(full) - x(limit)} height="16" className="fill-oxide-pale stroke-oxide" />
      {[0, watch, limit].map((value) => (
        <text
          key={value}
          x={x(value)}
          y="174"
          textAnchor={value === 0 ? 'start' : 'middle'}
          className="fill-ink-soft figures text-[12px]"
        >
          {value} %
        </text>
      ))}
      <text x={x(full)} y="174" textAnchor="end" className="fill-oxide text-[12px]">
        {texts.replace}
      </text>
      {percent !== null && (
        <g>
          <path d={`M${x(percent)} 132 V162`} className="stroke-ink" strokeWidth="4" />
          <text
            x={Math.max(x(percent), LEFT + 24)}
            y="128"
            textAnchor="middle"
            className="fill-ink figures text-[15px] font-bold"
          >
            {percent.toFixed(2)} %
          </text>
        </g>
      )}
    </svg>
  );
}
