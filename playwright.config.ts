import { defineConfig } from '@playwright/test';
import { EXAMPLE, GALLERY_PORT, PORT } from './e2e/ports.ts';

/** A program of ours that serves at a port once its health says so. */
const served = (program: string, port: number, env: Record<string, string> = {}) => ({
  command: `node ${program}`,
  env: { PORT: String(port), ...env },
  url: `http://127.0.0.1:${port}/health`,
  reuseExistingServer: false,
  timeout: 180_000,
});

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.emporos/test-results',
  snapshotPathTemplate: 'e2e/pictures/gallery-{arg}{ext}',
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
  webServer: [
    served('scripts/serve.mjs', PORT, { ORIGINS: EXAMPLE }),
    served('--import tsx scripts/serve-gallery.ts', GALLERY_PORT),
  ],
});
