/** Steps between ticks, in a decade. */
const STEPS = [1, 2, 5, 10] as const;
const MOST_TICKS = 6;
/** A span this small is drawn as if it were so much. */
const LEAST_SPAN = 0.02;

/** Round figures that hold all that is drawn, evenly apart. */
export function ticksOver(drawn: readonly number[]): readonly number[] {
  const [low, high] = [Math.min(...drawn), Math.max(...drawn)];
  const span = Math.max(LEAST_SPAN, high - low);
  const decade = 10 ** Math.floor(Math.log10(span / MOST_TICKS));
  const step = decade * (STEPS.find((each) => span / (each * decade) <= MOST_TICKS - 1) ?? 10);
  const first = Math.floor(low / step);
  const last = Math.max(first + 2, Math.ceil(high / step));
  return Array.from({ length: last - first + 1 }, (_, i) => (first + i) * step);
}
