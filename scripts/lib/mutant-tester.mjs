// Runs tests of a copy of the core again and again in one warm runner: a process of its own, since a change may loop
// for ever. Told which file was changed, it answers whether a test minds.
import { dirname, join } from 'node:path';
import { createVitest } from 'vitest/node';

const [copy] = process.argv.slice(2);
/** What notices most in seconds: what is said of every kept sheet. */
const QUICK = 'tests/reference/kept-appraisals.test.ts';

process.chdir(copy);
const silent = {};
const vitest = await createVitest('test', { watch: false, project: ['core'], bail: 1, reporters: [silent] });

async function pass(specifications) {
  const { testModules, unhandledErrors } = await vitest.runTestSpecifications(specifications);
  return unhandledErrors.length === 0 && testModules.every((module) => module.ok());
}

/** Those beside the file and the kept sheets first, then all that rest on it. */
async function isNoticed(file) {
  vitest.invalidateFile(join(copy, file));
  const first = await vitest.globTestSpecifications([QUICK, `${dirname(file)}/`]);
  if (!(await pass(first))) return true;
  vitest.config.related = [join(copy, file)];
  const tried = new Set(first.map(({ moduleId }) => moduleId));
  const rest = await vitest.getRelevantTestSpecifications();
  return !(await pass(rest.filter(({ moduleId }) => !tried.has(moduleId))));
}

process.on('message', async (file) => {
  const noticed = await isNoticed(file);
  vitest.invalidateFile(join(copy, file));
  process.send({ noticed });
});
process.on('disconnect', () => process.exit());
process.send({ ready: await pass(await vitest.globTestSpecifications(['src/core'])) });
