import { spawn } from 'node:child_process';
import { expect, test } from './browser.ts';
import { ONCE } from './program.ts';

test.use({ loadsItself: true });

test(
  'a checkout of a shop’s own asks the quote service from another origin, and shows its charges and reasons',
  ONCE,
  async ({ page, baseURL }) => {
    const service = new URL(baseURL ?? '');
    const origin = `http://127.0.0.1:${Number(service.port) + 1}`;
    const example = spawn(process.execPath, ['--import', 'tsx', 'examples/serve.ts'], {
      env: { ...process.env, PORT: new URL(origin).port },
    });
    await new Promise((resolve) => example.stdout.once('data', resolve));
    await page.goto(`${origin}/?service=${service.origin}`);
    await page.getByLabel('Postal code').fill('B2G 2L2');
    const show = page.getByRole('button', { name: 'Show the delivery options' });
    await show.click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Parcel' })).toContainText('CA$17.30');
    await page.getByLabel('Language').selectOption('Français');
    await show.click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Colis' })).toContainText('17,30');
    await page.getByLabel('Country').selectOption('Germany');
    await page.getByLabel('Postal code').fill('10115');
    await page.getByLabel('Language').selectOption('English');
    await show.click();
    await expect(page.getByRole('heading', { name: 'This order cannot be placed' })).toBeVisible();
    await expect(page.getByRole('listitem').first()).not.toHaveText('');
    example.kill();
  },
);
