import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { BUILD, SERVER } from './build.mjs';
import { CHROMIUM } from './chromium.mjs';

/** The checkout, wherever the command was started. */
export const ROOT = fileURLToPath(new URL('../..', import.meta.url));

const bin = (name) => resolve(ROOT, 'node_modules/.bin', name);

/** Says what happens now. */
export function say(text) {
  process.stdout.write(`\n▸ ${text}\n`);
}

/** Runs a command in the checkout with its output shown. Returns its exit code. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  if (error) throw error;
  return status ?? 1;
}

/** Runs a tool of the project. */
export const tool = (name, args, env) => run(bin(name), args, env);

/** Starts a tool of the project and leaves it running. */
export function start(name, args, env = {}, stdio = 'inherit') {
  return spawn(bin(name), args, { cwd: ROOT, stdio, env: { ...process.env, ...env } });
}

/** Starts the built server and leaves it running. */
export function startServer(args = [], env = {}, stdio = 'inherit') {
  return spawn(process.execPath, [SERVER, ...args], { cwd: ROOT, stdio, env: { ...process.env, ...env } });
}

/** Builds everything, or stops. */
export function build() {
  for (const [name, args, env] of BUILD) must(tool(name, args, env), 'The build');
}

/** Stops the process with a message when a step failed. */
export function must(status, what) {
  if (status === 0) return;
  process.stderr.write(`\n${what} failed. Nothing after it was run.\n`);
  process.exit(status);
}

/** Installs the packages of the lock file, unless exactly these are there already. */
export function installPackages() {
  const stamp = resolve(ROOT, 'node_modules/.installed-from');
  const wanted = createHash('sha256')
    .update(readFileSync(resolve(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing packages (about a minute the first time)');
  must(run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']), 'npm ci');
  writeFileSync(stamp, wanted);
}

/** Debian's packages that the tests look at the product with, by a file that each brings. */
const DEBIAN = { chromium: CHROMIUM, 'poppler-utils': '/usr/bin/pdftotext' };

/** Installs what is missing of Debian's packages: Chromium for the browser tests, poppler to read PDFs back. */
function installDebian(...names) {
  const missing = names.filter((name) => !existsSync(DEBIAN[name]));
  if (missing.length === 0) return;
  say(`Installing ${missing.join(' and ')} from Debian`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' });
  };
  must(apt('update', '-qq'), 'apt-get update');
  must(apt('install', '-y', '-qq', '--no-install-recommends', ...missing), `apt-get install ${missing.join(' ')}`);
}

export const installChromium = () => installDebian('chromium');

/** All that the tests need of Debian. */
export const installForTests = () => installDebian('chromium', 'poppler-utils');
