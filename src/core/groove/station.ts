import { flatMap } from '../flat-map';
import {
  boundsOf,
  difference,
  estimate,
  mm,
  type BoundedReading,
  type Bounds,
  type Estimate,
  type LengthReading,
  type Mm,
} from '../quantity';
import type { Edge, Rail } from '../declared';
import type { BarSheet, StationSheet } from '../sheet';
import { engagement, type GrooveShape } from './rock';

/**
 * One station as estimates. What was not measured is null. The floor of the groove is the datum, so a depth is its
 * rail's height.
 */
export interface Station {
  /** Position of the station in the sheet, which places in checks refer to. */
  readonly index: number;
  readonly at: Mm;
  readonly near: Estimate | null;
  readonly far: Estimate | null;
  /** Depths of which one mark alone is known: a bound, and no estimate. */
  readonly oneSided: Readonly<Record<Rail, BoundedReading | null>>;
  readonly mouth: Estimate | null;
  readonly deep: Estimate | null;
  /** The widths from below and from above: one mark alone holds one side. */
  readonly widths: { readonly mouth: Bounds | null; readonly deep: Bounds | null };
  /** How far below the rails the width near the floor was taken; null where nobody said, or said nothing of use. */
  readonly deepAt: Mm | null;
  readonly chips: Readonly<Record<Rail, Chip | null>>;
  /** How deep a rut or a pit goes below the rail tops, mm; null where there is none. */
  readonly rut: Estimate | null;
  /** Rails that one guided pass touched. */
  readonly marker: Marker | null;
  /** What a square held against the light showed. */
  readonly square: Square | null;
  /** What the square was used with. */
  readonly squareWith: SquareWith | null;
  /** A dip left as it is. */
  readonly leaveLow: boolean;
  /** The second measurement, after the rework; null where it was not made. */
  readonly after: SecondMeasurement | null;
}

/** What was measured again at a station after the rework; null for what was not. */
export interface SecondMeasurement {
  readonly near: LengthReading | null;
  readonly far: LengthReading | null;
  readonly mouth: LengthReading | null;
}

/** A piece broken out of a rail, mm. */
export interface Chip {
  readonly length: number;
  readonly depth: number;
}

/** Where a pass of the guided file took the marker off. */
export type Marker = NonNullable<StationSheet['marker']>;
/** What a square held against the light showed. */
export type Square = NonNullable<StationSheet['square']>;
/** By the light under it, or by a blade slipped under its low side. */
export type SquareWith = NonNullable<StationSheet['squareWith']>;

/**
 * What a reading says at worst where less is better: its value, or the mark that it does not exceed; one mark from
 * below is all there is otherwise.
 */
function worst(reading: LengthReading): Mm {
  const { lo, hi } = boundsOf(reading);
  return (hi ?? lo)!.value;
}

function chipOf(chip: StationSheet['chipNear']): Chip | null {
  return chip ? { length: worst(chip.length), depth: worst(chip.depth) } : null;
}

const estimated = (reading: LengthReading | null | undefined): Estimate | null => (reading ? estimate(reading) : null);

const oneSided = (reading: LengthReading | null | undefined): BoundedReading | null =>
  reading?.kind === 'bounded' && (reading.lo === null || reading.hi === null) ? reading : null;

/** A depth below the rails that says something: zero is at the mouth and tells nothing of the floor. */
const placed = (depth: number | null): Mm | null => (depth !== null && depth > 0 ? mm(depth) : null);

/** What the depths of a station say: as estimates, and as bounds where one mark alone is known. */
function depths(
  near: LengthReading | null | undefined,
  far: LengthReading | null | undefined,
): Pick<Station, 'near' | 'far' | 'oneSided'> {
  return {
    near: estimated(near),
    far: estimated(far),
    oneSided: { near: oneSided(near), far: oneSided(far) },
  };
}

function secondMeasurement({ after }: StationSheet): SecondMeasurement | null {
  const { near = null, far = null, mouth = null } = after ?? {};
  return near || far || mouth ? { near, far, mouth } : null;
}

/**
 * The stations of an edge with estimates for readings, in the order of the sheet. A position known only to one side is
 * taken there.
 */
export function stationsOf(bar: BarSheet | undefined, edge: Edge): readonly Station[] {
  return (bar?.edges?.[edge]?.stations ?? []).map((station, index) => ({
    index,
    at: estimate(station.at)?.value ?? worst(station.at),
    ...depths(station.near, station.far),
    mouth: estimated(station.mouth),
    deep: estimated(station.deep),
    widths: {
      mouth: station.mouth ? boundsOf(station.mouth) : null,
      deep: station.deep ? boundsOf(station.deep) : null,
    },
    deepAt: placed(station.deepAt ? worst(station.deepAt) : null),
    chips: { near: chipOf(station.chipNear), far: chipOf(station.chipFar) },
    rut: station.rut ? (estimated(station.rut.depth) ?? { value: worst(station.rut.depth), u: 0 }) : null,
    marker: station.marker ?? null,
    square: station.square ?? null,
    squareWith: station.squareWith ?? null,
    leaveLow: station.leaveLow ?? false,
    after: secondMeasurement(station),
  }));
}

/** Shape of the groove at a station, or null where the mouth was not measured. */
export function grooveOf({ mouth, deep, deepAt }: Station): GrooveShape | null {
  return mouth ? { mouth: mouth.value, deep: deep?.value ?? null, deepAt } : null;
}

/** Step of the rails `Δ = near − far`, mm with uncertainty; null unless both were measured. */
export function step({ near, far }: Pick<Station, 'near' | 'far'>): Estimate | null {
  return near && far ? difference(near, far) : null;
}

/** The least depth known at a station: of both rails, or of the one that was measured. */
export function leastDepth({ near, far }: Pick<Station, 'near' | 'far'>): Estimate | null {
  if (near && far) return near.value <= far.value ? near : far;
  return near ?? far;
}

/**
 * Depth of engagement at a station; the whole tang where the groove's depth is not known. Null for a tang that is not.
 */
export function engagedAt(station: Pick<Station, 'near' | 'far'>, tang: Estimate | null): Mm | null {
  if (!tang) return null;
  const least = leastDepth(station);
  const engaged = least ? engagement(tang.value, least.value) : tang.value;
  return engaged > 0 ? engaged : null;
}

/**
 * Depth that the rails of a station are dressed down to beside their own: the bottom of chips longer than may be left,
 * and the floor of a rut or a pit, which goes out of both rails; null where there is none.
 */
export function chippedDepth({ near, far, chips, rut }: Station, leftUpTo: number): number | null {
  const bottom = (rail: Estimate | null, chip: Chip | null): number[] =>
    rail && chip && chip.length > leftUpTo ? [rail.value - chip.depth] : [];
  const rutted = flatMap([near, far], (rail) => (rail && rut && rut.value > 0 ? [rail.value - rut.value] : []));
  const bottoms = [...bottom(near, chips.near), ...bottom(far, chips.far), ...rutted];
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

/** Whether a station was measured again after the rework. */
export const measuredAgainAt = ({ after }: Pick<Station, 'after'>): boolean => after !== null;

/**
 * What came off the rails between two measurements, mm; nothing where a rail was not measured both times, and never
 * less than nothing.
 */
function metalOff(before: Station, now: Pick<Station, 'near' | 'far'>): number {
  const [first, second] = [leastDepth(before), leastDepth(now)];
  return first && second ? Math.max(0, first.value - second.value) : 0;
}

/** A chip is shallower by what came off its rail, and gone with the last of it. */
function chipAfter(chip: Chip | null, off: number): Chip | null {
  if (!chip || off === 0) return chip;
  return chip.depth > off ? { ...chip, depth: chip.depth - off } : null;
}

/** A rut is shallower by what came off the rails, and gone with the last of it. */
function rutAfter(rut: Estimate | null, off: number): Estimate | null {
  if (!rut || off === 0) return rut;
  return rut.value > off ? { ...rut, value: mm(rut.value - off) } : null;
}

/**
 * A station as it stands: what was measured again after the rework counts as it is now, and **what was not still counts
 * as it was first read**. The level tests of before say nothing of rails that were dressed since.
 */
export function standingStation(station: Station): Station {
  const { after, widths } = station;
  if (!after) return station;
  const { near, far, mouth } = after;
  const first = (rail: Rail) => ({ estimate: station[rail], mark: station.oneSided[rail] });
  const now = (reading: LengthReading | null, rail: Rail) =>
    reading ? { estimate: estimated(reading), mark: oneSided(reading) } : first(rail);
  const [nearNow, farNow] = [now(near, 'near'), now(far, 'far')];
  const rails = { near: nearNow.estimate, far: farNow.estimate };
  const off = metalOff(station, rails);
  const dressed = near !== null || far !== null;
  return {
    ...station,
    ...rails,
    oneSided: { near: nearNow.mark, far: farNow.mark },
    mouth: mouth ? estimated(mouth) : station.mouth,
    widths: { mouth: mouth ? boundsOf(mouth) : widths.mouth, deep: widths.deep },
    // The reading near the floor stays where it was: the rails came down toward it.
    deepAt: placed(station.deepAt === null ? null : station.deepAt - off),
    chips: { near: chipAfter(station.chips.near, off), far: chipAfter(station.chips.far, off) },
    rut: rutAfter(station.rut, off),
    marker: dressed ? null : station.marker,
    square: dressed ? null : station.square,
  };
}
