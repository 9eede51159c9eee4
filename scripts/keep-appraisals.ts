// Keeps what is said of every demo sheet, and of sheets drawn once at random, so that a test sees when it changes.
// `--draw` draws new sheets; without it the kept sheets stay and their documents are written anew.
import fc from 'fast-check';
import { DEMO_FURTHER_JOBS, DEMO_SHEETS } from '../src/data/demo';
import { besideOf, documentOf, keepAppraisals, keptAppraisals } from '../tests/support/kept-appraisals';
import { anySheet } from '../tests/support/sheets';

const DRAWN = 60;
const SEED = 20261129;

const demo = [...Object.entries(DEMO_SHEETS), ...DEMO_FURTHER_JOBS.map(({ tag, sheet }) => [tag, sheet] as const)].map(
  ([name, sheet]) => ({ name, sheet }),
);
const drawn = process.argv.includes('--draw')
  ? fc.sample(anySheet, { numRuns: DRAWN, seed: SEED }).map((sheet, i) => ({ name: `drawn ${i + 1}`, sheet }))
  : keptAppraisals().filter(({ name }) => name.startsWith('drawn '));
keepAppraisals(
  [...demo, ...drawn].map(({ name, sheet }) => ({
    ...{ name, sheet },
    ...{ document: documentOf(sheet), beside: besideOf(sheet) },
  })),
);
