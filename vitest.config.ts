import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/{reference,properties,architecture,server,cli}/**/*.test.ts'],
    testTimeout: 60_000,
    coverage: { include: ['src/core/**', 'src/wording/**', 'src/server/**', 'src/data/**'] },
  },
});
