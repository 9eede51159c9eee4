// Measures speed and weight against the budgets, prints them as a table of ratios. Nothing here passes or fails.
import { build, installPackages, must, say, tool } from './lib/run.mjs';

installPackages();
say('Building');
build();
must(tool('tsx', ['scripts/bench/bench.ts', ...process.argv.slice(2)]), 'The measurement');
