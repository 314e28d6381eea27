import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const core = fileURLToPath(new URL('packages/core/src/', import.meta.url));

export default defineConfig({
  resolve: { alias: [{ find: /^@aftersquall\/core\/(\w+)$/, replacement: `${core}$1/index.ts` }] },
  test: {
    include: ['packages/**/*.test.ts', 'apps/**/*.test.{ts,tsx}', 'demo/**/*.test.ts'],
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
