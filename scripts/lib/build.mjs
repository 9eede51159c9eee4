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
 * The pages, the server that answers them, and the threads that do its long work: bundled once, so that they start
 * without a compiler.
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
      'src/server/heavy/worker.ts',
      ...BUNDLED,
      // What is imported later stays in a file of its own: it would draw its packages in before the server has begun.
      '--splitting',
      '--entry-names=[name]',
      '--out-extension:.js=.mjs',
      `--alias:#language=./src/wording/${language}`,
      `--outdir=${to}/server`,
    ],
    {},
  ],
  // What opens Serrata without its server, with the list of all files that it keeps.
  ['tsx', ['scripts/pack-offline.ts', `${to}/client`], {}],
  // Still files are packed once, as small as can be, and not with every answer.
  ['tsx', ['scripts/pack-files.ts', `${to}/client`], {}],
];
export const BUILD = stepsOfBuild();

/** The built server, from the checkout. */
export const SERVER = 'dist/server/main.mjs';
