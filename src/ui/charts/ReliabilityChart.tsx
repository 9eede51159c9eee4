import {
  CartesianGrid,
  ErrorBar,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import * as texts from '#language/screens/practice';

const HEIGHT = 240;
const LABEL = { fontSize: 12 };
const TENTHS = [0.5, 0.6, 0.7, 0.8, 0.9, 1];
const SHARES = [0, 0.25, 0.5, 0.75, 1];
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Statements about as sure: how sure, and how often right, with the interval of that share. */
interface ReliabilityPoint {
  readonly stated: number;
  readonly right: number;
  readonly of: number;
  readonly from: number;
  readonly until: number;
}

/** How sure somebody was against how often they were right, each with its interval; on the line who knows what they know. */
export function ReliabilityChart({ points }: { readonly points: readonly ReliabilityPoint[] }) {
  const said = texts.curveSays(
    points.map(({ stated, right, of }) => ({ stated: percent(stated), right: String(right), of })),
  );
  const drawn = points.map(({ stated, right, of, from, until }) => {
    const share = right / of;
    return { stated, share, interval: [share - from, until - share] };
  });
  return (
    <figure role="img" aria-label={said} className="overflow-hidden">
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <ScatterChart margin={{ top: 8, right: 16, bottom: 20, left: 4 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-line)" />
          <ReferenceLine
            segment={[
              { x: 0.5, y: 0.5 },
              { x: 1, y: 1 },
            ]}
            stroke="var(--color-ink-soft)"
            strokeDasharray="6 4"
          />
          <XAxis
            dataKey="stated"
            type="number"
            domain={[0.45, 1.02]}
            ticks={TENTHS}
            tickFormatter={percent}
            tick={LABEL}
            stroke="var(--color-ink-soft)"
            label={{ value: texts.statedAxis, position: 'insideBottom', dy: 14, ...LABEL, fill: 'var(--color-ink)' }}
          />
          <YAxis
            dataKey="share"
            type="number"
            domain={[0, 1]}
            ticks={SHARES}
            tickFormatter={percent}
            tick={LABEL}
            width={48}
            stroke="var(--color-ink-soft)"
          />
          <Scatter data={drawn} fill="var(--color-pine)" isAnimationActive={false}>
            <ErrorBar dataKey="interval" direction="y" width={6} stroke="var(--color-pine)" isAnimationActive={false} />
          </Scatter>
        </ScatterChart>
      </ResponsiveContainer>
    </figure>
  );
}
