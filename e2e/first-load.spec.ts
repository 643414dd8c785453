import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { expect, test } from './browser.ts';
import { ONCE, openProgram, waitUntilKept } from './program.ts';

test.use({ loadsItself: true });

/** The most that each place may load before it is idle, in kB of JavaScript, gzipped: a loss is seen, a gain is written in. */
const BUDGETS = JSON.parse(readFileSync(join(__dirname, 'first-load.json'), 'utf8')) as Record<
  string,
  number
>;

test('each place of the program loads no more than its budget', ONCE, async ({ context }) => {
  const loaded: Record<string, number> = {};
  const sizes = new Map<string, number>();
  for (const path of Object.keys(BUDGETS)) {
    const page = await context.newPage();
    const scripts = new Set<string>();
    page.on('request', (request) => {
      if (new URL(request.url()).pathname.endsWith('.js')) scripts.add(request.url());
    });
    await page.goto(path);
    await expect(page.locator('h1:not([aria-busy] *)').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    for (const url of scripts) {
      if (sizes.has(url)) continue;
      const body = await (await context.request.get(url)).body();
      sizes.set(url, gzipSync(body, { level: 9 }).length);
    }
    const bytes = [...scripts].reduce((sum, url) => sum + (sizes.get(url) ?? 0), 0);
    loaded[path] = Math.ceil(bytes / 1000);
    await page.close();
  }
  for (const [path, most] of Object.entries(BUDGETS))
    expect.soft(loaded[path], `kB of JavaScript at ${path}`).toBeLessThanOrEqual(most);
});

test('a shop of somebody’s own is not given the orders of the demo', ONCE, async ({ page }) => {
  await openProgram(page, '/begin');
  await page.getByRole('button', { name: 'Skip the questions: an empty book' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Reach' })).toBeVisible();
  await waitUntilKept(page);
  const asked: string[] = [];
  page.on('request', (request) => void asked.push(new URL(request.url()).pathname));
  await page.goto('/today');
  await expect(page.getByRole('list', { name: 'Still to do' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  expect(asked.some((path) => path.includes('/checker-'))).toBe(true);
  expect(asked.filter((path) => path.includes('/demo-orders-'))).toEqual([]);
});
