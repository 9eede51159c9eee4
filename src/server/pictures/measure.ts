import {
  findMount,
  findRivets,
  LIFTS,
  readDistance,
  readRivets,
  snappedToRivet,
  type Feature,
  type Gray,
  type Marked,
  type PictureRead,
  type Pixel,
  type Plane,
  type ReadRefusal,
} from '../../core/picture';
import type { Result } from '../../core/result';
import { cardIn } from '../../sight';
import type { MeasuredPicture } from '../../wording';
import { openCv } from './opencv';
import { pictureFrom } from './read';

/** What is asked of a picture. */
export interface AskedOfPicture {
  /** Measured length of the printed line of 100 mm; null where nobody measured it. */
  readonly line: number | null;
  /** Places, pixels of the file as it is shown. */
  readonly points: readonly Pixel[];
  readonly find: Feature | null;
  /** Whether places are taken as they are, and not moved into the middle of what is seen there. */
  readonly exact: boolean;
}

/** A place that a hand marked by eye, pixels. */
const MARKED_DOUBT = 0.5;

const FINDERS: Readonly<
  Record<Feature, (gray: Gray, plane: Plane, taps: readonly Pixel[]) => Result<PictureRead, ReadRefusal>>
> = { rivets: findRivets, mount: findMount };

/** Places without a feature: two are a distance on the card, more are the rivets of a run. */
function readPlaces(
  gray: Gray,
  plane: Plane,
  places: readonly Pixel[],
  exact: boolean,
): Result<PictureRead, ReadRefusal> | null {
  if (places.length === 0) return null;
  const asTapped = places.map((place): Marked => ({ ...place, u: MARKED_DOUBT }));
  if (places.length <= 2) return readDistance(plane, asTapped);
  return readRivets(plane, exact ? asTapped : places.map((place) => snappedToRivet(gray, plane, place, LIFTS.rivets)));
}

/**
 * Measures a picture by the card that lies in it.
 * @returns null for bytes that are no picture
 */
export async function measurePicture(
  bytes: Buffer,
  { line, points, find, exact }: AskedOfPicture,
): Promise<MeasuredPicture | null> {
  const picture = await pictureFrom(bytes);
  if (!picture) return null;
  const { gray, shrunkBy, focal35 } = picture;
  const { cv } = await openCv();
  const plane = cardIn(cv, gray, { focal35, line });
  const places = points.map(({ x, y }) => ({ x: (x + 0.5) / shrunkBy - 0.5, y: (y + 0.5) / shrunkBy - 0.5 }));
  const read = plane.ok
    ? find && !exact
      ? FINDERS[find](gray, plane.value, places)
      : readPlaces(gray, plane.value, places, exact)
    : null;
  return { plane, read, shrunkBy };
}
