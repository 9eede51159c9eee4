process.env.ASTRO_TELEMETRY_DISABLED = '1';
process.env.ASTRO_DISABLE_UPDATE_CHECK = 'true';

import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

/**
 * Some packages are built so that every function keeps its name, by a call that nothing can be taken out behind. Said to be without effect, what is not used goes, and
 * the names with it.
 */
const withoutNames = {
  name: 'without-names',
  transform: (code, id) =>
    id.includes('/node_modules/') && code.includes('__name(')
      ? { code: code.replace(/^(\s*)__name\(/gm, '$1/* @__PURE__ */ __name('), map: null }
      : null,
};

/** React's integration with a renderer of our own on the server: src/layouts/react-at-once.ts. */
function reactAtOnce() {
  const usual = react();
  const setUp = usual.hooks['astro:config:setup'];
  const serverEntrypoint = fileURLToPath(new URL('./src/layouts/react-at-once.ts', import.meta.url));
  return {
    ...usual,
    hooks: {
      ...usual.hooks,
      'astro:config:setup': (given) =>
        setUp({ ...given, addRenderer: (renderer) => given.addRenderer({ ...renderer, serverEntrypoint }) }),
    },
  };
}

/** The folder of `src/wording` whose language is spoken. */
const language = process.env.SERRATA_LANGUAGE || 'en';
const spoken = fileURLToPath(new URL(`./src/wording/${language}`, import.meta.url));
if (!existsSync(spoken)) throw new Error(`SERRATA_LANGUAGE=${language}: there is no folder src/wording/${language}.`);

export default defineConfig({
  output: 'server',
  outDir: process.env.SERRATA_BUILD || './dist',
  // Only src/server/main.ts opens a door, so that there is one guard at it.
  adapter: node({ mode: 'middleware' }),
  integrations: [reactAtOnce()],
  session: { driver: 'memory' },
  devToolbar: { enabled: false },
  // Checked in src/middleware.ts, which knows JSON requests and the address behind a proxy.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "object-src 'none'",
        "base-uri 'self'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  server: { host: '127.0.0.1' },
  vite: {
    resolve: { alias: { '#language': spoken } },
    plugins: [tailwindcss(), withoutNames],
    build: {
      assetsInlineLimit: 0,
      // Views are fetched ahead while nothing else is to do: what lists their parts for the browser would weigh more than it gains.
      modulePreload: false,
      // Some sixty parts of a few hundred bytes each take longer to fetch than they save.
      rollupOptions: { output: { experimentalMinChunkSize: 6000 } },
      // Slower than the usual one, and some percent lighter; a third pass gains nothing.
      minify: language === 'en' ? 'terser' : false,
      terserOptions: { compress: { passes: 2, ecma: 2020, keep_fargs: false }, ecma: 2020, module: true },
    },
  },
});
