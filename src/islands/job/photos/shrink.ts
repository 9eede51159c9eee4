import * as texts from '#language/screens/job';
/** Longest side a photograph is sent with, pixels: enough to see a chipped corner. */
const LONGEST_SIDE = 2000;
/** Pictures up to this size go as they are, bytes. */
const SMALL_ENOUGH = 1_500_000;
const JPEG_QUALITY = 0.85;

/** The size a picture is drawn at so that its longest side is within the bound. Smaller ones stay. */
export function fitted(width: number, height: number, longest = LONGEST_SIDE): { width: number; height: number } {
  const scale = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

/**
 * Makes a camera's picture small enough to keep.
 * @throws when the file is no picture a browser can read
 */
export async function shrunk(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file);
  const keeps = file.type === 'image/png' || file.type === 'image/jpeg';
  const size = fitted(picture.width, picture.height);
  if (keeps && file.size <= SMALL_ENOUGH && size.width === picture.width) return file;
  const canvas = document.createElement('canvas');
  canvas.width = size.width;
  canvas.height = size.height;
  canvas.getContext('2d')?.drawImage(picture, 0, 0, size.width, size.height);
  picture.close();
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error(texts.pictureNotMadeSmaller))),
      'image/jpeg',
      JPEG_QUALITY,
    );
  });
}
