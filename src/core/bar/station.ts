import { degrees, difference, estimate, mm, type Degrees, type Estimate, type Mm } from '../quantity';
import type { BarSheet, StationSheet } from '../sheet';
import { engagement, rock, rockingWidth, type GrooveShape } from './rock';

/** The two edges of a bar: A is down when the stamp reads upright. */
export const EDGES = ['A', 'B'] as const;
export type Edge = (typeof EDGES)[number];
/** The two rails of an edge: near is the stamped side. */
export const RAILS = ['near', 'far'] as const;
export type Rail = (typeof RAILS)[number];

/** One station as estimates. What was not measured is null. The floor of the groove is the datum, so a depth is its rail's height. */
export interface Station {
  /** Position of the station in the sheet, which places in checks refer to. */
  readonly index: number;
  readonly at: Mm;
  readonly near: Estimate | null;
  readonly far: Estimate | null;
  readonly mouth: Estimate | null;
  readonly deep: Estimate | null;
  readonly deepAt: Mm | null;
  readonly chips: Readonly<Record<Rail, Chip | null>>;
  /** Rails that one guided pass touched. */
  readonly marker: Marker | null;
  /** A dip left as it is. */
  readonly leaveLow: boolean;
  /** The second measurement, after the rework; null where it was not made. */
  readonly after: { readonly near: Estimate | null; readonly far: Estimate | null; readonly mouth: Estimate | null };
}

/** A piece broken out of a rail, mm. */
export interface Chip {
  readonly length: number;
  readonly depth: number;
}

/** Where a pass of the guided file took the marker off. */
export type Marker = 'near' | 'far' | 'both' | 'none';

function chipOf(chip: StationSheet['chipNear']): Chip | null {
  const [length, depth] = [chip && estimate(chip.length), chip && estimate(chip.depth)];
  return length && depth ? { length: length.value, depth: depth.value } : null;
}

const estimated = (reading: StationSheet['near']): Estimate | null => (reading ? estimate(reading) : null);

/** The stations of an edge with estimates for readings, in the order of the sheet. A position known only to one side is taken there. */
export function stationsOf(bar: BarSheet | undefined, edge: Edge): readonly Station[] {
  return (bar?.edges?.[edge]?.stations ?? []).map((station, index) => {
    const at = estimate(station.at)?.value ?? (station.at.kind === 'bounded' ? (station.at.lo ?? station.at.hi) : null);
    return {
      index,
      at: mm(at ?? 0),
      near: estimated(station.near),
      far: estimated(station.far),
      mouth: estimated(station.mouth),
      deep: estimated(station.deep),
      deepAt: station.deepAt ? (estimate(station.deepAt)?.value ?? null) : null,
      chips: { near: chipOf(station.chipNear), far: chipOf(station.chipFar) },
      marker: station.marker ?? null,
      leaveLow: station.leaveLow ?? false,
      after: {
        near: estimated(station.after?.near),
        far: estimated(station.after?.far),
        mouth: estimated(station.after?.mouth),
      },
    };
  });
}

/** Shape of the groove at a station, or null where the mouth was not measured. */
export function grooveOf({ mouth, deep, deepAt }: Station): GrooveShape | null {
  return mouth ? { mouth: mouth.value, deep: deep?.value ?? null, deepAt } : null;
}

/** Step of the rails `Δ = near − far`, mm with uncertainty; null unless both were measured. */
export function step({ near, far }: Station): Estimate | null {
  return near && far ? difference(near, far) : null;
}

/** The lower rail: its name and height. With one rail missing there is none. */
export function lowRail({ near, far }: Station): { rail: Rail; depth: Estimate } | null {
  if (!near || !far) return null;
  return near.value <= far.value ? { rail: 'near', depth: near } : { rail: 'far', depth: far };
}

/** The least depth known at a station: of both rails, or of the one that was measured. */
export function leastDepth({ near, far }: Station): Estimate | null {
  if (near && far) return near.value <= far.value ? near : far;
  return near ?? far;
}

/**
 * Lean of a link that follows the rails: `atan(Δ/c)`, c = (T + G)/2 the spacing of the rails' centres. Positive leans to the far side.
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
  readonly linkThickness: Estimate | null;
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
  /** Rocking width less link thickness. */
  readonly play: Estimate | null;
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
  return {
    step: height,
    rawLean: raw,
    rock: rocking,
    setLean: raw !== null && rocking !== null ? setLean(raw, rocking) : null,
    play: playOf(station, setting),
    floorClearance: least && setting.tang ? floorClearance(least, setting.tang) : null,
  };
}

function rockOf(station: Station, { tang, linkThickness }: Setting): Degrees | null {
  const engaged = engagedAt(station, tang);
  const groove = grooveOf(station);
  if (!engaged || !groove || !linkThickness) return null;
  return rock(rockingWidth(groove, engaged), linkThickness.value, engaged);
}

/** Depth of engagement at a station; the whole tang where the groove's depth is not known. Null for a tang that is not. */
export function engagedAt(station: Station, tang: Estimate | null): Mm | null {
  if (!tang) return null;
  const least = leastDepth(station);
  const engaged = least ? engagement(tang.value, least.value) : tang.value;
  return engaged > 0 ? engaged : null;
}

/** Play at a station. Without the tang the mouth alone is taken, which can only overstate it in a flared groove. */
function playOf(station: Station, { tang, linkThickness }: Setting): Estimate | null {
  const groove = grooveOf(station);
  if (!groove || !linkThickness || !station.mouth) return null;
  const engaged = engagedAt(station, tang);
  const width = engaged ? rockingWidth(groove, engaged) : groove.mouth;
  const flared = groove.deep !== null && groove.deepAt !== null && engaged !== null;
  // With a flare the width is a mixture of two readings: w = w₀·(1 − k) + w₁·k, k = e/(2·z₁).
  const share = flared ? engaged / (2 * groove.deepAt) : 0;
  const u = Math.hypot((1 - share) * station.mouth.u, share * (station.deep?.u ?? 0), linkThickness.u);
  return { value: mm(width - linkThickness.value), u };
}

/** Depth at the bottom of the chips of a station that are longer than may be left; null where there is none. */
export function chippedDepth({ near, far, chips }: Station, leftUpTo: number): number | null {
  const bottom = (rail: Estimate | null, chip: Chip | null): number[] =>
    rail && chip && chip.length > leftUpTo ? [rail.value - chip.depth] : [];
  const bottoms = [...bottom(near, chips.near), ...bottom(far, chips.far)];
  return bottoms.length === 0 ? null : Math.min(...bottoms);
}

/**
 * What the marker says of the step: a pass that touched one rail only found the other one low.
 * @returns the low rail, `level` where both were touched, null where neither was or nobody looked
 */
export function markerSays({ marker }: Station): Rail | 'level' | null {
  if (marker === 'near') return 'far';
  if (marker === 'far') return 'near';
  return marker === 'both' ? 'level' : null;
}

/** A guided file bridges a step below this, mm (common practice, no source): then either word may be right. */
export const MARKER_BLIND_BELOW = 0.05;

/** Whether marker and measured step contradict each other; null where one of them is missing or the step is too small to see. */
export function markerContradicts(station: Station): boolean | null {
  const said = markerSays(station);
  const measured = step(station);
  if (said === null || !measured) return null;
  if (Math.abs(measured.value) <= Math.max(MARKER_BLIND_BELOW, 2 * measured.u)) return said === 'level' ? false : null;
  return said !== (measured.value < 0 ? 'near' : 'far');
}

/** A station as it stands after the rework, where it was measured again; what was not measured again is not known. */
export function afterRework(station: Station): Station | null {
  const { near, far, mouth } = station.after;
  if (!near && !far) return null;
  return { ...station, near, far, mouth, deep: null, deepAt: null, chips: { near: null, far: null }, marker: null };
}
