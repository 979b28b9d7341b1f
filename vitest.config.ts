import { defineConfig } from 'vitest/config';

// Screens are drawn whole and pressed all over in one test each.
export default defineConfig({
  test: { include: ['web/**/*.test.{ts,tsx}', 'tests/Web/**/*.test.{ts,tsx}'], testTimeout: 120_000 },
});
