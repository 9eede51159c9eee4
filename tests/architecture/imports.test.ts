import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';

const ROOT = resolve(import.meta.dirname, '../..');
const planted: string[] = [];

/** Plants a file with a forbidden import, asks the checker, and returns what it says. */
function checkWith(path: string, source: string): { status: number | null; output: string } {
  const file = join(ROOT, path);
  writeFileSync(file, source);
  planted.push(file);
  const { status, stdout } = spawnSync(
    join(ROOT, 'node_modules/.bin/depcruise'),
    ['--config', '.dependency-cruiser.cjs', path],
    { cwd: ROOT, encoding: 'utf8' },
  );
  return { status, output: stdout };
}

afterEach(() => {
  for (const file of planted.splice(0)) rmSync(file, { force: true });
});

describe('the import rules', () => {
  it.each([
    [
      'the core may not reach for the wording',
      'src/core/quantity/planted-wording.ts',
      "export { partName } from '../../wording';\n",
      'core-imports',
    ],
    [
      'the core may not use a package but zod',
      'src/core/quantity/planted-package.ts',
      "export { format } from 'date-fns';\n",
      'core-packages',
    ],
    [
      'islands may not read the store',
      'src/islands/planted-store.ts',
      "export { openStore } from '../data/store';\n",
      'islands-imports',
    ],
    [
      'a concept of the core is entered by its index',
      'src/wording/planted-door.ts',
      "export { rock } from '../core/bar/rock';\n",
      'core-through-the-door',
    ],
    [
      'a room of the core is entered by its door from within the core, too',
      'src/core/order/planted-room.ts',
      "export { rock } from '../bar/rock';\n",
      'core-rooms',
    ],
    [
      'no room judges by the whole appraisal',
      'src/core/fit/planted-appraisal.ts',
      "export { assess } from '../assess';\n",
      'core-assess-composes',
    ],
    ['ui may not know the core', 'src/ui/planted-core.ts', "export { mm } from '../core/quantity';\n", 'ui-imports'],
  ])('%s', (_name, path, source, rule) => {
    const { status, output } = checkWith(path, source);
    expect(status).not.toBe(0);
    expect(output).toContain(rule);
  });

  it('hold for pages, which the checker cannot read', () => {
    const pages = readdirSync(join(ROOT, 'src/pages'), { recursive: true, encoding: 'utf8' }).filter((file) =>
      file.endsWith('.astro'),
    );
    expect(pages.length).toBeGreaterThan(3);
    for (const page of pages) {
      const source = readFileSync(join(ROOT, 'src/pages', page), 'utf8');
      const folders = [...source.matchAll(/from '(?:\.\.\/)+([a-z]+)/g)].map(([, folder]) => folder);
      expect(
        folders.filter((folder) => !['islands', 'layouts', 'server', 'ui', 'contract'].includes(folder!)),
        page,
      ).toEqual([]);
    }
  });
});
