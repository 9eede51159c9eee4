import sharp from 'sharp';
import type { PictureHeader } from './picture-header';

const JPEG_QUALITY = 90;

/**
 * A picture drawn anew, turned as its camera said: what else a camera writes into it (place, hour, device, a smaller
 * picture) is gone. Decoded and encoded beside the main thread.
 * @returns null for one that cannot be drawn
 */
export async function barePicture(
  bytes: Buffer,
  type: PictureHeader['type'],
): Promise<{ readonly bytes: Buffer; readonly width: number; readonly height: number } | null> {
  const drawn = sharp(bytes, { failOn: 'error' }).autoOrient();
  const written = type === 'image/png' ? drawn.png() : drawn.jpeg({ quality: JPEG_QUALITY });
  try {
    const { data, info } = await written.toBuffer({ resolveWithObject: true });
    return { bytes: data, width: info.width, height: info.height };
  } catch {
    return null;
  }
}
