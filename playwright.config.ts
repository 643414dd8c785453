import { defineConfig } from '@playwright/test';

const PORT = Number(process.env.E2E_PORT ?? 4311);
/** Where the example's checkout is served, which asks the server from a page of its own. */
const EXAMPLE = `http://127.0.0.1:${PORT + 1}`;

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.emporos/test-results',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  retries: 0,
  forbidOnly: true,
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '.emporos/playwright.json' }],
  ],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    contextOptions: { reducedMotion: 'reduce' },
    // Only the test of use without a network lets the worker in; the others load each file themselves.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--js-flags=--single-threaded-gc',
      ],
    },
  },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', grepInvert: /@once/, use: { viewport: { width: 1280, height: 800 } } },
  ],
  webServer: {
    command: 'node --import tsx server/main.ts',
    env: { PORT: String(PORT), ORIGINS: EXAMPLE },
    url: `http://127.0.0.1:${PORT}/health`,
    reuseExistingServer: false,
    timeout: 180_000,
  },
});
