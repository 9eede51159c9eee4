import { inflateSync } from 'node:zlib';

/** WOFF File Format 1.0 (W3C, 2012), 3 and 4: bytes of the header and of one entry of its directory. */
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
/** OpenType, "Organization of an OpenType Font": the same. */
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

const aligned = (length: number): number => (length + 3) & ~3;

/**
 * A font that was packed for the web, unpacked: read packed, its table of shapes is unpacked anew for every letter that
 * is set, which was most of the time a page took.
 * @param woff bytes of a WOFF 1.0 file
 * @throws Error for anything else
 */
export function plainFont(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('This is no WOFF 1.0 font.');
  const tables = woff.readUInt16BE(12);
  const entries = Array.from({ length: tables }, (_, i) => {
    const at = WOFF_HEADER + i * WOFF_ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(at + field)) as [
      number,
      number,
      number,
    ];
    const bytes = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      bytes: packed < length ? inflateSync(bytes) : bytes,
    };
  });
  const head = SFNT_HEADER + tables * SFNT_ENTRY;
  const font = Buffer.alloc(entries.reduce((end, { bytes }) => end + aligned(bytes.length), head));
  woff.copy(font, 0, 4, 8);
  font.writeUInt16BE(tables, 4);
  // For a binary search in the directory: the largest power of two in it, and what lies beyond.
  const power = Math.floor(Math.log2(tables));
  const range = 2 ** power * SFNT_ENTRY;
  font.writeUInt16BE(range, 6);
  font.writeUInt16BE(power, 8);
  font.writeUInt16BE(tables * SFNT_ENTRY - range, 10);
  let offset = head;
  entries.forEach(({ tag, checksum, bytes }, i) => {
    const at = SFNT_HEADER + i * SFNT_ENTRY;
    tag.copy(font, at);
    font.writeUInt32BE(checksum, at + 4);
    font.writeUInt32BE(offset, at + 8);
    font.writeUInt32BE(bytes.length, at + 12);
    bytes.copy(font, offset);
    offset += aligned(bytes.length);
  });
  return font;
}
