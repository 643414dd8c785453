import { expect, test } from './browser.ts';
import {
  choiceOf,
  chooseTestOrder,
  closePreview,
  fill,
  isPhone,
  openProgram,
  openPreview,
} from './program.ts';

test('an adjustment is written as a sentence, acts in the preview, and is moved by dragging and by keys', async ({
  page,
}) => {
  await openProgram(page, '/charges?part=adjustments');
  const list = page.getByRole('list', { name: 'Adjustments' });
  await expect(list.getByRole('listitem')).toHaveCount(5);
  await page.getByRole('button', { name: 'Add an adjustment' }).click();
  await fill(page, 'Adjustment', 'Moss week');
  await fill(page, 'Amount', '3');
  await page.getByRole('button', { name: 'less', exact: true }).click();
  await page.getByLabel('Add a condition').click();
  await page.getByRole('button', { name: 'What the basket measures' }).click();
  await fill(page, 'From', '50');
  await page.getByRole('checkbox', { name: 'Active' }).click();
  await expect(list).toContainText('When the order value is 50.00 or more: every choice costs 3.00 less.');
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName(/Parcel, 14\.30/);
  await choiceOf(preview, 'Parcel').click();
  await expect(preview.getByRole('link', { name: /Moss week: 3\.00 off/ })).toBeVisible();
  await closePreview(page);

  await page.getByRole('button', { name: /^Moss week\. / }).click();
  const handle = page.getByLabel('Move Moss week');
  await handle.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Moss week is now 4 of 6.')).toBeAttached();
  await expect(list.getByRole('listitem').nth(3)).toContainText('Moss week');
  await expect(handle).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(list.getByRole('listitem').nth(4)).toContainText('Moss week');
  // What it touches is counted again after each move.
  await expect(list.getByText('Counting the orders it affects …')).toHaveCount(0);

  // Rows that slide to their places are let come to rest.
  const above = list
    .getByRole('listitem')
    .nth(3)
    .getByLabel(/^Move /);
  for (const one of [above, handle]) await one.hover();
  const from = await handle.boundingBox();
  const to = await above.boundingBox();
  if (!from || !to) throw new Error('the handles have no place');
  await page.mouse.move(from.x + 10, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 10, from.y - 20, { steps: 4 });
  await page.mouse.move(to.x + 10, to.y + 5, { steps: 8 });
  await page.mouse.up();
  await expect(list.getByRole('listitem').nth(3)).toContainText('Moss week');
});

test('what an adjustment withholds says so in its own words and leads to it', async ({ page }) => {
  await openProgram(page);
  const preview = await chooseTestOrder(page, 'Heather to Winnipeg in the frost');
  const reason = preview.getByRole('link', { name: /^Parcel: Withheld by “Frost on the road”/ });
  await expect(reason).toBeVisible();
  await expect(preview.getByText(/^The customer is told: Live plants do not travel this far/)).toBeVisible();
  await reason.click();
  await expect(page.getByRole('tab', { name: 'Adjustments' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByLabel('Adjustment', { exact: true })).toHaveValue('Frost on the road');
  if (!isPhone(page)) await expect(page.getByText(/^In the preview: Parcel withheld/)).toBeVisible();
});
