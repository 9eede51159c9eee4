// Everything, in order: lint and types, architecture, core and reference tests, build, browser tests.
// Ends with one plain line: N passed, N failed.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { BUILD } from './lib/build.mjs';
import { installForTests, installPackages, ROOT, say, tool } from './lib/run.mjs';

const results = resolve(ROOT, 'test-results');
const quiet = { ASTRO_TELEMETRY_DISABLED: '1' };
let passed = 0;
let failed = 0;

/** Runs one stage that is a single check. */
function check(name, ...steps) {
  say(name);
  const bad = steps.some(([command, args]) => tool(command, args, quiet) !== 0);
  if (bad) failed += 1;
  else passed += 1;
}

/** Runs a test runner and counts what it wrote down. A runner that wrote nothing, or ran nothing, has failed. */
function suite(name, command, args, count) {
  say(name);
  const status = tool(command, args, quiet);
  try {
    const counted = count();
    passed += counted.passed;
    failed += counted.failed;
    if (counted.passed + counted.failed === 0 || (status !== 0 && counted.failed === 0)) failed += 1;
  } catch (error) {
    process.stderr.write(`${name}: no result was written (${error.message}).\n`);
    failed += 1;
  }
}

const json = (file) => JSON.parse(readFileSync(resolve(results, file), 'utf8'));

/** Every test that ran, with its seconds. */
const took = [];
const SLOWEST = 10;

/** All tests of a browser suite, and of the suites within it. */
const within = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(within)];

/** Seconds of processor time that all stages took together, as Linux counts them; null elsewhere. */
function processorSeconds() {
  try {
    const [, fields] = readFileSync('/proc/self/stat', 'utf8').split(') ');
    const ticks = fields.split(' ').slice(11, 15).map(Number);
    return ticks.reduce((sum, each) => sum + each, 0) / 100;
  } catch {
    return null;
  }
}

installPackages();
installForTests();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
check('Lint', ['eslint', ['.', '--max-warnings', '0']], ['prettier', ['--check', '--log-level', 'warn', '.']]);
check('Types', ['astro', ['check', '--minimumSeverity', 'warning']]);
check('Dead code', ['knip', ['--no-progress', '--no-config-hints']]);
check('Architecture', ['depcruise', ['--config', '.dependency-cruiser.cjs', 'src']]);
suite(
  'Core, reference and server tests',
  'vitest',
  ['run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
  () => {
    const { numPassedTests, numFailedTests, testResults } = json('unit.json');
    for (const { assertionResults } of testResults)
      for (const { fullName, duration } of assertionResults) took.push({ name: fullName, seconds: duration / 1000 });
    return { passed: numPassedTests, failed: numFailedTests };
  },
);
check('Build', ...BUILD);
suite('Browser tests', 'playwright', ['test'], () => {
  const { stats, suites } = json('browser.json');
  for (const { title, tests } of suites.flatMap(within))
    took.push({
      name: title,
      seconds: tests.flatMap(({ results }) => results).reduce((sum, { duration }) => sum + duration, 0) / 1000,
    });
  const { expected, unexpected, flaky } = stats;
  return { passed: expected, failed: unexpected + flaky };
});
say(`The ${SLOWEST} slowest tests`);
for (const { name, seconds } of took.sort((a, b) => (b.seconds ?? 0) - (a.seconds ?? 0)).slice(0, SLOWEST))
  process.stdout.write(`${(seconds ?? 0).toFixed(1).padStart(6)} s  ${name}\n`);
const spent = processorSeconds();
if (spent !== null) process.stdout.write(`\nProcessor time: ${Math.round(spent)} s\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
