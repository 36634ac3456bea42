import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  resolve: { alias: [{ find: /^~~\//, replacement: here('./') }, { find: /^~\//, replacement: here('./app/') }] },
  test: { include: ['tests/unit/**/*.test.ts'], testTimeout: 60_000, hookTimeout: 120_000, pool: 'forks', maxWorkers: 2 },
});
