import { flatMap } from '../flat-map';
import { err, ok, type Result } from '../result';
import type { Pixel } from './card';
import { LIFTS } from './features';
import type { Gray } from './gray';
import { distanceOf, placesAt, type Marked } from './measure';
import { isSeenFlat, outsideOf, type Plane, type Measured } from './plane';
import { rivetsBetween, type FoundRivet, type RivetsRefusal } from './rivets';
import { measureRun, type RunRefusal } from './run';
import { runIn } from './seek';
import { holeAt, slotBetween, type SlotRefusal } from './slot';

/** What a picture tells, by the place of the sheet that it belongs to or by its own name. */
export interface PictureReading extends Measured {
  readonly what: PictureQuantity;
  readonly unit: 'mm' | 'rivets';
}
export const PICTURE_QUANTITIES = [
  'chain.pitch',
  'chain.rivets',
  'bar.slotWidth',
  'bar.slotLength',
  'bar.holeDiameter',
  'bar.holeDistance',
  'distance',
] as const;
export type PictureQuantity = (typeof PICTURE_QUANTITIES)[number];

/** What the eye should look at before a reading counts. */
export type Caution =
  | { readonly code: 'not-seen-flat' }
  | { readonly code: 'rivets-guessed'; readonly at: readonly number[] }
  | { readonly code: 'hole-for-the-eye'; readonly tap: number }
  | { readonly code: 'slot-end-unseen' };

/** Readings of a picture, where they were taken, and what to look at. */
export interface PictureRead {
  readonly readings: readonly PictureReading[];
  /** Places that were measured at, pixels. */
  readonly marks: readonly Pixel[];
  readonly cautions: readonly Caution[];
}

export type ReadRefusal =
  | RivetsRefusal
  | RunRefusal
  | SlotRefusal
  | { readonly code: 'no-run' }
  | { readonly code: 'few-taps'; readonly least: number }
  | { readonly code: 'not-inside' };

/** A part reaches beyond its sheet by less than this, mm: further out the card says little of the plane. */
const MOST_OUTSIDE = 40;

const flatness = (plane: Plane): readonly Caution[] => (isSeenFlat(plane) ? [] : [{ code: 'not-seen-flat' }]);

const isBeside = (plane: Plane, pixels: readonly Pixel[]): boolean =>
  placesAt(plane, pixels, 0).some((place) => !(outsideOf(plane, place) <= MOST_OUTSIDE));

/** The pitch of rivets that somebody marked or confirmed. */
export function readRivets(plane: Plane, rivets: readonly Marked[]): Result<PictureRead, ReadRefusal> {
  if (isBeside(plane, rivets)) return err({ code: 'not-inside' });
  const run = measureRun(plane, rivets, LIFTS.rivets);
  if (!run.ok) return run;
  return ok({
    readings: [
      { what: 'chain.pitch', ...run.value.pitch, unit: 'mm' },
      { what: 'chain.rivets', value: rivets.length, u: 0, unit: 'rivets' },
    ],
    marks: rivets,
    cautions: flatness(plane),
  });
}

const guessesOf = (rivets: readonly FoundRivet[]): readonly Caution[] => {
  const at = flatMap(rivets, ({ isGuessed }, i) => (isGuessed ? [i + 1] : []));
  return at.length > 0 ? [{ code: 'rivets-guessed', at }] : [];
};

/** The rivets of a straight run, and their pitch. @param taps near its ends; without them the run is looked for */
export function findRivets(gray: Gray, plane: Plane, taps: readonly Pixel[]): Result<PictureRead, ReadRefusal> {
  const ends = taps.length >= 2 ? ([taps[0]!, taps.at(-1)!] as const) : runIn(gray, plane, LIFTS.rivets);
  if (!ends) return err({ code: 'no-run' });
  if (isBeside(plane, ends)) return err({ code: 'not-inside' });
  const found = rivetsBetween(gray, plane, ends, LIFTS.rivets);
  if (!found.ok) return found;
  const read = readRivets(plane, found.value);
  // Nobody pointed at it: what is no row of rivets was not one that somebody meant.
  if (!read.ok && read.error.code === 'not-alternating' && taps.length < 2) return err({ code: 'no-run' });
  return read.ok ? ok({ ...read.value, cautions: [...guessesOf(found.value), ...read.value.cautions] }) : read;
}

/** The distance of two marks on the card itself. */
export function readDistance(plane: Plane, marks: readonly Marked[]): Result<PictureRead, ReadRefusal> {
  if (marks.length !== 2) return err({ code: 'few-taps', least: 2 });
  if (isBeside(plane, marks)) return err({ code: 'not-inside' });
  const distance = distanceOf(plane, [marks[0]!, marks[1]!], { h: 0, u: 0.1 });
  return ok({ readings: [{ what: 'distance', ...distance, unit: 'mm' }], marks, cautions: flatness(plane) });
}

/**
 * The mount of a bar: its slot by two taps in the slot's middle line, then its holes by a tap in each.
 * Two holes tell their distance as well.
 */
export function findMount(gray: Gray, plane: Plane, taps: readonly Pixel[]): Result<PictureRead, ReadRefusal> {
  if (taps.length < 2) return err({ code: 'few-taps', least: 2 });
  if (isBeside(plane, taps)) return err({ code: 'not-inside' });
  const lift = LIFTS.mount;
  const slot = slotBetween(gray, plane, [taps[0]!, taps[1]!], lift);
  if (!slot.ok) return slot;
  const { width, length } = slot.value;
  const holes = taps.slice(2).map((tap) => holeAt(gray, plane, tap, lift));
  const seen = holes.filter((hole) => hole !== null);
  const [one, other] = seen;
  return ok({
    readings: [
      { what: 'bar.slotWidth', ...width, unit: 'mm' },
      ...(length ? [{ what: 'bar.slotLength', ...length, unit: 'mm' } as const] : []),
      ...seen.map(({ diameter }) => ({ what: 'bar.holeDiameter', ...diameter, unit: 'mm' }) as const),
      ...(one && other
        ? [{ what: 'bar.holeDistance', ...distanceOf(plane, [one.at, other.at], lift), unit: 'mm' } as const]
        : []),
    ],
    marks: [taps[0]!, taps[1]!, ...seen.map(({ at }) => at)],
    cautions: [
      ...(length ? [] : [{ code: 'slot-end-unseen' } as const]),
      ...flatMap(holes, (hole, i): readonly Caution[] => (hole ? [] : [{ code: 'hole-for-the-eye', tap: i + 3 }])),
      ...flatness(plane),
    ],
  });
}
