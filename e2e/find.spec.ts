import { expect, test, type Page } from './browser.ts';
import { isPhone, ONCE, openProgram, reopenProgram, waitUntilKept } from './program.ts';

const openFind = async (page: Page) => {
  await page.getByRole('button', { name: 'Find anything' }).click();
  return page.getByRole('combobox', { name: 'Find anything' });
};

/** Types into the box, waits for what it should find, and opens the first. */
const find = async (page: Page, typed: string, first: string): Promise<void> => {
  await (await openFind(page)).fill(typed);
  await expect(page.getByRole('option').first()).toHaveAccessibleName(first);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox')).toBeHidden();
};

test('a rate, a product, a setting, a country and a code are found by name and opened', async ({ page }) => {
  await openProgram(page, '/today');
  await find(page, 'parcel west', 'Parcel to West, Rate');
  await expect(page).toHaveURL(/zone=west&service=parcel/);
  await find(page, 'saucer', 'Saucer, 26 cm, Product');
  await expect(page).toHaveURL(/good=saucer/);
  await expect(page.getByLabel('Stock number', { exact: true })).toHaveValue('saucer');
  await find(page, 'vat', 'Taxes, Page');
  await expect(page.getByRole('tab', { name: 'Taxes' })).toHaveAttribute('aria-selected', 'true');
  await find(page, 'netherl', 'Netherlands, Country');
  await expect(page.getByLabel('Find a country')).toHaveValue('Netherlands');
  await expect(page.getByLabel('Find a country')).toBeInViewport();
  await find(page, 'b3h 4r2', 'Where B3H 4R2 would fall, Postal code');
  await expect(page.getByRole('list', { name: 'Where the codes fall' })).toContainText(
    'Delivered by Peninsula',
  );
});

test('a test order is found and shown in the preview; what was opened comes first, also after a reload', async ({
  page,
}) => {
  await openProgram(page, '/charges');
  await find(page, 'urn to iq', 'An urn to Iqaluit, Test order');
  await expect(page.getByTestId('preview')).toContainText('An urn to Iqaluit');
  if (isPhone(page)) await page.getByRole('button', { name: 'Close the preview' }).click();
  await waitUntilKept(page);
  await reopenProgram(page, '/goods');
  await openFind(page);
  await expect(page.getByRole('option').first()).toHaveAccessibleName('An urn to Iqaluit, Test order');
});

test('it is opened, walked and closed by keys, and says when nothing matches', async ({ page }) => {
  test.skip(isPhone(page), 'a phone has no such keys');
  await openProgram(page, '/charges');
  await page.keyboard.press('/');
  const box = page.getByRole('combobox');
  await expect(box).toBeFocused();
  await box.fill('glazed pot,');
  await expect(page.getByRole('option')).toHaveCount(3);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('option', { name: /26 cm/ })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('option', { name: /34 cm/ })).toHaveAttribute('aria-selected', 'true');
  await box.fill('no such thing');
  await expect(page.getByText('Nothing has “no such thing” in its name. Try a shorter word.')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(box).toBeHidden();
  await expect(page).toHaveURL(/\/charges$/);
});

test.describe('where the program is slow to come', () => {
  test.use({ loadsItself: true });

  test(
    'a form that was opened leaves the focus to who has gone on to find something else',
    ONCE,
    async ({ page }) => {
      await openProgram(page, '/settings');
      await openFind(page);
      await page.getByRole('combobox').fill('parcel west');
      await expect(page.getByRole('option').first()).toHaveAccessibleName('Parcel to West, Rate');
      await page.route('**/*.js', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 700));
        await route.continue();
      });
      await page.keyboard.press('Enter');
      await openFind(page);
      await page.getByRole('combobox').fill('saucer');
      await expect(page.getByLabel('Charge from 0 kg', { exact: true })).toBeAttached();
      await expect(page.getByRole('combobox')).toBeFocused();
      await page.keyboard.press('Enter');
      await expect(page).toHaveURL(/good=saucer/);
    },
  );
});
