// Development server with the store migrated and demo data loaded; pages reload as files change.
import { installPackages, must, say, start, tool } from './lib/run.mjs';

installPackages();
say('Preparing the store');
must(tool('tsx', ['scripts/prepare-store.ts']), 'Preparing the store');
const server = start('astro', ['dev'], { ASTRO_TELEMETRY_DISABLED: '1' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
