import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = resolve(import.meta.dirname, '../..');

/** What nobody may import, each with the rule that forbids it. */
const FORBIDDEN = [
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
    "export { rock } from '../core/groove/rock';\n",
    'core-through-the-door',
  ],
  [
    'a room of the core is entered by its door from within the core, too',
    'src/core/order/planted-room.ts',
    "export { rock } from '../groove/rock';\n",
    'core-rooms',
  ],
  [
    'no room judges by the whole appraisal',
    'src/core/fit/planted-appraisal.ts',
    "export { assess } from '../assess';\n",
    'core-assess-composes',
  ],
  ['ui may not know the core', 'src/ui/planted-core.ts', "export { mm } from '../core/quantity';\n", 'ui-imports'],
  [
    'controls and drawings have words of their own, and no others',
    'src/ui/planted-words.ts',
    "export { partName } from '../wording';\n",
    'ui-imports',
  ],
] as const;

interface Found {
  readonly from: string;
  readonly rule: { readonly name: string; readonly severity: string };
}

/** Plants every file with a forbidden import, asks the checker once, and returns what it says of each. */
function checkPlanted(): readonly Found[] {
  const paths = FORBIDDEN.map(([, path]) => path);
  try {
    for (const [, path, source] of FORBIDDEN) writeFileSync(join(ROOT, path), source);
    const { stdout } = spawnSync(
      join(ROOT, 'node_modules/.bin/depcruise'),
      ['--config', '.dependency-cruiser.cjs', '--output-type', 'json', ...paths],
      { cwd: ROOT, encoding: 'utf8', maxBuffer: 2 ** 28 },
    );
    return (JSON.parse(stdout) as { summary: { violations: readonly Found[] } }).summary.violations;
  } finally {
    for (const path of paths) rmSync(join(ROOT, path), { force: true });
  }
}

describe('the import rules', () => {
  const checked = checkPlanted();

  it.each(FORBIDDEN)('%s', (_name, path, _source, rule) => {
    const said = checked.filter(({ from }) => from === path).map((each) => each.rule);
    expect(said).toContainEqual({ name: rule, severity: 'error' });
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
      expect(source, page).not.toMatch(/from '#language(?!\/screens\/)/);
    }
  });
});
