// Runs tests of a copy of the core again and again in one warm runner: a process of its own, since a change may loop
// for ever. Told which file was changed, it answers whether a test minds; told that it was put back, whether none does.
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
  // The runner tells of what it ran before, too.
  const asked = new Set(specifications.map(({ moduleId }) => moduleId));
  const ran = testModules.filter(({ moduleId }) => asked.has(moduleId));
  return unhandledErrors.length === 0 && ran.length === asked.size && ran.every((module) => module.ok());
}

/** Tests beside a file, and those of the kept sheets. */
const nearest = (file) => vitest.globTestSpecifications([QUICK, `${dirname(file)}/`]);

/** The nearest first, then all that rest on the file. */
async function isNoticed(file) {
  const first = await nearest(file);
  if (!(await pass(first))) return true;
  vitest.config.related = [join(copy, file)];
  const tried = new Set(first.map(({ moduleId }) => moduleId));
  const rest = await vitest.getRelevantTestSpecifications();
  return !(await pass(rest.filter(({ moduleId }) => !tried.has(moduleId))));
}

/** What is asked of a file: whether its change is noticed, and whether nothing of that is left once it is put back. */
const ANSWERS = {
  changed: isNoticed,
  restored: async (file) => pass(await nearest(file)),
};

process.on('message', async ({ file, is }) => {
  vitest.invalidateFile(join(copy, file));
  process.send(await ANSWERS[is](file));
});
process.on('disconnect', () => process.exit());
process.send(await pass(await vitest.globTestSpecifications(['src/core'])));
