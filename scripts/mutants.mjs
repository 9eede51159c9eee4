// Changes the core in one small place at a time, in a copy, and sees whether a test minds: survivors are listed.
// `npm run mutants -- 200 1959` tries so many changes, drawn by that seed. It takes some seconds a change that is noticed, minutes one that is not.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import ts from 'typescript';
import { installPackages, ROOT } from './lib/run.mjs';

const [MANY = '200', SEED = '1959'] = process.argv.slice(2);
/** Of all changes so many in a hundred must be noticed. */
const WANTED = 90;
const LONGEST_MS = 600_000;

installPackages();

/** What each operator becomes. */
const OTHER = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '&&': '||',
  '||': '&&',
  '===': '!==',
  '!==': '===',
};

/** Every small change that a file allows: where, and what stands there afterwards. */
function changesOf(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const add = (node, to) => found.push({ file, from: node.getStart(source), until: node.getEnd(), to });
  const visit = (node) => {
    // Types say nothing that a test could mind.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const other = OTHER[node.operatorToken.getText(source)];
      if (other) add(node.operatorToken, other);
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add(node, node.operand.getText(source));
    if (ts.isConditionalExpression(node)) add(node.condition, `!(${node.condition.getText(source)})`);
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const copy = mkdtempSync(join(tmpdir(), 'serrata-mutants-'));
for (const name of ['src', 'tests', 'scripts', 'docs', 'package.json', 'tsconfig.json', 'vitest.config.ts'])
  cpSync(join(ROOT, name), join(copy, name), { recursive: true });
symlinkSync(join(ROOT, 'node_modules'), join(copy, 'node_modules'));

/** Whether the tests that are named all pass. */
const pass = (...args) =>
  spawnSync('node_modules/.bin/vitest', [...args, '--project', 'core', '--bail', '1', '--reporter', 'dot'], {
    cwd: copy,
    stdio: 'ignore',
    timeout: LONGEST_MS,
    env: { ...process.env, CI: '1' },
  }).status === 0;

/** What notices most in seconds: what is said of every kept sheet. */
const QUICK = 'tests/reference/kept-appraisals.test.ts';

/** Whether any test minds: those beside the file and the kept sheets first, then all that rest on it. */
function isNoticed({ file }) {
  const beside = dirname(file);
  const hasNeighbours = readdirSync(join(copy, beside)).some((name) => name.endsWith('.test.ts'));
  return !pass('run', QUICK, ...(hasNeighbours ? [beside] : [])) || !pass('related', '--run', file);
}

const files = readdirSync(join(ROOT, 'src/core'), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
  .map((name) => join('src/core', name));
const texts = new Map(files.map((file) => [file, readFileSync(join(ROOT, file), 'utf8')]));
const all = files.flatMap((file) => changesOf(file, texts.get(file)));
const survivors = [];
const many = Math.min(Number(MANY), all.length);
const drawn = fc.shuffledSubarray(all, { minLength: many, maxLength: many });
const [tried] = fc.sample(drawn, { seed: Number(SEED), numRuns: 1 });

try {
  if (!pass('run', 'src/core')) throw new Error('The tests of the core fail as it stands: mend it first.');
  for (const change of tried) {
    const { file, from, until, to } = change;
    const text = texts.get(file);
    writeFileSync(join(copy, file), text.slice(0, from) + to + text.slice(until));
    const line = text.slice(0, from).split('\n').length;
    const says = `${file}:${line}: ${text.slice(from, until)} → ${to}`;
    if (isNoticed(change)) process.stdout.write(`noticed  ${says}\n`);
    else {
      survivors.push(says);
      process.stdout.write(`SURVIVED ${says}\n`);
    }
    writeFileSync(join(copy, file), text);
  }
} finally {
  rmSync(copy, { recursive: true, force: true });
}

const noticed = Math.round((100 * (many - survivors.length)) / many);
process.stdout.write(`\n${many - survivors.length} of ${many} changes were noticed (${noticed} %).\n`);
for (const says of survivors) process.stdout.write(`  ${says}\n`);
process.exit(noticed >= WANTED ? 0 : 1);
