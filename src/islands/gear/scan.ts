import jsQR from 'jsqr';

/** Longest sides that a picture is read at, px: a code that is too fine at one is found at another. */
const SIDES = [1000, 2000, 500];

function pixelsOf(picture: ImageBitmap, longest: number): ImageData | null {
  const scale = Math.min(1, longest / Math.max(picture.width, picture.height));
  const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const drawn = canvas.getContext('2d', { willReadFrequently: true });
  drawn?.drawImage(picture, 0, 0, width, height);
  return drawn?.getImageData(0, 0, width, height) ?? null;
}

/** What the code in a picture says; null where none is found, or it is no picture. */
export async function codeIn(file: Blob): Promise<string | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  for (const longest of SIDES) {
    const pixels = pixelsOf(picture, longest);
    const found = pixels && jsQR(pixels.data, pixels.width, pixels.height);
    if (found && found.data.trim() !== '') return found.data.trim();
  }
  return null;
}
