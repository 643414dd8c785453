import { readFileSync } from 'node:fs';
import { expect, test, type Page } from './browser.ts';
import {
  choiceOf,
  closePreview,
  fill,
  isPhone,
  ONCE,
  openProgram,
  reopenProgram,
  openPreview,
  waitUntilKept,
} from './program.ts';

const put = async (page: Page, good: string, times = 1): Promise<void> => {
  await page.getByLabel('Find', { exact: true }).fill(good);
  for (let time = 0; time < times; time += 1)
    await page.getByRole('button', { name: `Add ${good} to the basket` }).click();
};

const toCheckout = async (page: Page): Promise<void> => {
  await page.getByRole('link', { name: /^Basket/ }).click();
  await page.getByRole('button', { name: 'Go to checkout' }).click();
};

const choose = async (page: Page, label: string, text: string, name: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('button', { name, exact: true }).click();
};

const typeAddress = async (page: Page, code = 'B2G 2L2', province = 'Nova Scotia'): Promise<void> => {
  await page.getByLabel('Full name').fill('Ines Varga');
  await page.getByLabel('E-mail').fill('ines@example.org');
  await page.getByLabel('Street and number').fill('4 Tide Lane');
  await page.getByLabel('Town').fill('Antigonish');
  await page.getByLabel('Postal code').fill(code);
  await choose(page, 'Province or territory', province.slice(0, 4), province);
};

test('an order is placed with the very charge of the preview, and is still there after a reload', async ({
  page,
}) => {
  await openProgram(page, '/charges');
  const charge = await choiceOf(await openPreview(page), 'Parcel').innerText();
  expect(charge).toContain('17.30');
  await closePreview(page);
  if (isPhone(page)) {
    await page.getByRole('button', { name: 'Menu' }).click();
    await page.getByRole('menuitem', { name: 'Shopfront' }).click();
  } else {
    await page.getByRole('link', { name: 'Shopfront' }).click();
  }
  await expect(page.getByText('The shopfront, edition 1')).toBeVisible();
  await put(page, 'Glazed pot, 26 cm', 2);
  await toCheckout(page);
  await typeAddress(page);
  await expect(page.getByRole('radio', { name: 'Parcel, 17.30' })).toBeChecked();
  const sums = page.getByRole('region', { name: 'Order total' });
  await expect(sums).toContainText('GST, 5 %');
  await page.getByRole('radio', { name: 'Pallet, 66.56' }).click();
  await expect(sums).toContainText('156.82');
  await page.getByRole('radio', { name: 'Parcel, 17.30' }).click();
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: 'Thank you. Your order is 1001.' })).toBeVisible();
  await expect(page.getByText('100.67')).toBeVisible();
  await waitUntilKept(page);
  await reopenProgram(page);
  await expect(page.getByText('100.67')).toBeVisible();
  await page.getByRole('button', { name: /look at it in the preview/ }).click();
  const preview = await openPreview(page);
  await expect(preview).toContainText('Order 1001');
  await expect(choiceOf(preview, 'Parcel')).toContainText('17.30');
});

/** Texts that do not fit where they stand. */
const clippedOn = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('[lang="fr"] *')]
      .filter(
        (one) => one.childElementCount === 0 && one.scrollWidth > one.clientWidth + 1 && one.clientWidth > 0,
      )
      .map((one) => one.textContent ?? ''),
  );

test('a customer reads, is told what is wrong, and orders in French; the merchant reads English', async ({
  page,
}) => {
  await openProgram(page, '/shop');
  await page.getByRole('button', { name: 'Français' }).click();
  await expect(page.getByRole('heading', { name: 'Tous les articles' })).toBeVisible();
  await page.getByLabel('Chercher').fill('émaillé, 26');
  await page.getByRole('button', { name: 'Ajouter Pot émaillé, 26 cm au panier' }).click();
  await page.getByRole('link', { name: 'Panier, 1 article' }).click();
  expect(await clippedOn(page)).toEqual([]);
  await page.getByRole('button', { name: 'Passer la commande' }).click();
  await page.getByLabel('Code postal').fill('B2G 2L');
  await page.getByRole('button', { name: 'Commander', exact: true }).click();
  await expect(page.getByText('« B2G 2L » ne convient pas à ce pays (code postal).').first()).toBeVisible();
  await page.getByLabel('Nom complet').fill('Ines Varga');
  await page.getByLabel('Courriel').fill('ines@example.org');
  await page.getByLabel('Numéro et rue').fill('4 Tide Lane');
  await page.getByLabel('Ville').fill('Antigonish');
  await page.getByLabel('Code postal').fill('B2G 2L2');
  await expect(page.getByLabel('Province ou territoire')).toHaveValue('Nouvelle-Écosse');
  await expect(page.getByRole('radio', { name: /^Colis, \d+,\d\d$/ })).toBeChecked();
  await expect(page.getByRole('region', { name: 'Total de la commande' })).toContainText('TPS, 5 %');
  expect(await clippedOn(page)).toEqual([]);
  await page.getByRole('button', { name: 'Commander', exact: true }).click();
  await expect(
    page.getByRole('heading', { name: 'Merci. Votre commande porte le numéro 1001.' }),
  ).toBeVisible();
  await expect(page.getByText('Colis')).toBeVisible();
  expect(await clippedOn(page)).toEqual([]);
  await reopenProgram(page, '/settings?part=orders');
  await page.getByRole('button', { name: 'More about order 1001' }).click();
  await expect(page.getByText('Ordered in French, as “Colis”.')).toBeVisible();
  await expect(page.getByText(/^products \d+\.\d\d · Parcel \d+\.\d\d · taxes .* · total/)).toBeVisible();
});

test('a wrong postal code is told at its field, and nothing is ordered', async ({ page }) => {
  await openProgram(page, '/shop');
  await put(page, 'Hand trowel');
  await toCheckout(page);
  await typeAddress(page);
  await page.getByLabel('Postal code').fill('B2G 2');
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByText('“B2G 2” is not a valid postal code for this country.').first()).toBeVisible();
  await page.getByLabel('Postal code').fill('M5V 1J1');
  await expect(page.getByText('“M5V 1J1” is in Ontario, not in Nova Scotia.').first()).toBeVisible();
  await choose(page, 'Country', 'Germ', 'Germany');
  await expect(page.getByLabel('Province or territory')).toBeHidden();
  await page.getByLabel('Postal code').fill('10115');
  await expect(page.getByText('We cannot take this order as it is.')).toBeVisible();
  await expect(page.getByText(/is not a valid postal code for this country/)).toBeHidden();
});

/** Over the strait, where no carrier prices a rate. */
const NEWFOUNDLAND = ['A1C 1A1', 'Newfoundland and Labrador'] as const;

test('the customer who cannot buy is told why, and a change of the rule lets them', async ({ page }) => {
  await openProgram(page, '/shop');
  await put(page, 'Glazed urn, 48 cm', 40);
  await toCheckout(page);
  await typeAddress(page, ...NEWFOUNDLAND);
  const told = page.getByRole('alert').filter({ hasText: 'We cannot take this order as it is.' });
  await expect(told).toContainText('Parcel takes up to 30 kg; your basket weighs 560 kg.');
  await expect(told).toContainText('Take something out, or place two smaller orders.');
  await reopenProgram(page, '/charges?service=pallet&zone=newfoundland');
  await page.getByRole('button', { name: 'Limits, handling and more' }).click();
  await fill(page, 'Weight, at most', '900 kg');
  await waitUntilKept(page);
  await reopenProgram(page, '/shop/checkout');
  await typeAddress(page, ...NEWFOUNDLAND);
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'Serve the draft' }).click();
  await expect(page.getByRole('radio', { name: /^Pallet/ })).toBeVisible();
});

test('the delivery page says what checkout charges, and is saved as a page that needs no script', async ({
  page,
}) => {
  await openProgram(page, '/shop');
  await page.getByRole('link', { name: 'Delivery and pickup' }).click();
  const maritimes = page.getByRole('list', { name: /^Nova Scotia, New Brunswick/ });
  await expect(maritimes.getByRole('listitem').filter({ hasText: 'Seed mail' })).toContainText('2.10');
  await expect(page.getByRole('heading', { name: 'Collect at the Nursery' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: /save as a web page/ }).click();
  const html = readFileSync(await (await download).path(), 'utf8');
  await page.getByRole('link', { name: 'Wrack & Thistle: all products' }).click();
  await put(page, 'Lupin seeds');
  await toCheckout(page);
  await typeAddress(page);
  await expect(page.getByRole('radio', { name: 'Seed mail, 2.10' })).toBeVisible();
  const saved = await (await page.context().browser()?.newContext({ javaScriptEnabled: false }))?.newPage();
  if (!saved) throw new Error('no page to show it in');
  await saved.setContent(html);
  await expect(saved.getByRole('heading', { level: 1 })).toHaveText('Wrack & Thistle: Delivery and pickup');
  await expect(saved.getByRole('row', { name: /^Seed mail/ }).first()).toContainText('2.10');
  await expect(saved.getByRole('listitem').filter({ hasText: 'brass bell' })).toBeVisible();
  await saved.context().close();
});

test('the delivery page is saved by keys as a tariff to be printed', ONCE, async ({ page }) => {
  await openProgram(page, '/shop/delivery');
  const save = page.getByRole('button', { name: 'Save as a printed tariff (PDF)' });
  await save.focus();
  const tariff = page.waitForEvent('download');
  await page.keyboard.press('Enter');
  const download = await tariff;
  expect(download.suggestedFilename()).toMatch(/-delivery-en-.*\.pdf$/);
  expect(
    readFileSync(await download.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});

test(
  'a slow press counts though the page moves under it, and one that slides off does not',
  ONCE,
  async ({ page }) => {
    await openProgram(page, '/shop');
    await put(page, 'Hand trowel');
    await toCheckout(page);
    const order = page.getByRole('button', { name: 'Place the order' });
    const press = async (meanwhile: () => Promise<void>): Promise<void> => {
      await order.scrollIntoViewIfNeeded();
      const box = await order.boundingBox();
      if (!box) throw new Error('the button is not drawn');
      await page.mouse.move(box.x + 20, box.y + 20);
      await page.mouse.down();
      await meanwhile();
      await page.mouse.up();
    };
    const lacking = page.getByRole('alert').filter({ hasText: 'Full name is needed.' });
    await press(() => page.mouse.move(5, 5));
    await expect(lacking).toHaveCount(0);
    await press(() =>
      order.evaluate((button) => {
        const line = document.createElement('div');
        line.style.minHeight = '90px';
        button.before(line);
      }),
    );
    await expect(lacking.first()).toBeVisible();
  },
);

test('the list of products is whole in a browser that is never idle', async ({ page }) => {
  await openProgram(page, '/shop');
  const busy = await page.context().newPage();
  await busy.addInitScript(() => Object.assign(window, { requestIdleCallback: () => 0 }));
  await busy.goto('/shop');
  await expect(busy.getByRole('link', { name: 'Lupin seeds' })).toBeVisible();
  await expect(busy.getByRole('link', { name: 'Planting plan, PDF' })).toBeAttached();
  await busy.close();
});

test('a browser can fill in the checkout, and a phone shows keys for figures', ONCE, async ({ page }) => {
  await openProgram(page, '/shop');
  await put(page, 'Slate labels, 12');
  await toCheckout(page);
  const tokens = {
    'E-mail': 'email',
    Phone: 'tel',
    'Full name': 'shipping name',
    'Street and number': 'shipping address-line1',
    Town: 'shipping address-level2',
    'Postal code': 'shipping postal-code',
  };
  for (const [label, token] of Object.entries(tokens))
    await expect(page.getByLabel(label, { exact: true })).toHaveAttribute('autocomplete', token);
  await expect(page.getByLabel('Phone', { exact: true })).toHaveAttribute('inputmode', 'tel');
  await openProgram(page, '/charges?zone=west&service=parcel');
  await expect(page.getByLabel('Charge from 0 kg', { exact: true })).toHaveAttribute('inputmode', 'decimal');
  await expect(page.getByLabel('Weight from, step 1')).not.toHaveAttribute('inputmode', /./);
});

test('letters in a field are large enough for a phone not to zoom in on it', ONCE, async ({ page }) => {
  for (const path of ['/charges?zone=west&service=parcel', '/goods?good=pot-26', '/shop', '/settings']) {
    await openProgram(page, path);
    const field = page.locator('input:not([type="hidden"]), textarea');
    await expect(field.first()).toBeVisible();
    const sizes = await field.evaluateAll((all) =>
      all.map((one) => parseFloat(getComputedStyle(one).fontSize)),
    );
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual(16);
  }
});
