import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { ticksOver } from './ticks';
import * as texts from '#language/screens/drawings';

interface TakesChartProps {
  /** In their order, mm. */
  readonly takes: readonly number[];
  readonly mean: number;
  /** Standard deviation of one take, mm. */
  readonly sd: number;
  /** The size of the block, mm; null where it is not known. */
  readonly known: number | null;
}

const HEIGHT = 200;
const LABEL = { fontSize: 12 };

/** The takes one after another, their mean, twice their standard deviation about it, and the size of the block. */
export function TakesChart({ takes, mean, sd, known }: TakesChartProps) {
  const drawn = [...takes, mean - 2 * sd, mean + 2 * sd, ...(known === null ? [] : [known])];
  const ticks = ticksOver(drawn);
  const [low, high] = [ticks[0]!, ticks.at(-1)!];
  const digits = Math.max(0, Math.ceil(-Math.log10(ticks[1]! - low) - 1e-9));
  const points = takes.map((take, i) => ({ number: i + 1, take }));
  const said = texts.takesAndMean(takes.length, mean.toFixed(3), known === null ? '' : texts.blockMm(known.toFixed(3)));
  return (
    <figure role="img" aria-label={texts.plotOfTheTakes(said)} className="overflow-hidden">
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <ComposedChart data={points} margin={{ top: 8, right: 64, bottom: 4, left: 4 }} accessibilityLayer={false}>
          <CartesianGrid vertical={false} stroke="var(--color-line)" />
          <ReferenceArea y1={mean - 2 * sd} y2={mean + 2 * sd} fill="var(--color-slate-pale)" fillOpacity={0.7} />
          <ReferenceLine
            y={mean}
            stroke="var(--color-ink)"
            label={{ value: 'mean', position: 'right', fill: 'var(--color-ink)', ...LABEL }}
          />
          {known !== null && (
            <ReferenceLine
              y={known}
              stroke="var(--color-pine)"
              strokeDasharray="6 4"
              label={{
                value: 'block',
                position: 'right',
                dy: Math.abs(known - mean) < (high - low) / 12 ? 14 : 0,
                fill: 'var(--color-pine)',
                ...LABEL,
              }}
            />
          )}
          <XAxis
            dataKey="number"
            type="number"
            domain={[0.5, Math.max(10, takes.length) + 0.5]}
            ticks={points.map(({ number }) => number)}
            allowDecimals={false}
            tick={LABEL}
            stroke="var(--color-ink-soft)"
          />
          <YAxis
            domain={[low, high]}
            ticks={[...ticks]}
            width={56}
            tickFormatter={(value: number) => value.toFixed(digits)}
            tick={LABEL}
            stroke="var(--color-ink-soft)"
          />
          <Line
            dataKey="take"
            stroke="var(--color-slate)"
            strokeWidth={1.5}
            dot={{ r: 4, fill: 'var(--color-ink)', stroke: 'none' }}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
