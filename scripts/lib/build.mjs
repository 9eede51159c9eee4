/** Flags that bundle a file for Node.js: packages stay where they are installed. */
export const BUNDLED = [
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--target=node20',
  '--packages=external',
  '--log-level=warning',
];

/** The pages, and the server that answers them: bundled once, so that it starts without a compiler. */
export const BUILD = [
  ['astro', ['build'], { ASTRO_TELEMETRY_DISABLED: '1' }],
  ['esbuild', ['src/server/main.ts', ...BUNDLED, '--outfile=dist/server/main.mjs'], {}],
  // Still files are packed once, as small as can be, and not with every answer.
  ['tsx', ['scripts/pack-files.ts'], {}],
];

/** The built server, from the checkout. */
export const SERVER = 'dist/server/main.mjs';
