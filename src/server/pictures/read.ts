import sharp from 'sharp';
import exifr from 'exifr';
import { z } from 'zod';
import type { Gray } from '../../core/picture';

/** A picture as it is measured. */
export interface ReadPicture {
  readonly gray: Gray;
  /** Pixels of the file for one of these: a large picture is measured smaller. */
  readonly shrunkBy: number;
  /** Focal length as for a frame 36 mm wide, mm, where the picture says it. */
  readonly focal35: number | null;
}

/** More pixels than this a side tell no more than they cost. */
const LONGEST = 4000;
/** A picture of more pixels is not opened: memory is bounded. */
const MOST_PIXELS = 150_000_000;

const said = z.object({ FocalLengthIn35mmFormat: z.number().min(8).max(400) });

/** Focal length of a camera that tells it, for a frame of 36 by 24. */
async function focalOf(bytes: Buffer): Promise<number | null> {
  try {
    const read = said.safeParse(await exifr.parse(bytes, { pick: ['FocalLengthIn35mmFormat'] }));
    return read.success ? read.data.FocalLengthIn35mmFormat : null;
  } catch {
    return null;
  }
}

/**
 * A picture in shades of grey, turned as its camera said.
 * @returns null for bytes that are no picture, or one that is too large
 */
export async function pictureFrom(bytes: Buffer): Promise<ReadPicture | null> {
  try {
    const drawn = sharp(bytes, { failOn: 'error', limitInputPixels: MOST_PIXELS });
    const { autoOrient } = await drawn.metadata();
    const { data, info } = await drawn
      .autoOrient()
      .flatten({ background: 'white' })
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .toColourspace('b-w')
      .extractChannel(0)
      .raw()
      .toBuffer({ resolveWithObject: true });
    return {
      gray: { width: info.width, height: info.height, data: new Uint8Array(data.buffer, data.byteOffset, data.length) },
      shrunkBy: autoOrient.width / info.width,
      focal35: await focalOf(bytes),
    };
  } catch {
    return null;
  }
}
