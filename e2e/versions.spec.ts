import { test } from '@playwright/test';
import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeServer } from '../server/app.ts';
import { expect } from './browser.ts';
import { fill, ONCE, openProgram, waitUntilKept } from './program.ts';

/** A server with a copy of the program, which gets a new version while it is open. */
let folder = '';
let server: Server;
let origin = '';

test.use({ serviceWorkers: 'allow' });
test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'emporos-version-'));
  cpSync('dist', folder, { recursive: true });
  server = makeServer({ webRoot: folder }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
test.afterAll(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  rmSync(folder, { recursive: true });
});

test(
  'a new version is announced, taken with one press in each tab, and loses no edit',
  ONCE,
  async ({ context }) => {
    const [first, second] = [await context.newPage(), await context.newPage()];
    await openProgram(first, `${origin}/settings`);
    await first.evaluate(async () => {
      await navigator.serviceWorker.ready;
      if (!navigator.serviceWorker.controller)
        await new Promise((resolve) => navigator.serviceWorker.addEventListener('controllerchange', resolve));
    });
    await openProgram(second, `${origin}/goods`);
    const isNew = 'A new version of the program is here.';
    await expect(first.getByText(isNew)).toBeHidden();
    appendFileSync(join(folder, 'sw.js'), '\n// The next version.\n');
    await second.reload();
    await expect(second.getByText(isNew)).toBeVisible();
    await expect(first.getByText(isNew)).toBeVisible();
    await fill(first, 'Name of the shop', 'Kelp & Thistle');
    await first.getByRole('button', { name: 'Load it now' }).click();
    await expect(first.getByText(isNew)).toBeHidden();
    await expect(first.getByLabel('Name of the shop', { exact: true })).toHaveValue('Kelp & Thistle');
    await waitUntilKept(first);
    await expect(second.getByText('Another tab has taken a new version of the program.')).toBeVisible();
    await second.getByRole('button', { name: 'Load it now' }).click();
    await expect(second.getByRole('heading', { level: 1, name: 'Products' })).toBeVisible();
    await expect(second.getByRole('button', { name: 'Load it now' })).toBeHidden();
  },
);
