// Changes the core in one small place at a time, in a copy, and sees whether a test minds: survivors are listed.
// `npm run mutants -- 200 1959` tries so many changes, drawn by that seed.
import { fork } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { installPackages, ROOT } from './lib/run.mjs';

const [MANY = '200', SEED = '1959'] = process.argv.slice(2);
/** Of all changes so many in a hundred must be noticed. */
const WANTED = 90;
/** Longer than all tests that rest on a file take on a slow and busy machine, ms. */
const LONGEST_MS = 1_200_000;

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

/**
 * Every small change that a file allows: where, what stands there afterwards, and its rank, by which changes are drawn:
 * it stays when other lines change.
 */
function changesOf(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const lines = text.split('\n');
  const add = (node, to) => {
    const from = node.getStart(source);
    const { line, character } = source.getLineAndCharacterOfPosition(from);
    const rank = createHash('sha256').update(`${SEED} ${file} ${lines[line]} ${character} ${to}`).digest('hex');
    found.push({ file, from, until: node.getEnd(), to, rank });
  };
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

const tester = fileURLToPath(new URL('lib/mutant-tester.mjs', import.meta.url));
let testing = null;

/** What the tester says next; null where it says nothing for so long, and is ended. */
async function nextWord() {
  const silence = AbortSignal.timeout(LONGEST_MS);
  try {
    const [word] = await once(testing, 'message', { signal: silence });
    return word;
  } catch {
    testing.kill('SIGKILL');
    testing = null;
    return null;
  }
}

/** Starts the tester, which runs the tests of the core as it stands. */
async function startTester() {
  testing = fork(tester, [copy], { stdio: 'ignore', env: { ...process.env, CI: '1' } });
  if (!(await nextWord())) throw new Error('The tests of the core fail as it stands: mend it first.');
}

/** What the tests say of a changed file: a loop without an end is noticed, too. */
async function saidOf(file, text, changed) {
  if (!testing) await startTester();
  writeFileSync(join(copy, file), changed);
  testing.send({ file, is: 'changed' });
  const noticed = await nextWord();
  writeFileSync(join(copy, file), text);
  if (noticed === null) return 'no end  ';
  testing.send({ file, is: 'restored' });
  if (await nextWord()) return noticed ? 'noticed ' : 'SURVIVED';
  // Nothing was changed, and tests failed: what was told of the change does not hold.
  testing?.kill('SIGKILL');
  testing = null;
  return null;
}

const files = readdirSync(join(ROOT, 'src/core'), { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
  .map((name) => join('src/core', name));
const texts = new Map(files.map((file) => [file, readFileSync(join(ROOT, file), 'utf8')]));
const all = files.flatMap((file) => changesOf(file, texts.get(file)));
const survivors = [];
const many = Math.min(Number(MANY), all.length);
const tried = all.toSorted((one, other) => one.rank.localeCompare(other.rank)).slice(0, many);

try {
  for (const change of tried) {
    const { file, from, until, to } = change;
    const text = texts.get(file);
    const line = text.slice(0, from).split('\n').length;
    const shown = `${file}:${line}: ${text.slice(from, until)} → ${to}`;
    const changed = text.slice(0, from) + to + text.slice(until);
    const said = (await saidOf(file, text, changed)) ?? (await saidOf(file, text, changed));
    if (said === null) throw new Error(`${file} was put back, and tests go on failing.`);
    if (said === 'SURVIVED') survivors.push(shown);
    process.stdout.write(`${said} ${shown}\n`);
  }
} finally {
  testing?.disconnect();
  rmSync(copy, { recursive: true, force: true });
}

const noticed = Math.round((100 * (many - survivors.length)) / many);
process.stdout.write(`\n${many - survivors.length} of ${many} changes were noticed (${noticed} %).\n`);
for (const says of survivors) process.stdout.write(`  ${says}\n`);
process.exit(noticed >= WANTED ? 0 : 1);
