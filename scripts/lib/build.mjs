/** The pages, and the server that answers them: bundled once, so that it starts without a compiler. Packages stay where they are installed. */
export const BUILD = [
  ['astro', ['build'], { ASTRO_TELEMETRY_DISABLED: '1' }],
  [
    'esbuild',
    [
      'src/server/main.ts',
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--target=node20',
      '--packages=external',
      '--log-level=warning',
      '--outfile=dist/server/main.mjs',
    ],
    {},
  ],
];

/** The built server, from the checkout. */
export const SERVER = 'dist/server/main.mjs';
