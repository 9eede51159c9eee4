// Two words on a fresh machine: installs, builds, migrates, loads demo data into an empty store, starts, prints the
// address.
import { existsSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { build, installPackages, ROOT, say, startServer } from './lib/run.mjs';

/** A flag given to this script, or to npm in front of it (`npm run demo --fresh`). */
const flag = (name) => process.argv.includes(`--${name}`) || process.env[`npm_config_${name}`] === 'true';
const fresh = flag('fresh');
const store = resolve(ROOT, process.env.SERRATA_DB ?? './data/serrata.db');

/** Asks before a store is thrown away; `--yes` answers beforehand, and without a terminal the answer is no. */
async function agreed() {
  if (!existsSync(store) || flag('yes')) return true;
  if (!process.stdin.isTTY) {
    say('--fresh would throw the store away. Say so with --yes, since there is nobody here to ask.');
    return false;
  }
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(`Throw away everything in ${store} and load the demo data again? (yes/no) `);
  ask.close();
  return answer.trim().toLowerCase() === 'yes';
}

if (fresh) {
  if (!(await agreed())) process.exit(1);
  for (const suffix of ['', '-wal', '-shm']) rmSync(store + suffix, { force: true });
}
installPackages();
say('Building');
build();
say('Starting');
const server = startServer(['--demo']);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
