// Everything, in order: lint and types, architecture, core and reference tests, build, browser tests.
// Ends with one plain line: N passed, N failed.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { BUILD } from './lib/build.mjs';
import { BESIDE_TESTS } from './lib/beside-tests.mjs';
import { installForTests, installPackages, ROOT, say, tool } from './lib/run.mjs';

const results = resolve(ROOT, 'test-results');
const quiet = { ASTRO_TELEMETRY_DISABLED: '1' };
let passed = 0;
let failed = 0;

/** Each stage, with the seconds of processor time at its end. */
const stages = [];

/** Runs one stage that is a single check. */
function check(name, ...steps) {
  say(name);
  const bad = steps.some(([command, args]) => tool(command, args, quiet) !== 0);
  stages.push({ name, until: processorSeconds() });
  if (!bad) passed += 1;
  else {
    failed += 1;
    fails(name);
  }
}

/** Runs a test runner and counts what it wrote down. A runner that wrote nothing, or ran nothing, has failed. */
function suite(name, command, args, count) {
  say(name);
  const status = tool(command, args, quiet);
  stages.push({ name, until: processorSeconds() });
  try {
    const counted = count();
    passed += counted.passed;
    failed += counted.failed;
    if (counted.passed + counted.failed === 0 || (status !== 0 && counted.failed === 0)) {
      failed += 1;
      fails(name, `It ended with ${status}, and no test of it failed.`);
    }
  } catch (error) {
    failed += 1;
    fails(name, `No result was written (${error.message}).`);
  }
}

/** Every test and check that failed, with what it says: told again at the end, where it is looked for. */
const fell = [];
const fails = (name, message = '') =>
  fell.push({ name, message: message.split('\n').slice(0, MESSAGE_LINES).join('\n') });
const MESSAGE_LINES = 12;

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
const begun = processorSeconds();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
check('Lint', ['eslint', ['.', '--max-warnings', '0']], ['prettier', ['--check', '--log-level', 'warn', '.']]);
check('Types', ['astro', ['check', '--minimumSeverity', 'warning']]);
check('Dead code', ['knip', ['--no-progress', '--no-config-hints']]);
check('Architecture', ['depcruise', ['--config', '.dependency-cruiser.cjs', 'src']]);
suite(
  'Core, reference and server tests',
  'vitest',
  [
    ...['run', '--reporter=default', '--reporter=./scripts/lib/beside-tests.mjs'],
    ...['--reporter=json', '--outputFile.json=test-results/unit.json'],
  ],
  () => {
    for (const error of JSON.parse(readFileSync(resolve(ROOT, BESIDE_TESTS), 'utf8'))) fails('beside any test', error);
    const { numPassedTests, numFailedTests, testResults } = json('unit.json');
    for (const { assertionResults } of testResults)
      for (const { fullName, duration, status, failureMessages } of assertionResults) {
        took.push({ name: fullName, seconds: duration / 1000 });
        if (status === 'failed') fails(fullName, failureMessages[0]);
      }
    return { passed: numPassedTests, failed: numFailedTests };
  },
);
check('Build', ...BUILD);
suite('Browser tests', 'playwright', ['test'], () => {
  const { stats, suites } = json('browser.json');
  for (const { title, ok, tests } of suites.flatMap(within)) {
    const runs = tests.flatMap(({ results }) => results);
    took.push({ name: title, seconds: runs.reduce((sum, { duration }) => sum + duration, 0) / 1000 });
    if (!ok) fails(title, runs.flatMap(({ errors }) => errors)[0]?.message);
  }
  const { expected, unexpected, flaky } = stats;
  return { passed: expected, failed: unexpected + flaky };
});
say(`The ${SLOWEST} slowest tests`);
for (const { name, seconds } of took.sort((a, b) => (b.seconds ?? 0) - (a.seconds ?? 0)).slice(0, SLOWEST))
  process.stdout.write(`${(seconds ?? 0).toFixed(1).padStart(6)} s  ${name}\n`);
if (begun !== null) {
  say(`Processor time: ${Math.round(processorSeconds())} s`);
  for (const [at, { name, until }] of stages.entries())
    process.stdout.write(`${(until - (stages[at - 1]?.until ?? begun)).toFixed(1).padStart(6)} s  ${name}\n`);
}
if (fell.length > 0) say('What failed');
for (const { name, message } of fell) process.stdout.write(`✗ ${name}\n${message}\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
