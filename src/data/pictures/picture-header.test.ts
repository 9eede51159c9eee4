import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pictureHeader } from './picture-header';

/** A JPEG of one application segment and one frame. */
const jpeg = (width: number, height: number, marker = 0xc0) =>
  Buffer.from([
    ...[0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 2, 0xff, 0xff, marker, 0, 11, 8],
    ...[height >> 8, height & 255, width >> 8, width & 255, 1, 1, 0x11, 0],
  ]);

describe('pictureHeader', () => {
  it('reads PNG and JPEG', () => {
    expect(pictureHeader(readFileSync('docs/screenshots/bench.png'))).toEqual({
      type: 'image/png',
      width: 1280,
      height: 800,
    });
    for (const marker of [0xc0, 0xc1, 0xc2, 0xc9])
      expect(pictureHeader(jpeg(640, 300, marker))).toEqual({ type: 'image/jpeg', width: 640, height: 300 });
  });

  it('takes tables before a frame for no frame, and no size for no picture', () => {
    expect(pictureHeader(jpeg(640, 300, 0xc4))).toBeNull();
    expect(pictureHeader(jpeg(0, 300))).toBeNull();
  });

  it('looks at no other format, however its boxes are made', () => {
    // Boxes and chunks of length nothing, which readers of these formats walk for ever.
    const box = (...parts: (string | number[])[]) =>
      Buffer.concat(parts.map((part) => (typeof part === 'string' ? Buffer.from(part, 'latin1') : Buffer.from(part))));
    for (const crafted of [
      box('icns', [0, 0, 0, 16], 'ICON', [0, 0, 0, 0]),
      box([0, 0, 0, 16], 'ftypheic', new Array<number>(52).fill(0)),
      box([0, 0, 0, 12], 'jP  \r\n\x87\n', new Array<number>(32).fill(0)),
      box('GIF89a', [1, 0, 1, 0]),
      Buffer.alloc(0),
    ])
      expect(pictureHeader(crafted)).toBeNull();
  });

  it('ends on any bytes behind either signature', () => {
    const signature = fc.constantFrom([0xff, 0xd8, 0xff], [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
    fc.assert(
      fc.property(signature, fc.uint8Array({ maxLength: 4000 }), (start, rest) => {
        const header = pictureHeader(Buffer.from([...start, ...rest]));
        return header === null || (header.width > 0 && header.height > 0);
      }),
      { seed: 12, numRuns: 500 },
    );
    expect(pictureHeader(Buffer.alloc(4_000_000, Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 2])))).toBeNull();
  });
});
