import type { ReactNode } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { ticksOver } from './ticks';
import * as texts from '#language/screens/gear';

/** A measured point: a day, a value, and twice its doubt. */
interface Point {
  readonly day: string;
  readonly value: number;
  readonly u: number;
  readonly after: boolean;
}

/** What is foreseen of a day. */
interface Ahead {
  readonly day: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

interface LifeChartProps {
  readonly points: readonly Point[];
  readonly ahead: readonly Ahead[];
  readonly limit: number | null;
  readonly today: string;
  /** Writes a value at the axis. */
  readonly label: (value: number) => string;
  /** Writes a day at the axis. */
  readonly dayLabel: (day: string) => string;
  /** What the plot says, in words. */
  readonly said: string;
}

const HEIGHT = 260;
const LABEL = { fontSize: 12 };
const MS_PER_DAY = 24 * 3600 * 1000;
const MOST_DAYS = 6;

const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / MS_PER_DAY);
const isoDay = (number: number): string => new Date(number * MS_PER_DAY).toISOString().slice(0, 10);

/** Days evenly apart that hold all that is drawn. */
function daysOver(first: number, last: number): readonly number[] {
  const step = Math.max(1, Math.ceil((last - first) / (MOST_DAYS - 1)));
  return Array.from({ length: MOST_DAYS }, (_, i) => first + i * step).filter((day) => day <= last);
}

/** The life of a piece: what was measured, its limit, and the band of what is foreseen. */
export function LifeChart({ points, ahead, limit, today, label, dayLabel, said }: LifeChartProps) {
  const measured = points.map(({ day, value, after }) => ({ x: dayNumber(day), value, after }));
  const band = ahead.map(({ day, low, high, value }) => ({ x: dayNumber(day), band: [low, high], value }));
  const low = limit === null ? [] : [limit];
  // A band that opens far beyond the limit would press what was measured flat.
  const within = ahead.flatMap((each) => [each.low, each.high]).map((each) => clampNear(each, points, limit));
  const ticks = ticksOver([...points.flatMap(({ value, u }) => [value - u, value + u]), ...low, ...within]);
  const days = [...measured, ...band].map(({ x }) => x);
  const [first, last] = [Math.min(...days), Math.max(...days, dayNumber(today))];
  return (
    <figure className="overflow-hidden">
      <div role="img" aria-label={texts.lifeChart(said)}>
        <ResponsiveContainer width="100%" height={HEIGHT}>
          <ComposedChart margin={{ top: 8, right: 64, bottom: 4, left: 4 }} accessibilityLayer={false}>
            <CartesianGrid vertical={false} stroke="var(--color-line)" />
            <XAxis
              dataKey="x"
              type="number"
              domain={[first, last]}
              ticks={[...daysOver(first, last)]}
              tickFormatter={(day: number) => dayLabel(isoDay(day))}
              tick={LABEL}
              stroke="var(--color-ink-soft)"
              allowDuplicatedCategory={false}
            />
            <YAxis
              domain={[ticks[0]!, ticks.at(-1)!]}
              ticks={[...ticks]}
              width={64}
              allowDataOverflow
              tickFormatter={label}
              tick={LABEL}
              stroke="var(--color-ink-soft)"
            />
            <Area
              data={band}
              dataKey="band"
              stroke="none"
              fill="var(--color-steel-pale)"
              fillOpacity={0.9}
              isAnimationActive={false}
            />
            <Line
              data={band}
              dataKey="value"
              stroke="var(--color-steel)"
              strokeWidth={2}
              strokeDasharray="6 4"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              data={measured}
              dataKey="value"
              stroke="var(--color-slate)"
              strokeWidth={1.5}
              dot={false}
              isAnimationActive={false}
            />
            <Scatter
              data={measured.filter(({ after }) => !after)}
              dataKey="value"
              fill="var(--color-ink)"
              isAnimationActive={false}
            />
            <Scatter
              data={measured.filter(({ after }) => after)}
              dataKey="value"
              shape="square"
              fill="var(--color-pine)"
              isAnimationActive={false}
            />
            {limit !== null && (
              <ReferenceLine
                y={limit}
                stroke="var(--color-oxide)"
                strokeWidth={2}
                label={{ value: texts.limit, position: 'right', fill: 'var(--color-oxide)', ...LABEL }}
              />
            )}
            <ReferenceLine x={dayNumber(today)} stroke="var(--color-line-strong)" strokeDasharray="2 4" />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="flex flex-wrap gap-x-4 pl-16 text-sm text-ink-soft">
        <Sign word={texts.asItCame}>
          <circle cx="6" cy="6" r="4" fill="var(--color-ink)" />
        </Sign>
        {points.some(({ after }) => after) && (
          <Sign word={texts.afterWork}>
            <rect x="2" y="2" width="8" height="8" fill="var(--color-pine)" />
          </Sign>
        )}
        {ahead.length > 0 && (
          <Sign word={texts.foreseen}>
            <rect y="1" width="12" height="10" fill="var(--color-steel-pale)" />
            <path d="M0 6 H12" stroke="var(--color-steel)" strokeWidth="2" strokeDasharray="4 2" />
          </Sign>
        )}
      </figcaption>
    </figure>
  );
}

/** What a sign of the plot means. */
function Sign({ word, children }: { word: string; children: ReactNode }) {
  return (
    <span className="flex items-center gap-1.5">
      <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
        {children}
      </svg>
      {word}
    </span>
  );
}

/** A value no further from what was measured and its limit than these are apart. */
function clampNear(value: number, points: readonly Point[], limit: number | null): number {
  const all = [...points.map((point) => point.value), ...(limit === null ? [] : [limit])];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const room = (high - low) / 6;
  return Math.min(high + room, Math.max(low - room, value));
}
