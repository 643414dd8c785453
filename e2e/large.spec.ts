import { expect, test } from './browser.ts';
import { isPhone, openCell, openPreview, openProgram } from './program.ts';

test('on a large window an open rate stands beside the board, which stays in view', async ({ page }) => {
  test.skip(isPhone(page), 'a phone has no room beside');
  await openProgram(page);
  const board = page.getByRole('table', { name: 'Board of rates' });
  const panel = page.getByRole('region', { name: 'Parcel to West' });
  await page.setViewportSize({ width: 1680, height: 950 });
  await openCell(page, 'Parcel', 'West');
  await expect(panel).toBeVisible();
  const [left, right] = [await board.boundingBox(), await panel.boundingBox()];
  expect((left?.x ?? 0) + (left?.width ?? 0)).toBeLessThan(right?.x ?? 0);
  await expect(board.getByRole('button', { name: /^Parcel to Maritimes:/ })).toBeInViewport();
  await expect(panel.getByLabel('Weight from, step 1')).toBeInViewport();
  const over = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(await over()).toBe(0);
  await panel.getByLabel('Charge from 0 kg', { exact: true }).fill('9.99');
  await expect(board.getByRole('button', { name: /^Parcel to West: 9\.99/ })).toBeVisible();
  await openCell(page, 'Pallet', 'Central');
  await expect(page.getByRole('region', { name: 'Pallet to Central' })).toBeInViewport();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(board.getByRole('region', { name: 'Pallet to Central' })).toBeVisible();
  await expect(await openPreview(page)).toBeVisible();
});

test('on a large window an open product stands beside the table', async ({ page }) => {
  test.skip(isPhone(page), 'a phone has no room beside');
  await openProgram(page, '/goods');
  await page.setViewportSize({ width: 1680, height: 950 });
  await page.getByRole('button', { name: 'All of Glazed pot, 26 cm' }).click();
  const panel = page.getByRole('region', { name: 'Glazed pot, 26 cm' });
  await expect(panel).toBeVisible();
  const table = page.getByRole('grid', { name: 'Products' });
  await expect(table.getByRole('region')).toHaveCount(0);
  await panel.getByLabel('Price', { exact: true }).fill('36.00');
  await expect(table.getByRole('gridcell', { name: 'Price: 36.00' })).toBeVisible();
  await page.getByRole('button', { name: 'Close Glazed pot, 26 cm' }).click();
  await expect(panel).toHaveCount(0);
});

test('on a large window an open delivery area stands beside its list and the map', async ({ page }) => {
  test.skip(isPhone(page), 'a phone has no room beside');
  await openProgram(page, '/reach?part=nearby');
  await page.setViewportSize({ width: 1680, height: 950 });
  const list = page.getByRole('list', { name: 'Delivery areas' });
  await list.getByRole('button', { name: /^Peninsula/ }).click();
  const panel = page.getByRole('region', { name: 'Peninsula' });
  await expect(panel.getByLabel('Charge for the order')).toBeVisible();
  const [left, right] = [await list.boundingBox(), await panel.boundingBox()];
  expect((left?.x ?? 0) + (left?.width ?? 0)).toBeLessThan(right?.x ?? 0);
  // What is typed stays in its field while the panel is called by it.
  const name = panel.getByLabel('Delivery area', { exact: true });
  await name.click();
  await page.keyboard.type(' of old');
  await expect(list.getByRole('button', { name: /^Peninsula of old/ })).toBeVisible();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(list.getByLabel('Charge for the order')).toBeVisible();
});

test('on a large window costs stand beside the board, go across the page, and give way to a rate', async ({
  page,
}) => {
  test.skip(isPhone(page), 'a phone has no room beside');
  await page.setViewportSize({ width: 1760, height: 1000 });
  await openProgram(page, '/charges?part=costs');
  const panel = page.getByRole('region', { name: 'Costs' });
  await expect(panel.getByText(/^4,013 orders from /)).toBeVisible();
  const rate = page.getByRole('button', { name: /^Parcel to Maritimes: 8\.50 to 24\.00/ });
  await expect(rate).toBeInViewport();
  await panel.getByRole('tab', { name: 'Steps and costs' }).click();
  await expect(panel.getByRole('list', { name: 'Steps of Parcel to Maritimes beside costs' })).toBeVisible();
  await expect(rate).toBeInViewport();
  await panel.getByRole('button', { name: 'Across the whole page' }).click();
  await expect(panel).toBeHidden();
  await page.getByRole('tab', { name: 'Margin', exact: true }).click();
  await expect(page.getByRole('table', { name: 'Margin by zone and service' })).toBeVisible();
  await page.getByRole('button', { name: 'Beside the board' }).click();
  await expect(panel.getByText(/^4,013 orders from /)).toBeVisible();
  await rate.click();
  await expect(page.getByRole('region', { name: 'Parcel to Maritimes' })).toBeVisible();
  await expect(panel).toBeHidden();
});
