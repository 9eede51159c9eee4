import * as texts from '#language/screens/job';
/** Longest side a photograph is sent with, pixels: enough to see a chipped corner. */
const LONGEST_SIDE = 2000;
/** A PNG up to this size stays one, bytes. */
const SMALL_ENOUGH = 1_500_000;
const JPEG_QUALITY = 0.85;

/** The size a picture is drawn at so that its longest side is within the bound. Smaller ones stay. */
export function fitted(width: number, height: number, longest = LONGEST_SIDE): { width: number; height: number } {
  const scale = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

/**
 * Draws a camera's picture anew, turned as it said and small enough to keep: what else it holds does not leave the
 * device.
 * @throws when the file is no picture a browser can read
 */
export async function shrunk(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file);
  const size = fitted(picture.width, picture.height);
  const type = file.type === 'image/png' && file.size <= SMALL_ENOUGH ? 'image/png' : 'image/jpeg';
  const canvas = document.createElement('canvas');
  canvas.width = size.width;
  canvas.height = size.height;
  canvas.getContext('2d')?.drawImage(picture, 0, 0, size.width, size.height);
  picture.close();
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error(texts.pictureNotMadeSmaller))),
      type,
      JPEG_QUALITY,
    );
  });
}
