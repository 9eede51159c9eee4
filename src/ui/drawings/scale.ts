/** A straight map from one range to another, for drawings. */
export function linear(from: readonly [number, number], to: readonly [number, number]): (value: number) => number {
  const [a, b] = from;
  const [c, d] = to;
  const factor = b === a ? 0 : (d - c) / (b - a);
  return (value) => c + (value - a) * factor;
}

/** Round steps that divide a range into about `count` parts: 1, 2 or 5 times a power of ten. */
export function ticks(lo: number, hi: number, count: number): readonly number[] {
  const rough = (hi - lo) / Math.max(1, count);
  if (!(rough > 0)) return [lo];
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => each >= rough)!;
  const first = Math.ceil(lo / step - 1e-9);
  const last = Math.floor(hi / step + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step);
}

/** Points as an SVG path; gaps (null) lift the pen. */
export function path(points: readonly ({ x: number; y: number } | null)[]): string {
  let pen = 'M';
  let out = '';
  for (const point of points) {
    if (!point) {
      pen = 'M';
      continue;
    }
    out += `${pen}${point.x.toFixed(2)} ${point.y.toFixed(2)}`;
    pen = 'L';
  }
  return out;
}
