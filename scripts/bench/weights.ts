import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, posix } from 'node:path';
import { gzipSync } from 'node:zlib';

const CLIENT = new URL('../../dist/client', import.meta.url).pathname;

/** Scripts a file imports at once; what it loads later does not count. */
function staticImports(code: string, from: string): string[] {
  const found = [...code.matchAll(/(?:\bfrom|\bimport)\s*"(\.{1,2}\/[^"]+\.js)"/g)];
  return found.map(([, path]) => posix.join(posix.dirname(from), path!));
}

/** The chunk that a step's view is in: the one that is fetched by the view's name. */
function chunkOfStep(step: string): string {
  const scripts = readdirSync(join(CLIENT, '_astro')).filter((file) => file.endsWith('.js'));
  for (const script of scripts) {
    const code = readFileSync(join(CLIENT, '_astro', script), 'utf8');
    const [, chunk] = new RegExp(`"\\./${step}\\.tsx":[^"]*"\\./([^"]+\\.js)"`).exec(code) ?? [];
    if (chunk) return `/_astro/${chunk}`;
  }
  throw new Error(`No script fetches the step ${step}.`);
}

/**
 * JavaScript that a page needs, gzip kB: what its HTML names and everything those import.
 * @param step the step that is opened, whose view is fetched at once although nothing imports it at first
 */
export function scriptWeight(html: string, step: string | null = null): number {
  const wanted = [...html.matchAll(/(?:src|component-url|renderer-url)="(\/[^"]+\.js)"/g)].map(([, path]) => path!);
  if (step !== null) wanted.push(chunkOfStep(step));
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
