import { expect, test, type Locator } from './browser.ts';
import { isPhone, openProgram, reopenProgram, openPreview, closePreview, waitUntilKept } from './program.ts';

test('a country closed is gone from the map, the preview and the answer about its codes', async ({
  page,
}) => {
  await openProgram(page, '/reach');
  await expect(
    page.getByRole('img', { name: 'The world by zones: 4 countries closed, 0 sold to without any rate' }),
  ).toBeVisible();
  await page.getByLabel('Find a country').fill('canada');
  await page.getByRole('checkbox', { name: 'Canada' }).click();
  await expect(page.getByRole('img', { name: /5 countries closed/ })).toBeVisible();
  const preview = await openPreview(page);
  await expect(preview.getByText('The shop does not sell to B2G 2L2 in Canada.').first()).toBeVisible();
  await closePreview(page);
  await page.getByLabel('Where would this code fall?').fill('B3H 4R2');
  await expect(page.getByText('You do not sell here.')).toBeVisible();
  await waitUntilKept(page);
  await reopenProgram(page);
  await expect(page.getByRole('img', { name: /5 countries closed/ })).toBeVisible();
});

test('a country closed and opened is followed by the board and the shopfront', async ({ page }) => {
  const offered = async (): Promise<Locator> => {
    await reopenProgram(page, '/shop/checkout');
    await page.getByRole('button', { name: 'Serve the draft' }).click();
    await page.getByLabel('Country', { exact: true }).fill('France');
    await page.getByRole('button', { name: 'France', exact: true }).click();
    await page.getByLabel('Postal code').fill('69002');
    return page.getByRole('main');
  };
  await openProgram(page, '/shop');
  await page.getByRole('button', { name: 'Add Lupin seeds to the basket' }).click();
  await waitUntilKept(page);
  await expect(await offered()).toContainText('Seed mail');
  await reopenProgram(page, '/reach');
  await page.getByRole('button', { name: /^Close all \d+ shown/ }).click();
  await waitUntilKept(page);
  await reopenProgram(page, '/charges');
  const europe = isPhone(page)
    ? page.getByText(/^closed: you do not sell there · Austria/)
    : page.getByRole('rowheader', { name: /Western Europe/ });
  if (isPhone(page)) await page.getByRole('tab', { name: 'Western Europe' }).click();
  await expect(europe).toContainText('closed: you do not sell there');
  await reopenProgram(page, '/shop/checkout');
  await page.getByRole('button', { name: 'Serve the draft' }).click();
  await page.getByLabel('Country', { exact: true }).fill('France');
  await expect(page.getByRole('button', { name: 'France', exact: true })).toBeHidden();
  await reopenProgram(page, '/reach');
  await page.getByLabel('Find a country').fill('france');
  await page.getByRole('checkbox', { name: 'France', exact: true }).click();
  await waitUntilKept(page);
  await expect(await offered()).toContainText('Seed mail');
});

test('postal codes of every shape are pasted into a zone and decide at once', async ({ page }) => {
  await openProgram(page, '/charges?zone=north&panel=zone');
  const takes = page.getByRole('group', { name: 'Takes', exact: true });
  await takes.getByRole('button', { name: 'Paste codes' }).click();
  await takes
    .getByLabel('Postal codes to add')
    .fill('B2G\nb2h 1a1; B2J-B2K\t"B2L*"\nAntigonish Landing, a0p');
  await takes.getByRole('button', { name: 'Add the codes' }).click();
  await expect(
    takes.getByText(
      '4 patterns added, 1 there already, 2 shorter than a code, read as the beginning of codes.',
    ),
  ).toBeVisible();
  await expect(takes.getByText('No codes of Canada, and left above: Antigonish Landing.')).toBeVisible();
  await expect(takes.getByText('12 codes in Canada')).toBeVisible();
  await expect(await openPreview(page)).toContainText('zone North, by B2G*');
});

test('a region closed inside an open country, by name', async ({ page }) => {
  await openProgram(page, '/reach');
  await page.getByLabel('Find a country').fill('canada');
  await page.getByRole('button', { name: 'Regions of Canada' }).click();
  await page.getByRole('checkbox', { name: 'Nova Scotia' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /^Nova Scotiaclosed$/ })).toBeVisible();
  await expect(await openPreview(page)).toContainText('The shop does not sell to B2G 2L2 in Canada.');
});

test('many codes pasted each fall somewhere, and those that cannot buy are named', async ({ page }) => {
  await openProgram(page, '/reach');
  await page.getByLabel('Where would this code fall?').fill('X0A 0H0\nB3H 4R2; j0m 1c0');
  const answers = page.getByRole('list', { name: 'Where the codes fall' }).getByRole('listitem');
  await expect(answers).toHaveCount(3);
  await expect(answers.nth(0)).toContainText('Zone North, by Nunavut. Ships by Seed mail, Express.');
  await expect(answers.nth(2)).toContainText('Zone North, by J0M*. Also listed in Central (by Quebec).');
});

test('a zone with nothing switched on is struck on the map and told on the board', async ({ page }) => {
  await openProgram(page, '/charges?zone=europe&service=seed-mail');
  await page.getByRole('button', { name: 'Switch off' }).click();
  await page.getByRole('link', { name: 'Reach' }).click();
  await expect(
    page.getByRole('img', { name: /4 countries closed, 14 sold to without any rate/ }),
  ).toBeVisible();
  await expect(page.getByRole('link', { name: /^Western Europe:/ })).toContainText('0 services');
  await page.getByRole('link', { name: /^Western Europe:/ }).click();
  await expect(page.getByLabel('Zone', { exact: true })).toHaveValue('Western Europe');
});

test('the map grows, moves and goes back by keys and by buttons', async ({ page }) => {
  await openProgram(page, '/reach');
  const map = page.getByRole('img', { name: /The world by zones/ });
  const box = () => map.locator('svg').first().getAttribute('viewBox');
  await map.focus();
  await expect.poll(box).toBe('0 0 720 360');
  await page.keyboard.press('+');
  await page.keyboard.press('ArrowRight');
  await expect.poll(box).not.toBe('0 0 720 360');
  await page.getByRole('button', { name: 'The whole world' }).click();
  await expect.poll(box).toBe('0 0 720 360');
  await page.getByRole('button', { name: 'Larger' }).click();
  await expect.poll(box).toBe('120 60 480 240');
});

test('the places of the program are reached by the navigation and by keys', async ({ page }) => {
  await openProgram(page);
  await page.getByRole('link', { name: 'Reach' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Reach' })).toBeVisible();
  await page.keyboard.press('g');
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { level: 1, name: 'Charges' })).toBeVisible();
  const over = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(over).toBe(0);
  expect(isPhone(page) ? await page.getByRole('navigation').count() : 1).toBe(1);
});

test('after the world was dragged, long lists are whole as before', async ({ page }) => {
  await openProgram(page, '/reach');
  const map = page.getByRole('img', { name: /^The world by zones/ });
  await expect(map).toBeVisible();
  await page.getByRole('button', { name: 'Larger' }).first().click();
  const box = await map.boundingBox();
  const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 6; step += 1) await page.mouse.move(x - step * 12, y - step * 4);
  await page.mouse.up();
  await reopenProgram(page, '/shop');
  await expect(page.getByRole('link', { name: 'Planting plan, PDF' })).toBeAttached();
});
