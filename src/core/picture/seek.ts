import { flatMap } from '../flat-map';
import { CARDS, SQUARE_SIDE, squaresOf, type OnCard, type Pixel } from './card';
import type { Gray } from './gray';
import type { Lift } from './measure';
import type { Plane } from './plane';
import { roundnessOf, type Roundness } from './round-thing';
import { LEAST_RADIUS, MOST_RADIUS } from './rivets';
import { pixelOf, placeIn, stripBetween, type Strip } from './strip';

/** White about a square that nothing is looked for on, mm. */
const WHITE = 5;
/** Rivets that stand nearer than this are one, mm. */
const APART = 4;
const MOST_PEAKS = 80;
/** A rivet lies this near to the line of its run, mm. */
const BESIDE = 0.8;
/** Neighbours in a run stand nearer than this, mm. */
const NEXT = 16;
const LEAST_IN_RUN = 4;

interface Peak extends Pixel {
  readonly height: number;
}

/** Whether a place is covered by a printed square, or by the white about it. */
const isPrinted = ({ card, scale }: Plane, { x, y }: OnCard): boolean =>
  squaresOf(card).some(
    (square) => Math.max(Math.abs(x / scale - square.x), Math.abs(y / scale - square.y)) < SQUARE_SIDE / 2 + WHITE,
  );

/** The roundest places of a strip, the roundest first, each alone in its surroundings. */
function peaksOf({ width, height, data }: Roundness, strip: Strip, plane: Plane): readonly Peak[] {
  const near = Math.round((APART / 2) * strip.perMm);
  const all: Peak[] = [];
  for (let y = near; y < height - near; y += 1)
    for (let x = near; x < width - near; x += 1) {
      const here = data[y * width + x]!;
      if (here <= 0) continue;
      let isHighest = true;
      for (let dy = -near; isHighest && dy <= near; dy += 1)
        for (let dx = -near; dx <= near; dx += 1)
          if (data[(y + dy) * width + x + dx]! > here) {
            isHighest = false;
            break;
          }
      if (isHighest && !isPrinted(plane, placeIn(strip, { x, y }))) all.push({ x, y, height: here });
    }
  return all.toSorted((one, other) => other.height - one.height).slice(0, MOST_PEAKS);
}

interface Row {
  readonly peaks: readonly Peak[];
  readonly worth: number;
}

/** Peaks along the line through two, from the one on as far as neighbours follow each other. */
function rowThrough(peaks: readonly Peak[], [one, other]: readonly [Peak, Peak], perMm: number): Row {
  const long = Math.hypot(other.x - one.x, other.y - one.y);
  const [cos, sin] = [(other.x - one.x) / long, (other.y - one.y) / long];
  const onLine = flatMap(peaks, (peak): readonly (Peak & { s: number })[] => {
    const [dx, dy] = [peak.x - one.x, peak.y - one.y];
    return Math.abs(dy * cos - dx * sin) < BESIDE * perMm ? [{ ...peak, s: dx * cos + dy * sin }] : [];
  }).toSorted((a, b) => a.s - b.s);
  // The longest stretch without a gap.
  let best: readonly Peak[] = [];
  let stretch: (Peak & { s: number })[] = [];
  for (const peak of onLine) {
    if (stretch.length > 0 && peak.s - stretch.at(-1)!.s > NEXT * perMm) stretch = [];
    stretch.push(peak);
    if (stretch.length > best.length) best = [...stretch];
  }
  return { peaks: best, worth: best.reduce((sum, { height }) => sum + Math.sqrt(height), 0) };
}

/** Two pixels near the ends of the straight run that is most likely one; null where nothing looks like a run. */
export function runIn(gray: Gray, plane: Plane, { h }: Lift): readonly [Pixel, Pixel] | null {
  const { width, height } = CARDS[plane.card];
  const ends = [
    { x: (-width / 2) * plane.scale, y: 0 },
    { x: (width / 2) * plane.scale, y: 0 },
  ] as const;
  const strip = stripBetween(gray, plane, ends, { h, margin: 0, half: (height / 2) * plane.scale });
  const { perMm } = strip;
  const peaks = peaksOf(roundnessOf(strip.gray, LEAST_RADIUS * perMm, MOST_RADIUS * perMm), strip, plane);
  // Only what is about as round as the roundest: print and grain are not.
  const least = 0.4 * (peaks[Math.min(3, peaks.length - 1)]?.height ?? 0);
  const round = peaks.filter((peak) => peak.height >= least);
  let best: Row | null = null;
  round.forEach((one, i) => {
    for (const other of round.slice(i + 1)) {
      const row = rowThrough(round, [one, other], perMm);
      if (!best || row.worth > best.worth) best = row;
    }
  });
  const row = best as Row | null;
  if (!row || row.peaks.length < LEAST_IN_RUN) return null;
  const at = (peak: Pixel) => pixelOf(plane, placeIn(strip, peak), h);
  return [at(row.peaks[0]!), at(row.peaks.at(-1)!)];
}
