// Packs the built files that do not change, beside themselves: the server sends what the browser can unpack.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

const CLIENT = process.argv[2] ?? 'dist/client';
/** Pictures and fonts are packed already. */
const PACKED = /\.(js|css|svg|html)$/;

for (const name of readdirSync(CLIENT, { recursive: true }) as string[]) {
  if (!PACKED.test(name)) continue;
  const file = join(CLIENT, name);
  const bytes = readFileSync(file);
  writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(`${file}.br`, brotliCompressSync(bytes));
}
