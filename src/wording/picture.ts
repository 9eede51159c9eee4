import type { PictureRead, Pixel, Plane, ReadRefusal, Refusal } from '../core/picture';
import type { PictureDocument } from '../core/report';
import type { Result } from '../core/result';
import { pictureCaution, pictureRefusal } from '#language';

/** A card that was found in a picture, and what was read on it. */
export interface MeasuredPicture {
  readonly plane: Result<Plane, Refusal>;
  /** Null where nothing was asked for, or where there is no card to measure by. */
  readonly read: Result<PictureRead, ReadRefusal> | null;
  /** Pixels of the file for one of the picture as it was measured. */
  readonly shrunkBy: number;
}

/** Writes what a picture told as a document. */
export function pictureDocument({ plane, read, shrunkBy }: MeasuredPicture): PictureDocument {
  const found = plane.ok ? plane.value : null;
  const told = read?.ok ? read.value : null;
  const refused = plane.ok ? (read && !read.ok ? read.error : null) : plane.error;
  const inFile = ({ x, y }: Pixel) => ({ x: (x + 0.5) * shrunkBy - 0.5, y: (y + 0.5) * shrunkBy - 0.5 });
  return {
    format: 'serrata-picture',
    version: 1,
    card: found && {
      kind: found.card,
      squares: [...found.squares],
      residual: found.residual,
      tilt: found.tilt,
      height: found.height,
    },
    readings: told ? told.readings.map(({ what, value, u, unit }) => ({ what, value, u, unit })) : [],
    marks: told ? told.marks.map(inFile) : [],
    cautions: told ? told.cautions.map(pictureCaution) : [],
    refused: refused && pictureRefusal(refused),
  };
}
