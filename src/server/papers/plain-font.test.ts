import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { plainFont } from './plain-font';

const require = createRequire(import.meta.url);
const shipped = ['hanken-grotesk', 'spline-sans-mono'].flatMap((name) =>
  ['latin', 'latin-ext'].map((alphabet) =>
    require.resolve(`@fontsource/${name}/files/${name}-${alphabet}-700-normal.woff`),
  ),
);

/** The sum of a table's words, as OpenType has it ("Calculating checksums"). */
function checksumOf(table: Buffer): number {
  const padded = Buffer.concat([table, Buffer.alloc((4 - (table.length % 4)) % 4)]);
  let sum = 0;
  for (let at = 0; at < padded.length; at += 4) sum = (sum + padded.readUInt32BE(at)) >>> 0;
  return sum;
}

describe('a font that was packed for the web', () => {
  it.each(shipped)('is unpacked with every table as it was: %s', (file) => {
    const woff = readFileSync(file);
    const font = plainFont(woff);
    // Its header says how large it is unpacked.
    expect(font.length).toBe(woff.readUInt32BE(16));
    const tables = font.readUInt16BE(4);
    expect(tables).toBeGreaterThan(8);
    for (let at = 12; at < 12 + tables * 16; at += 16) {
      const [tag, [sum, offset, length]] = [
        font.toString('latin1', at, at + 4),
        [4, 8, 12].map((field) => font.readUInt32BE(at + field)) as [number, number, number],
      ];
      const table = Buffer.from(font.subarray(offset, offset + length));
      // The sum of the whole font stands in this table: it is left out of the table's own.
      if (tag === 'head') table.writeUInt32BE(0, 8);
      expect(checksumOf(table), tag).toBe(sum);
    }
  });

  it('is refused where it is none', () => {
    expect(() => plainFont(Buffer.from('wOF2 and so on'))).toThrow('no WOFF 1.0');
  });
});
