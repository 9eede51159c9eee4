import { err, ok, type Result } from '../result';
import type { OnCard } from './card';
import { measureOn, placesAt, type Lift, type Marked } from './measure';
import { type Plane, type Measured } from './plane';

/** Rivets of a run, as the fit has them. */
export interface RunFit {
  /** Over two rivet steps: twice the pitch, mm. */
  readonly period: number;
  /** From an even rivet to the odd one after it, mm. */
  readonly width: number;
  /** Standard deviation of what is left along the run, mm; 0 where nothing could be left. */
  readonly left: number;
}

/** Rivets from which a pitch comes at least. */
export const LEAST_RIVETS = 3;

/**
 * Fits `sᵢ = a + p·⌊i/2⌋ + (i odd)·w` by least squares: neighbouring rivets stand alternately close and wide.
 * @param along places along the run, mm, in order; at least three
 * @example runFit([0, 9.2, 19.05, 28.25, 38.1]) // period 19.05, so pitch 9.525 mm
 */
export function runFit(along: readonly number[]): RunFit {
  const n = along.length;
  const odd = along.filter((_, i) => i % 2 === 1);
  const even = along.filter((_, i) => i % 2 === 0);
  // Each of the two rows has its own beginning, and both have the same period.
  const mean = (of: readonly number[]) => of.reduce((sum, each) => sum + each, 0) / of.length;
  const middle = (of: readonly number[]) => (of.length - 1) / 2;
  const rows = [even, odd].filter((row) => row.length > 0);
  let [top, bottom] = [0, 0];
  for (const row of rows) {
    const [at, off] = [mean(row), middle(row)];
    row.forEach((each, i) => {
      top += (i - off) * (each - at);
      bottom += (i - off) ** 2;
    });
  }
  const period = top / bottom;
  const begin = mean(even) - period * middle(even);
  const width = mean(odd) - period * middle(odd) - begin;
  const squares = along.reduce(
    (sum, at, i) => sum + (at - begin - period * Math.floor(i / 2) - (i % 2) * width) ** 2,
    0,
  );
  return { period, width, left: n > 3 ? Math.sqrt(squares / (n - 3)) : 0 };
}

/** Places along the line that fits a run best, from its first rivet on, mm (total least squares). */
export function alongLine(places: readonly OnCard[]): readonly number[] {
  const n = places.length;
  const [mx, my] = [places.reduce((sum, { x }) => sum + x / n, 0), places.reduce((sum, { y }) => sum + y / n, 0)];
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of places) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const along = places.map(({ x, y }) => (x - mx) * cos + (y - my) * sin);
  const sign = along.at(-1)! < along[0]! ? -1 : 1;
  return along.map((each) => sign * (each - along[0]!));
}

/** How far rivets lie beside their line at most, mm: a run that bows is not pulled taut. */
function bowOf(places: readonly OnCard[]): number {
  const [first, last] = [places[0]!, places.at(-1)!];
  const long = Math.hypot(last.x - first.x, last.y - first.y);
  const off = ({ x, y }: OnCard) =>
    Math.abs((last.x - first.x) * (y - first.y) - (last.y - first.y) * (x - first.x)) / long;
  return Math.max(...places.map(off));
}

/** What a run of rivets came to. */
export interface RunMeasured {
  readonly rivets: number;
  /** Pitch, mm. */
  readonly pitch: Measured;
  /** From the first rivet to the last, mm. */
  readonly span: Measured;
  /** Standard deviation of the rivets about the fit, mm. */
  readonly left: number;
  /** How far a rivet lies beside the line of the run at most, mm. */
  readonly bow: number;
}

/** Why a run tells no pitch. */
export type RunRefusal =
  | { readonly code: 'few-rivets'; readonly rivets: number }
  | { readonly code: 'not-taut'; readonly bow: number }
  | { readonly code: 'not-alternating'; readonly left: number };

/** A run bows by less than this share of its length, where it is pulled taut. */
const MOST_BOW = 0.02;
const LEAST_BOW = 1;
/** Rivets lie nearer to the fit than this, mm, where they are rivets. */
const MOST_LEFT = 0.45;

/** The pitch of a run of rivets, from all of them. */
export function measureRun(plane: Plane, rivets: readonly Marked[], lift: Lift): Result<RunMeasured, RunRefusal> {
  if (rivets.length < LEAST_RIVETS) return err({ code: 'few-rivets', rivets: rivets.length });
  const places = placesAt(plane, rivets, lift.h);
  const along = alongLine(places);
  const { left } = runFit(along);
  const bow = bowOf(places);
  if (bow > Math.max(LEAST_BOW, MOST_BOW * along.at(-1)!)) return err({ code: 'not-taut', bow });
  if (left > MOST_LEFT) return err({ code: 'not-alternating', left });
  const pitchOf = (at: readonly OnCard[]) => runFit(alongLine(at)).period / 2;
  // What rivets show about the fit is what they are known by, where it is more than their pixels say.
  const perPixel = Math.hypot(along.at(-1)! - along[0]!, 0) / pixelsBetween(rivets[0]!, rivets.at(-1)!);
  const marks = rivets.map((rivet) => ({ ...rivet, u: Math.max(rivet.u, left / perPixel) }));
  return ok({
    rivets: rivets.length,
    pitch: measureOn(plane, marks, lift, pitchOf),
    span: measureOn(plane, marks, lift, (at) => alongLine(at).at(-1)!),
    left,
    bow,
  });
}

const pixelsBetween = (one: Marked, other: Marked): number => Math.hypot(other.x - one.x, other.y - one.y);
