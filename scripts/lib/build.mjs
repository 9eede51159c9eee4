/** Flags that bundle a file for Node.js: packages stay where they are installed. */
export const BUNDLED = [
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--target=node20',
  '--packages=external',
  '--log-level=warning',
];

/**
 * The pages, and the server that answers them: bundled once, so that it starts without a compiler.
 * @param language the folder of src/wording that is spoken
 * @param to the folder that is built
 * @returns {[tool: string, args: string[], env: Record<string, string>][]}
 */
export const stepsOfBuild = (language = 'en', to = 'dist') => [
  ['astro', ['build'], { ASTRO_TELEMETRY_DISABLED: '1', SERRATA_LANGUAGE: language, SERRATA_BUILD: to }],
  [
    'esbuild',
    [
      'src/server/main.ts',
      ...BUNDLED,
      `--alias:#language=./src/wording/${language}`,
      `--outfile=${to}/server/main.mjs`,
    ],
    {},
  ],
  // Still files are packed once, as small as can be, and not with every answer.
  ['tsx', ['scripts/pack-files.ts', `${to}/client`], {}],
];
export const BUILD = stepsOfBuild();

/** The built server, from the checkout. */
export const SERVER = 'dist/server/main.mjs';
