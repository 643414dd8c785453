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

/** Saves the whole shop and gives the path of the file. */
const saveShop = async (page: Page): Promise<string> => {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the whole shop' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/^wrack-thistle-shop-\d{4}-\d\d-\d\d\.json$/);
  return file.path();
};

const openFile = async (page: Page, path: string): Promise<void> => {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a file' }).click();
  await (await chooser).setFiles(path);
};

test('settings of the store move every charge', async ({ page }) => {
  await openProgram(page);
  if (isPhone(page)) {
    await page.getByRole('button', { name: 'Menu' }).click();
    await page.getByRole('menuitem', { name: 'Settings' }).click();
  } else await page.getByRole('link', { name: 'Settings' }).click();
  await fill(page, 'Handling on every charge', '1.23');
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(
    'Parcel, 18.53, was 17.30: how it adds up',
  );
  await closePreview(page);
  await fill(page, 'Round charges to', '0.25');
  await page.getByRole('button', { name: 'upwards' }).click();
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(/^Parcel, 18.75/);
  await closePreview(page);
  await page.getByRole('tab', { name: 'Taxes' }).click();
  await page.getByRole('checkbox', { name: 'Prices and charges include tax' }).click();
  await expect(choiceOf(await openPreview(page), 'Parcel')).toContainText('with 2.30 tax');
});

test('the shop goes out as a file, and a broken file is repaired fault by fault before it is taken', async ({
  page,
}, info) => {
  await openProgram(page, '/settings?part=data');
  const path = await saveShop(page);
  const shop = JSON.parse(readFileSync(path, 'utf8')) as {
    book: { rates: Record<string, unknown>[]; zones: { name: string }[] };
  };
  const broken = info.outputPath('broken.json');
  writeFileSync(
    broken,
    JSON.stringify({ ...shop, book: { ...shop.book, rates: [{ ...shop.book.rates[0], freefrom: 1 }] } }),
  );
  await openFile(page, broken);
  const repair = page.getByRole('region', { name: 'Repair broken.json' });
  await expect(repair).toContainText('1 fault to repair');
  await expect(repair).toContainText('There is no field named “freefrom” here.');
  await repair.getByRole('button', { name: /^Leave out book, rates, .*, freefrom$/ }).click();
  await repair.getByRole('button', { name: 'Open the repaired shop' }).click();
  await expect(page.getByRole('region', { name: 'Review of the file' })).toContainText('rates');
  await page.getByRole('button', { name: 'Cancel', exact: true }).click();
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(
    'Parcel, 17.30: how it adds up',
  );
});

test('a sound file is reviewed before it is taken, and one undo takes it back', async ({ page }, info) => {
  await openProgram(page, '/settings?part=data');
  const path = await saveShop(page);
  const shop = JSON.parse(readFileSync(path, 'utf8')) as {
    book: { zones: { name: string }[] };
    catalogue: { goods: unknown[] };
  };
  const other = info.outputPath('other.json');
  const zones = shop.book.zones.map((zone, at) => (at === 0 ? { ...zone, name: 'The coast' } : zone));
  const goods = shop.catalogue.goods.filter((_, at) => at > 0);
  writeFileSync(
    other,
    JSON.stringify({ ...shop, book: { ...shop.book, zones }, catalogue: { ...shop.catalogue, goods } }),
  );
  await openFile(page, other);
  const review = page.getByRole('region', { name: 'Review of the file' });
  await expect(review).toContainText('zones 1 changed: The coast');
  await expect(review).toContainText('products 1 gone: Lupin seeds');
  await review.getByRole('button', { name: 'Import into the draft' }).click();
  await waitUntilKept(page);
  await reopenProgram(page);
  const preview = await openPreview(page);
  await expect(preview.getByText('zone The coast, by Nova Scotia')).toBeVisible();
  await closePreview(page);
  await page.getByRole('button', { name: 'Undo: Imported other.json' }).click();
  await expect((await openPreview(page)).getByText('zone Maritimes, by Nova Scotia')).toBeVisible();
});

test('a file in which one pickup point alone is otherwise says so, change by change', async ({
  page,
}, info) => {
  await openProgram(page, '/settings?part=data');
  const shop = JSON.parse(readFileSync(await saveShop(page), 'utf8')) as {
    book: { pickups: { name: string; instructions?: string }[] };
  };
  const other = info.outputPath('pickup.json');
  const pickups = shop.book.pickups.map((point, at) =>
    at === 0 ? { ...point, instructions: 'Ring at the blue gate.' } : point,
  );
  writeFileSync(other, JSON.stringify({ ...shop, book: { ...shop.book, pickups } }));
  await openFile(page, other);
  const review = page.getByRole('region', { name: 'Review of the file' });
  await expect(review).toContainText(`pickup points 1 changed: ${pickups[0]?.name ?? ''}`);
  await review.getByRole('button', { name: 'Show each change' }).click();
  await expect(review.getByRole('list', { name: 'What changes, one by one' })).toContainText(
    'Ring at the blue gate.',
  );
  await review.getByRole('button', { name: 'Import into the draft' }).click();
  await expect(review).toHaveCount(0);
});
