import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from './browser.ts';
import {
  choiceOf,
  closePreview,
  fill,
  isPhone,
  openProgram,
  reopenProgram,
  openPreview,
  waitUntilKept,
} from './program.ts';

const openCsv = async (page: Page, path: string): Promise<void> => {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a CSV' }).click();
  await (await chooser).setFiles(path);
};

test('a weight edited where it stands moves the preview', async ({ page }) => {
  await openProgram(page, '/goods');
  await page.getByLabel('Find products').fill('pot 26');
  if (isPhone(page)) {
    await page.getByRole('button', { name: /^Glazed pot, 26 cm/ }).click();
    await fill(page, 'Weight', '9.5 kg');
  } else {
    await page
      .getByRole('gridcell', { name: /^Weight: / })
      .first()
      .click();
    await page.getByLabel(/^Weight of Glazed pot, 26 cm/).fill('9.5 kg');
  }
  const preview = await openPreview(page);
  await expect(preview).toContainText('19 kg');
  await closePreview(page);
  await page.getByRole('button', { name: /^Undo: Glazed pot, 26 cm/ }).click();
  await expect(await openPreview(page)).toContainText('6.4 kg');
});

test('the table is walked and edited by keys alone', async ({ page }) => {
  test.skip(isPhone(page), 'the grid is for the wide page');
  await openProgram(page, '/goods');
  await page.getByRole('gridcell', { name: /^Product: Lupin seeds/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('gridcell', { name: 'Price: 3.75' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Price of Lupin seeds')).toBeFocused();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('3.95');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Price of Foxglove seeds')).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('gridcell', { name: 'Price: 3.95' }).first()).toBeFocused();
  await page.keyboard.press('Control+End');
  await expect(page.getByRole('row').last().getByRole('gridcell', { name: /^Size/ })).toBeFocused();
});

test('a CSV with faults is reviewed, its sound rows taken, and taken back', async ({ page }, info) => {
  await openProgram(page, '/goods');
  const path = info.outputPath('stock.csv');
  writeFileSync(
    path,
    [
      'Article;Title;Sale price;Weight (lb);Dimensions',
      'seed-lupin;Lupin seeds;4.10;0.5;11x8x0.3 cm',
      'urn;Garden urn;88.00;7 lb 4 oz;40 x 40 x 55',
      'bad;Broken row;twelve;heavy;18x18',
      'seed-lupin;Again;1.00;;',
    ].join('\n'),
  );
  await openCsv(page, path);
  const review = page.getByRole('region', { name: 'What would change' });
  await expect(review).toContainText(
    'row 4, Price: “twelve” was not understood: write an amount, such as 12.50.',
  );
  await expect(review).toContainText('row 4, Weight: “heavy” was not understood');
  await expect(review).toContainText('row 5, Stock number: “seed-lupin” is already in row 2.');
  await expect(review).toContainText('weight 12 g 226.8 g');
  await page.getByRole('button', { name: 'Import 2 rows without faults' }).click();
  await page.getByLabel('Find products').fill('garden urn');
  await expect(page.getByText(isPhone(page) ? '3.289 kg · 40 × 40 × 55 cm' : '3.289 kg')).toBeVisible();
  await waitUntilKept(page);
  await reopenProgram(page);
  await page.getByRole('button', { name: 'Undo: Imported stock.csv' }).click();
  await page.getByLabel('Find products').fill('garden urn');
  await expect(page.getByText('No product matches.')).toBeVisible();
});

test('goods saved as a CSV are the same goods when it is opened', async ({ page }) => {
  await openProgram(page, '/goods');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const path = await (await download).path();
  expect(readFileSync(path, 'utf8')).toContain('seed-lupin,Lupin seeds,3.75,physical,12 g,110x80x3 mm');
  await openCsv(page, path);
  await expect(page.getByText('Nothing would change.')).toBeVisible();
});

test('a reason about a weight leads to the goods that lack one', async ({ page }) => {
  await openProgram(page, '/goods?good=pot-26');
  await fill(page, 'Weight', '');
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toHaveCount(0);
  const fold = preview.getByText('open', { exact: true }).first();
  if (await fold.isVisible()) await fold.click();
  await preview.getByRole('link', { name: /^Parcel: The weight of Glazed pot, 26 cm is not known/ }).click();
  await expect(page.getByRole('button', { name: /^3 incomplete/ })).toBeVisible();
  await expect(page.getByText(isPhone(page) ? /weight missing/ : 'missing').first()).toBeVisible();
});

test('a group keeps its goods from a service, and the reason leads back to the group', async ({ page }) => {
  await openProgram(page, '/goods');
  await page.getByRole('button', { name: 'Handling groups' }).click();
  await page.getByRole('button', { name: /^Pots/ }).click();
  await page.getByRole('button', { name: 'some services', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Parcel' }).click();
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toHaveCount(0);
  await expect(choiceOf(preview, 'Pallet')).toBeVisible();
  const fold = preview.getByText('open', { exact: true }).first();
  if (await fold.isVisible()) await fold.click();
  await preview.getByRole('link', { name: /^Parcel: Pots are not carried by Parcel/ }).click();
  await expect(page.getByLabel('Handling group', { exact: true })).toHaveValue('Pots');
});

test('a group leads to its products and back; a product that is opened leaves the list as it was', async ({
  page,
}) => {
  await openProgram(page, '/goods?panel=groups&group=live-plants');
  await page.getByRole('button', { name: /^See its \d+ products$/ }).click();
  await expect(page.getByText('Only products in Live plants')).toBeVisible();
  await expect(page.getByText('Maidenhair fern').first()).toBeVisible();
  await expect(page.getByText('Hand trowel')).toHaveCount(0);
  await page.getByRole('button', { name: 'To the group' }).click();
  await expect(page.getByRole('heading', { name: 'Handling groups' })).toBeVisible();
  await page.getByRole('button', { name: /^See its \d+ products$/ }).click();
  await page.getByRole('button', { name: 'Show all products' }).click();
  await expect(page.getByText('Only products in Live plants')).toHaveCount(0);
  await expect(page.getByText('Lupin seeds').first()).toBeVisible();
});

test('a table leads to the rates that it prices, and they to it', async ({ page }) => {
  await openProgram(page, '/charges?part=tables');
  await page.getByRole('button', { name: /^Pallets in the West/ }).click();
  await page.getByRole('button', { name: 'Pallet to West', exact: true }).click();
  await expect(page).toHaveURL(/zone=west&service=pallet/);
});
