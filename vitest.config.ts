import { defineConfig } from 'vitest/config';

// Machines differ in speed by a factor of five: these times only end what would never end.
const times = { testTimeout: 300_000, hookTimeout: 300_000 };

export default defineConfig({
  test: {
    maxWorkers: 2,
    coverage: { include: ['src/core/**', 'src/wording/**', 'src/server/**', 'src/data/**'] },
    projects: [
      {
        // Nothing here keeps anything between tests: modules are loaded once a thread.
        test: {
          ...times,
          name: 'core',
          include: ['src/**/*.test.{ts,tsx}', 'tests/{reference,properties}/**/*.test.ts'],
          pool: 'threads',
          isolate: false,
        },
      },
      {
        test: {
          ...times,
          name: 'store',
          include: ['tests/{architecture,server,cli}/**/*.test.ts'],
          globalSetup: 'tests/support/prepare.ts',
          isolate: false,
        },
      },
    ],
  },
});
