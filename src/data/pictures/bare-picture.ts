import sharp from 'sharp';
import { pictureHeader, type PictureHeader } from './picture-header';

const JPEG_QUALITY = 90;

/** A picture as it is kept. */
export interface BarePicture {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

/**
 * A picture drawn anew, turned as its camera said: what else a camera writes into it (place, hour, device, a smaller
 * picture) is gone. Decoded and encoded beside the main thread.
 * @returns null for one that cannot be drawn
 */
export async function barePicture(bytes: Buffer, type: PictureHeader['type']): Promise<BarePicture | null> {
  const drawn = sharp(bytes, { failOn: 'error' }).autoOrient();
  const written = type === 'image/png' ? drawn.png() : drawn.jpeg({ quality: JPEG_QUALITY });
  try {
    const { data, info } = await written.toBuffer({ resolveWithObject: true });
    return { bytes: data, width: info.width, height: info.height };
  } catch {
    return null;
  }
}

/** Whether somebody wrote into a picture what does not show: a camera, or a programme. */
async function carriesMore(bytes: Buffer): Promise<boolean> {
  const { exif, xmp, iptc, comments, orientation = 1 } = await sharp(bytes).metadata();
  return Boolean(exif ?? xmp ?? iptc) || (comments ?? []).length > 0 || orientation !== 1;
}

/**
 * A picture that comes from elsewhere as one that is kept: what is bare already stays as it is, byte by byte.
 * @returns null for bytes that are no picture of a kind that is kept
 */
export async function baredPicture(bytes: Buffer): Promise<BarePicture | null> {
  const header = pictureHeader(bytes);
  if (!header) return null;
  try {
    if (!(await carriesMore(bytes))) return { bytes, width: header.width, height: header.height };
  } catch {
    return null;
  }
  return barePicture(bytes, header.type);
}
