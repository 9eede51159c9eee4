import { defineConfig } from '@playwright/test';
import { LAUNCH } from './scripts/lib/chromium.mjs';

/** As many servers as tests that run at once. */
const WORKERS = 2;
const FIRST_PORT = 4391;

export const addressOf = (worker: number): string => `http://127.0.0.1:${FIRST_PORT + worker}`;

export default defineConfig({
  testDir: 'tests/end-to-end',
  outputDir: 'test-results/browser',
  // Machines differ in speed by a factor of five: these times only end what would never end.
  timeout: 600_000,
  expect: { timeout: 20_000 },
  workers: WORKERS,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    // Tests of one browser share its context, emptied between them: opening one costs more than most tests.
    reuseContext: true,
    // Pages come from the server, but for the tests of what opens without it.
    serviceWorkers: 'block',
    actionTimeout: 30_000,
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
  webServer: Array.from({ length: WORKERS }, (_, worker) => ({
    command: `rm -rf test-results/store-${worker} && node dist/server/main.mjs --demo`,
    url: `${addressOf(worker)}/api/health`,
    env: { SERRATA_DB: `./test-results/store-${worker}/e2e.db`, PORT: String(FIRST_PORT + worker) },
    reuseExistingServer: false,
    timeout: 240_000,
  })),
});
