import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import ui from '@nuxt/ui/vite';
import { defineConfig } from 'vitest/config';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const DESK = 'tests/unit/app/**/*.test.ts';

export default defineConfig({
  // Components of the desk are tested with the kit's own, and with what the desk imports by itself.
  plugins: [
    vue(),
    ui({
      router: false,
      autoImport: { imports: ['vue'], dirs: [here('./app/composables')], dts: false },
      components: { dirs: [], dts: false },
    }),
  ],
  resolve: {
    alias: [
      { find: /^~~\//, replacement: here('./') },
      { find: /^~\//, replacement: here('./app/') },
    ],
  },
  test: {
    // The desk's stores live as long as their page does: its tests have a fresh one each. What else is tested keeps
    // nothing between two calls, and is loaded once.
    projects: [
      { extends: true, test: { name: 'desk', include: [DESK] } },
      { extends: true, test: { name: 'core', include: ['tests/unit/**/*.test.ts'], exclude: [DESK], isolate: false } },
    ],
    testTimeout: 60_000,
    hookTimeout: 120_000,
    pool: 'forks',
    maxWorkers: 2,
  },
});
