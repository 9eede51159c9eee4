// Starts the shop on its own store: installs, and builds where anything is newer than what was built.
import { existsSync, readdirSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { SERVER } from './lib/build.mjs';
import { build, installPackages, ROOT, say, startServer } from './lib/run.mjs';

/** What is built of. */
const SOURCES = ['src', 'public', 'astro.config.mjs', 'package-lock.json'];

/** When anything of a file or a folder was changed last, ms. */
function changedAt(path) {
  const about = statSync(path);
  if (!about.isDirectory()) return about.mtimeMs;
  return Math.max(about.mtimeMs, ...readdirSync(path).map((name) => changedAt(resolve(path, name))));
}

function isBuilt() {
  const server = resolve(ROOT, SERVER);
  if (!existsSync(server)) return false;
  const built = statSync(server).mtimeMs;
  return SOURCES.every((source) => changedAt(resolve(ROOT, source)) <= built);
}

installPackages();
if (!isBuilt()) {
  say('Building');
  build();
}
say('Starting');
// A shop's own log has a line for each request.
const server = startServer(process.argv.slice(2), { LOG_LEVEL: process.env.LOG_LEVEL ?? 'info' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
