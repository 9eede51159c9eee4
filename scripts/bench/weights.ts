import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, posix } from 'node:path';
import { gzipSync } from 'node:zlib';

const CLIENT = new URL('../../dist/client', import.meta.url).pathname;

/** Scripts a file imports at once; what it loads later does not count. */
function staticImports(code: string, from: string): string[] {
  const found = [...code.matchAll(/(?:\bfrom|\bimport)\s*"(\.{1,2}\/[^"]+\.js)"/g)];
  return found.map(([, path]) => posix.join(posix.dirname(from), path!));
}

/**
 * JavaScript that a page needs, gzip kB: what its HTML names and everything those import.
 * @param also names of chunks that are fetched at once although nothing imports them at first: the step that is opened
 */
export function scriptWeight(html: string, also: readonly string[] = []): number {
  const wanted = [...html.matchAll(/(?:src|component-url|renderer-url)="(\/[^"]+\.js)"/g)].map(([, path]) => path!);
  const chunks = readdirSync(join(CLIENT, '_astro'));
  for (const name of also) {
    const found = chunks.filter((chunk) => chunk.startsWith(`${name}.`) && chunk.endsWith('.js'));
    if (found.length !== 1) throw new Error(`There is no one chunk called ${name}.`);
    wanted.push(`/_astro/${found[0]}`);
  }
  const seen = new Set<string>();
  let bytes = 0;
  while (wanted.length > 0) {
    const path = wanted.pop()!;
    const file = join(CLIENT, path);
    if (seen.has(path) || !existsSync(file)) continue;
    seen.add(path);
    const code = readFileSync(file, 'utf8');
    bytes += gzipSync(code).length;
    wanted.push(...staticImports(code, path));
  }
  return bytes / 1000;
}
