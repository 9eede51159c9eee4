import { defineConfig } from '@playwright/test';
import { LAUNCH } from './scripts/lib/chromium.mjs';

const PORT = 4391;

export default defineConfig({
  testDir: 'tests/end-to-end',
  outputDir: 'test-results/browser',
  // Machines differ in speed by a factor of five: these times only end what would never end.
  timeout: 600_000,
  expect: { timeout: 20_000 },
  workers: 1,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    actionTimeout: 30_000,
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Ines is at the bench unless a test says otherwise.
    storageState: {
      cookies: [
        {
          name: 'serrata-who',
          value: 'Ines%20Holloway',
          domain: '127.0.0.1',
          path: '/',
          expires: -1,
          httpOnly: false,
          secure: false,
          sameSite: 'Lax',
        },
      ],
      origins: [],
    },
    launchOptions: LAUNCH,
  },
  webServer: {
    command: 'rm -rf test-results/store && node dist/server/main.mjs --demo',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { SERRATA_DB: './test-results/store/e2e.db', PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 240_000,
  },
});
