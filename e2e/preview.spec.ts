import { expect, test } from './browser.ts';
import {
  chooseTestOrder,
  choiceOf,
  fill,
  isPhone,
  openProgram,
  reopenProgram,
  openPreview,
  waitUntilKept,
} from './program.ts';

test('the test order is changed in place and kept as a new one', async ({ page }) => {
  await openProgram(page);
  const preview = await openPreview(page);
  await preview.getByRole('button', { name: 'Keep as a new test order' }).click();
  await expect(preview.getByText('Test order 2 of 21')).toBeVisible();
  await fill(page, 'Test order', 'Two pots to Vancouver');
  await page.getByLabel('Province or state', { exact: true }).click();
  await page.keyboard.type('british');
  await page.getByRole('button', { name: 'British Columbia' }).click();
  await fill(page, 'Postal code', 'V6B 1A1');
  await expect(preview.getByText('zone West, by British Columbia')).toBeVisible();
  await fill(page, 'How many: Glazed pot, 26 cm', '4');
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName(/^Parcel, 25.70/);
  await waitUntilKept(page);
  await reopenProgram(page);
  const again = await openPreview(page);
  await expect(again.getByRole('heading', { name: 'Two pots to Vancouver' })).toBeVisible();
});

test('goods are added by name and taken out; a closed country is told', async ({ page }) => {
  await openProgram(page);
  const preview = await openPreview(page);
  await preview.getByRole('button', { name: 'Change the test order' }).click();
  await page.getByLabel('Add a product', { exact: true }).click();
  await page.keyboard.type('trow');
  await page.getByRole('button', { name: 'Hand trowel' }).click();
  await page.getByRole('button', { name: 'Remove Glazed pot, 26 cm' }).click();
  await expect(choiceOf(preview, 'Seed mail')).toHaveCount(0);
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName(/^Parcel, 10.30/);
  await page.getByLabel('Country', { exact: true }).click();
  await page.keyboard.type('cuba');
  await page.getByRole('button', { name: 'Cuba' }).click();
  await expect(preview.getByText('The shop does not sell to B2G2L2 in Cuba.').first()).toBeVisible();
});

test('an unknown weight is named, not taken as nothing', async ({ page }) => {
  await openProgram(page);
  const preview = await chooseTestOrder(page, 'A planter of unknown weight');
  await expect(preview.getByText('The weight of Salt-glaze planter is not known.').first()).toBeVisible();
});

test('the moment of the order moves the days', async ({ page }) => {
  await openProgram(page);
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toContainText('Thu 26 to Mon 30 Nov');
  await preview.getByRole('button', { name: 'Change the test order' }).click();
  await fill(page, 'at', '14:00');
  await expect(choiceOf(preview, 'Parcel')).toContainText('Fri 27 Nov to Tue 1 Dec');
});

test('the keys do what their list says', async ({ page }) => {
  await openProgram(page);
  await openPreview(page);
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Seeds to Toronto' })).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.getByRole('list', { name: 'How it adds up' }).first()).toBeVisible();
  await page.keyboard.press('[');
  await page.keyboard.press('t');
  await expect(page.getByLabel('Postal code', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Postal code', { exact: true })).toBeHidden();
  await page.keyboard.press('?');
  await expect(page.getByText('walk the test orders')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Single letters are keys' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Two pots to Antigonish' })).toBeVisible();
});

test('Escape closes the preview on a phone', async ({ page }) => {
  test.skip(!isPhone(page), 'elsewhere the preview is always there');
  await openProgram(page);
  await openPreview(page);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('preview')).toBeHidden();
});
