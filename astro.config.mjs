process.env.ASTRO_TELEMETRY_DISABLED = '1';
process.env.ASTRO_DISABLE_UPDATE_CHECK = 'true';

import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

/** Where the compiler works: it makes a screen heavier, and only the job's is drawn anew with every key. */
const isDrawnAtEachKey = (file) => /\/src\/(islands\/job|ui)\//.test(file);

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react({ babel: { plugins: [['babel-plugin-react-compiler', { sources: isDrawnAtEachKey }]] } })],
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
  vite: { plugins: [tailwindcss()], build: { assetsInlineLimit: 0 } },
});
