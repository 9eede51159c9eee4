// Makes the service worker: it knows by name every file of the build that it keeps.
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { build } from 'esbuild';
import { getManifest } from 'workbox-build';

const CLIENT = process.argv[2] ?? 'dist/client';

const { manifestEntries } = await getManifest({
  globDirectory: CLIENT,
  globPatterns: ['**/*.{js,css,svg,png,woff2,webmanifest}'],
  globIgnores: ['worker.js'],
});
const files = manifestEntries.map(({ url }) => `/${url}`).toSorted();
const name = createHash('sha256')
  .update(JSON.stringify(manifestEntries.map(({ url, revision }) => `${url} ${revision}`).toSorted()))
  .digest('hex')
  .slice(0, 12);
await build({
  entryPoints: ['src/offline/worker.ts'],
  outfile: join(CLIENT, 'worker.js'),
  bundle: true,
  minify: true,
  target: 'es2022',
  define: { BUILD: JSON.stringify(name), FILES: JSON.stringify(files) },
  logLevel: 'warning',
});
