import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { findChromium } from './chromium.mjs';
import { exportApp } from './export.mjs';
import { ROOT } from './phases.mjs';

/** Takes the pictures of docs/screenshots from the demo shop: each main view, on a phone and wide; with names, of those alone. */
const PORT = 4317;
const SIZES = { phone: { width: 390, height: 844 }, wide: { width: 1280, height: 800 } };

const fill = async (page, label, text) => {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByLabel(label, { exact: true }).fill(text);
};
const previewOf = async (page) => {
  const strip = page.getByTestId('preview-strip');
  if (await strip.isVisible()) await strip.click();
};

const VIEWS = {
  today: { path: '/today', act: (page) => page.getByText('Today', { exact: true }).last().waitFor() },
  nearby: {
    path: '/reach?part=nearby',
    act: async (page) => {
      await page.getByRole('img', { name: /^The neighbourhood: [1-9]/ }).waitFor();
      await page.getByRole('button', { name: 'Larger' }).click();
      await page.waitForTimeout(1_500);
    },
  },
  reach: {
    path: '/reach',
    act: async (page) => {
      await page.getByRole('button', { name: 'Larger' }).waitFor();
      await page.getByLabel('Where would this code fall?').fill('X0A 0H0, J0M 1C0');
    },
  },
  charges: { path: '/charges' },
  goods: {
    path: '/goods',
    sizes: ['wide'],
    act: (page) =>
      page
        .getByRole('row', { name: /Lupin seeds/ })
        .first()
        .waitFor(),
  },
  delivery: {
    path: '/shop/delivery',
    sizes: ['wide'],
    act: (page) => page.getByRole('heading', { name: 'Brought to you' }).waitFor(),
  },
  checkout: {
    path: '/shop',
    act: async (page) => {
      for (const good of ['Heather, young', 'Heather, young', 'Lupin seeds'])
        await page.getByRole('button', { name: `Add ${good} to the basket` }).click();
      await page.getByRole('link', { name: /^Basket/ }).click();
      await page.getByRole('button', { name: 'Go to checkout' }).click();
      await page.getByLabel('Full name').fill('Ines Varga');
      await page.getByLabel('Street and number').fill('4 Tide Lane');
      await page.getByLabel('Town').fill('Halifax');
      await page.getByLabel('Postal code').fill('B3H 2Y9');
      await page.getByLabel('Province or territory').fill('Nova');
      await page.getByRole('button', { name: 'Nova Scotia', exact: true }).click();
      const cart = page.getByRole('radio', { name: /^Electric cart, \d/ });
      await cart.click();
      await page.getByRole('radiogroup', { name: 'The time' }).getByRole('radio').first().click();
      await cart.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    },
  },
  adjustments: {
    path: '/charges?part=adjustments',
    sizes: ['wide'],
    act: (page) =>
      page
        .getByText(/^Affects /)
        .nth(4)
        .waitFor({ timeout: 60_000 }),
  },
  problems: {
    path: '/check?part=problems',
    sizes: ['wide'],
    act: async (page) => {
      await page.getByRole('button', { name: /^“Frost on the road”: Live plants/ }).click();
      await page.getByRole('list', { name: 'Ways to fix it' }).waitFor();
    },
  },
  publish: {
    path: '/check?part=publish',
    sizes: ['wide'],
    act: (page) => page.getByRole('group', { name: 'Past orders' }).waitFor({ timeout: 60_000 }),
  },
  costs: {
    path: '/charges?part=costs',
    sizes: ['wide'],
    act: (page) =>
      page.getByRole('table', { name: 'Margin by zone and service' }).waitFor({ timeout: 60_000 }),
  },
  rate: {
    path: '/charges?zone=maritimes&service=parcel',
    sizes: ['wide'],
    act: (page) => fill(page, 'Charge from 5 kg', '10.50'),
  },
  preview: {
    path: '/charges',
    act: async (page) => {
      await previewOf(page);
      await page.keyboard.press('w');
      await page
        .getByRole('button', { name: /^1 parcel/ })
        .last()
        .click();
      await page.getByRole('list', { name: 'Parcels' }).scrollIntoViewIfNeeded();
    },
  },
};

await exportApp();
const server = spawn(process.execPath, ['scripts/serve.mjs'], {
  cwd: ROOT,
  env: { ...process.env, PORT: String(PORT) },
});
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: await findChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});

const shoot = async (name, size) => {
  const context = await browser.newContext({ viewport: SIZES[size], reducedMotion: 'reduce' });
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${PORT}${VIEWS[name].path}`);
  // The page that is served has its heading before the program runs.
  await page.locator('h1:not([aria-busy] *)').first().waitFor();
  await VIEWS[name].act?.(page);
  // A part that is loaded when it is first opened has arrived.
  await page.waitForFunction(() => !document.querySelector('[aria-busy="true"]'));
  await page
    .getByText(/: asking .* …$/)
    .first()
    .waitFor({ state: 'detached' });
  await page.mouse.move(0, 0);
  await page.waitForTimeout(500);
  const file = `docs/screenshots/${name}-${size}.png`;
  await page.screenshot({ path: file });
  console.log(file);
  await context.close();
};

const asked = process.argv.slice(2);
for (const [name, { sizes = Object.keys(SIZES) }] of Object.entries(VIEWS))
  if (asked.length === 0 || asked.includes(name)) for (const size of sizes) await shoot(name, size);
await browser.close();
server.kill();
