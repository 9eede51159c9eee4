/** What the first bytes of a picture say of it. */
export interface PictureHeader {
  readonly type: 'image/png' | 'image/jpeg';
  readonly width: number;
  readonly height: number;
}

const PNG_SIGNATURE = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
/** Signature, then the header chunk with its length, name, width and height. */
const PNG_HEADER = 24;

/** PNG (ISO/IEC 15948, 11.2.2): the header chunk comes first and begins with width and height. */
function pngHeader(bytes: Buffer): PictureHeader | null {
  if (bytes.length < PNG_HEADER || !bytes.subarray(0, 8).equals(PNG_SIGNATURE)) return null;
  if (bytes.toString('latin1', 12, 16) !== 'IHDR') return null;
  return { type: 'image/png', width: bytes.readUInt32BE(16), height: bytes.readUInt32BE(20) };
}

/**
 * Start of frame: every kind of coding but the tables and the arithmetic conditioning between them (ITU-T T.81, table
 * B.1).
 */
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
/** Markers that stand alone, without a length. */
const isAlone = (marker: number): boolean => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7);
/** A picture from a camera has some tens of segments before its frame. */
const MOST_SEGMENTS = 500;

/**
 * JPEG (ITU-T T.81, B.1.1 and B.2.2): segments, each with its length, up to the first frame. Every step goes forward,
 * so it ends.
 */
function jpegHeader(bytes: Buffer): PictureHeader | null {
  if (bytes.length < 4 || bytes.readUInt16BE(0) !== 0xffd8) return null;
  let at = 2;
  for (let segment = 0; segment < MOST_SEGMENTS; segment += 1) {
    if (at + 4 > bytes.length || bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) at += 1;
    else if (isAlone(marker)) at += 2;
    else if (isFrame(marker)) {
      if (at + 9 > bytes.length) return null;
      return { type: 'image/jpeg', height: bytes.readUInt16BE(at + 5), width: bytes.readUInt16BE(at + 7) };
    } else {
      const length = bytes.readUInt16BE(at + 2);
      if (length < 2) return null;
      at += 2 + length;
    }
  }
  return null;
}

/**
 * What bytes from outside are, by their own header: PNG or JPEG and nothing else. It reads at most a few hundred places
 * and keeps nothing, whatever the bytes are.
 * @returns null for anything else, and for a picture without size
 */
export function pictureHeader(bytes: Buffer): PictureHeader | null {
  const header = pngHeader(bytes) ?? jpegHeader(bytes);
  return header && header.width > 0 && header.height > 0 ? header : null;
}
