// Measures speed and weight against the budgets, prints them as a table of ratios. Nothing here passes or fails.
import { BUNDLED } from './lib/build.mjs';
import { build, installPackages, must, run, say, tool } from './lib/run.mjs';

installPackages();
say('Building');
build();
// Measured is what ships: bundled as the server is, not as a compiler at run time would leave it.
const BUNDLE = 'dist/server/bench.mjs';
must(tool('esbuild', [...BUNDLED, 'scripts/bench/bench.ts', `--outfile=${BUNDLE}`]), 'Bundling');
must(run(process.execPath, [BUNDLE, ...process.argv.slice(2)]), 'The measurement');
