import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/browser.mjs';

export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/e2e/demo.ts',
  outputDir: 'test-results',
  workers: 2,
  fullyParallel: false,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  // A browser on a busy machine may miss a beat; what passes only at the second try is named at the end of the check.
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'out/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: browserPath(),
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--disable-component-update',
      ],
    },
  },
});
