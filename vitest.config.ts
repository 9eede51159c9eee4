import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/{reference,properties,architecture,server,cli}/**/*.test.ts'],
    // Machines differ in speed by a factor of five: these times only end what would never end.
    testTimeout: 300_000,
    hookTimeout: 300_000,
    coverage: { include: ['src/core/**', 'src/wording/**', 'src/server/**', 'src/data/**'] },
  },
});
