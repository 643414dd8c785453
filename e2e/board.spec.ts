import { expect, test } from './browser.ts';
import { choiceOf, fill, isPhone, openProgram, openPreview } from './program.ts';

test('a selection of cells is raised together', async ({ page }) => {
  await openProgram(page);
  await page.getByRole('button', { name: 'Select rates' }).click();
  await page.getByRole('checkbox', { name: /^Parcel(, | to )Maritimes/ }).click();
  await page.getByRole('button', { name: 'Service Express' }).click();
  await expect(page.getByText('7 rates selected')).toBeVisible();
  await page
    .getByRole('region', { name: 'Selected rates' })
    .getByRole('button', { name: 'Raise or lower' })
    .click();
  await page.getByRole('button', { name: 'an amount' }).click();
  await fill(page, 'By how much', '-1.50');
  await page.getByRole('button', { name: 'Change 7 rates' }).click();
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName('Parcel, 15.80, was 17.30: how it adds up');
  await expect(choiceOf(preview, 'Express, two days')).toHaveAccessibleName(
    'Express, two days, 32.17, was 33.67: how it adds up',
  );
});

test('the board tells a missing rate from one that is left out on purpose', async ({ page }) => {
  await openProgram(page, '/charges?zone=north');
  await expect(
    page.getByRole('button', { name: 'Parcel to North: no rate, cannot be chosen here' }),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Pallet to North: not offered' })).toBeVisible();
});

test('nothing scrolls sideways but the board inside itself', async ({ page }) => {
  for (const path of [
    '/charges',
    '/charges?zone=maritimes&service=parcel',
    '/charges?zone=north&panel=zone',
  ]) {
    await openProgram(page, path);
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(over, path).toBe(0);
  }
});

test('a phone picks a cell from the whole board, and a swipe goes to the next zone', async ({ page }) => {
  test.skip(!isPhone(page), 'only on a phone');
  await openProgram(page);
  await page
    .getByRole('table', { name: 'The whole board' })
    .getByRole('button', { name: 'Parcel, West: 12.50 to 51.50' })
    .click();
  await expect(page.getByRole('img', { name: /2.50 less from 10 kg/ })).toBeVisible();
  await page.getByRole('button', { name: 'Back to Charges' }).click();
  await expect(page.getByRole('tab', { name: 'West', exact: true })).toHaveAttribute('aria-selected', 'true');
  const touch = await page.context().newCDPSession(page);
  const at = (x: number) => ({ touchPoints: [{ x, y: 260 }] });
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', ...at(320) });
  for (let x = 300; x >= 100; x -= 20)
    await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', ...at(x) });
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  await expect(page.getByRole('tab', { name: 'North' })).toHaveAttribute('aria-selected', 'true');
});
