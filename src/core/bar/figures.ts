import { degrees, difference, type Degrees, type Estimate, type Mm } from '../quantity';
import { playBounds, rock, rockingWidth, engagedAt, grooveOf, leastDepth, step, type Station } from '../groove';

/**
 * Lean of a link that follows the rails: `atan(Δ/c)`, c = (T + G)/2 the spacing of the rails' centres. Positive leans
 * to the far side.
 * @param barThickness T, mm
 * @param newGroove G, groove width when new, mm
 */
export function rawLean(stepHeight: number, barThickness: Mm, newGroove: Mm): Degrees {
  return degrees(Math.atan(stepHeight / ((barThickness + newGroove) / 2)));
}

/** Lean the groove allows: a tight groove holds the chain up even on unlevel rails, and presses on its wall instead. */
export function setLean(raw: Degrees, rocking: Degrees): Degrees {
  return Math.max(-rocking, Math.min(rocking, raw)) as Degrees;
}

/** Room under the drive link: the lower rail's height less the tang. Zero or less: the link rubs on the floor. */
export function floorClearance(least: Estimate, tang: Estimate): Estimate {
  return difference(least, tang);
}

/** What the rest of the set contributes to a station's figures; null where not known. */
export interface Setting {
  /** The link that runs in the groove: as measured, or of the nominal of its gauge. */
  readonly linkThickness: Estimate | null;
  /** The link that the bar was made for: the bar is judged with it, whatever chain was on. */
  readonly ownLink: Estimate | null;
  readonly tang: Estimate | null;
  readonly barThickness: Mm | null;
  readonly newGroove: Mm | null;
}

/** All derived figures of a station; null where a reading they need is missing. */
export interface StationFigures {
  readonly step: Estimate | null;
  readonly rawLean: Degrees | null;
  readonly rock: Degrees | null;
  readonly setLean: Degrees | null;
  /** Side play of the bar's own link, at most: the mouth alone bounds it from above. */
  readonly play: Estimate | null;
  /** The same play, at least. */
  readonly playAtLeast: Estimate | null;
  readonly floorClearance: Estimate | null;
}

/** Computes the figures of one station. */
export function stationFigures(station: Station, setting: Setting): StationFigures {
  const height = step(station);
  const least = leastDepth(station);
  const raw =
    height && setting.barThickness !== null && setting.newGroove !== null
      ? rawLean(height.value, setting.barThickness, setting.newGroove)
      : null;
  const rocking = rockOf(station, setting);
  const link = setting.ownLink ?? setting.linkThickness;
  const play = link && playBounds(station, setting.tang, link);
  return {
    step: height,
    rawLean: raw,
    rock: rocking,
    setLean: raw !== null && rocking !== null ? setLean(raw, rocking) : null,
    play: play?.hi ?? null,
    playAtLeast: play?.lo ?? null,
    floorClearance: least && setting.tang ? floorClearance(least, setting.tang) : null,
  };
}

function rockOf(station: Station, { tang, linkThickness }: Setting): Degrees | null {
  const engaged = engagedAt(station, tang);
  const groove = grooveOf(station);
  if (!engaged || !groove || !linkThickness) return null;
  return rock(rockingWidth(groove, engaged), linkThickness.value, engaged);
}
