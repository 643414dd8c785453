import { expect, test } from './browser.ts';
import { fill, isPhone, ONCE, openCell, openPreview, openProgram, reopenProgram } from './program.ts';

test('what is opened comes into view with its first field focused; an address alone moves nothing', async ({
  page,
}) => {
  await page.goto('/charges?zone=west&service=parcel');
  await expect(page.getByLabel('Weight from, step 1')).toBeVisible();
  await expect(page.getByLabel('Weight from, step 1')).not.toBeFocused();
  await openProgram(page);
  await openCell(page, 'Parcel', 'West');
  await expect(page.getByLabel('Weight from, step 1')).toBeFocused();
  await expect(page.getByLabel('Weight from, step 1')).toBeInViewport();
  await page.getByRole('button', { name: 'Limits, handling and more' }).click();
  await expect(page.getByLabel('Subtotal, at least')).toBeFocused();
});

test(
  'what takes long to be drawn after its press has its first field focused as well',
  ONCE,
  async ({ page }) => {
    await openProgram(page);
    await page.evaluate(() => {
      const hold = (): void => {
        const end = performance.now() + 2_000;
        while (performance.now() < end);
      };
      window.addEventListener('click', hold, { capture: true, once: true });
    });
    await page
      .getByRole('button', { name: /^Parcel to / })
      .first()
      .click();
    await expect(page.getByLabel('Weight from, step 1')).toBeFocused();
  },
);

test('the preview as a sheet holds the focus, gives it back, and closes on what leads elsewhere', async ({
  page,
}) => {
  test.skip(!isPhone(page), 'elsewhere the preview stands beside the page');
  await openProgram(page);
  const preview = await openPreview(page);
  const close = page.getByRole('button', { name: 'Close the preview' });
  await expect(close).toBeFocused();
  for (let step = 0; step < 40; step += 1) {
    await page.keyboard.press('Tab');
    const isUnder = await page.evaluate(() => document.activeElement?.closest('[inert]') !== null);
    expect(isUnder).toBe(false);
  }
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('preview-strip')).toBeFocused();
  await openPreview(page);
  await page.keyboard.press('w');
  await preview
    .getByRole('link', { name: /Go to its rule$/ })
    .first()
    .click();
  await expect(preview).toBeHidden();
  await openPreview(page);
  const here = page.url();
  await page.goBack();
  await expect(preview).toBeHidden();
  expect(page.url()).toBe(here);
  await openPreview(page);
  await close.click();
  await expect(preview).toBeHidden();
  await page.goBack();
  await expect(page).not.toHaveURL(here);
});

test('segments say which one is chosen', async ({ page }) => {
  await openProgram(page, '/charges?zone=west&service=parcel');
  await expect(page.getByRole('button', { name: 'Steps', exact: true, pressed: true })).toBeVisible();
  await page.getByRole('button', { name: 'Flat', exact: true, pressed: false }).click();
  await expect(page.getByRole('button', { name: 'Flat', exact: true, pressed: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Steps', exact: true, pressed: false })).toBeVisible();
});

test('a rate’s panel stays in sight whatever the number of services', async ({ page }) => {
  test.skip(isPhone(page), 'a phone shows one zone at a time');
  await openProgram(page);
  for (const name of ['Night', 'Dawn', 'Noon', 'Dusk']) {
    await page.getByRole('button', { name: 'Add a service' }).click();
    await fill(page, 'Name of the new service', name);
    await page.keyboard.press('Enter');
  }
  await openCell(page, 'Parcel', 'West');
  const panel = await page.getByRole('region', { name: 'Parcel to West' }).boundingBox();
  const board = await page.getByRole('table', { name: 'Board of rates' }).boundingBox();
  expect(board?.width).toBeGreaterThan(panel?.width ?? 0);
  expect((panel?.x ?? 0) + (panel?.width ?? 0)).toBeLessThan(900);
});

test('a message at the foot covers no control', async ({ page }) => {
  await openProgram(page, '/charges?part=adjustments&adjustment=winter');
  await page
    .getByRole('button', { name: /^Remove/ })
    .last()
    .click();
  const undo = page.getByRole('button', { name: 'Undo', exact: true }).last();
  await expect(undo).toBeVisible();
  const covered = await page.evaluate(() => {
    const pageEnd = document.querySelector('[role=main]')?.getBoundingClientRect().bottom ?? 0;
    return [...document.querySelectorAll('button, [role=link], [role=button], input')].flatMap((element) => {
      const { left, top, width, height } = element.getBoundingClientRect();
      const [x, y] = [left + width / 2, top + height / 2];
      // What the page would have to be scrolled for is below its end, not under the message.
      if (element.closest('[role=main]') && y > pageEnd) return [];
      const hit = width > 1 ? document.elementFromPoint(x, y) : null;
      const isUnder =
        hit !== null && !element.contains(hit) && hit.closest('[role=alert], [aria-live]') !== null;
      return isUnder && !hit.contains(element)
        ? [element.getAttribute('aria-label') ?? element.textContent]
        : [];
    });
  });
  expect(covered).toEqual([]);
});

test('the browser’s way back closes what was opened, and leaves the page only then', async ({ page }) => {
  await openProgram(page, '/today');
  await page.getByRole('navigation').getByRole('link', { name: 'Charges' }).click();
  await openCell(page, 'Parcel', 'West');
  const first = page.getByLabel('Weight from, step 1');
  await expect(first).toBeVisible();
  await page.goBack();
  await expect(first).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Charges', level: 1 })).toBeVisible();
  await page.goForward();
  await expect(first).toBeVisible();
  await page.goBack();
  await page.getByRole('tab', { name: 'Tables' }).click();
  await expect(page).toHaveURL(/part=tables/);
  await page.goBack();
  await expect(page).toHaveURL(/\/charges(\?zone=west)?$/);
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
});

test('the way back closes Find, and Escape pressed twice takes one step', async ({ page }) => {
  await openProgram(page, '/today');
  await page.getByRole('navigation').getByRole('link', { name: 'Check' }).click();
  const here = page.url();
  const find = page.getByTestId('find');
  await page.getByRole('button', { name: 'Find anything' }).click();
  await expect(find).toBeFocused();
  await page.goBack();
  await expect(find).toBeHidden();
  expect(page.url()).toBe(here);
  await page.getByRole('button', { name: 'Find anything' }).click();
  await expect(find).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(find).toBeHidden();
  expect(page.url()).toBe(here);
});

test('what lay over a page and led elsewhere takes no step of its own on the way back and forward', async ({
  page,
}) => {
  await openProgram(page, '/today');
  await page.getByRole('navigation').getByRole('link', { name: 'Check' }).click();
  const heading = (name: string) => page.getByRole('heading', { name, level: 1 });
  await expect(heading('Check')).toBeVisible();
  await page.getByRole('button', { name: 'Find anything' }).click();
  await page.getByTestId('find').fill('saucer');
  await expect(page.getByRole('option').first()).toHaveAccessibleName('Saucer, 26 cm, Product');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/good=saucer/);
  const there = page.url();
  await page.goBack();
  await expect(heading('Check')).toBeVisible();
  await page.evaluate(() => window.history.back());
  await expect(heading('Today')).toBeVisible();
  await page.goForward();
  await expect(heading('Check')).toBeVisible();
  await page.evaluate(() => window.history.forward());
  await expect(page).toHaveURL(there);
});

test('what was closed by its own control is not opened again on the way back', async ({ page }) => {
  await openProgram(page, '/today');
  await page.getByRole('navigation').getByRole('link', { name: 'Products' }).click();
  await page.getByRole('button', { name: 'Boxes', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Boxes', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Back to Products' }).click();
  await expect(page.getByRole('heading', { name: 'Products', level: 1 })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
});

test('a page that came in place of what lay over another is not passed over', ONCE, async ({ page }) => {
  await openProgram(page, '/goods?sku=pot-26');
  await page.getByRole('navigation').getByRole('link', { name: 'Charges' }).click();
  await openPreview(page);
  await reopenProgram(page, '/goods?panel=groups&group=live-plants');
  await page.getByRole('button', { name: /^See its \d+ products$/ }).click();
  await page.getByRole('button', { name: 'To the group' }).click();
  await expect(page.getByText('Only products in Live plants')).toBeHidden();
  await expect(page).toHaveURL(/panel=groups/);
  await expect(page.getByRole('heading', { name: 'Handling groups' })).toBeVisible();
});

test('a page that is gone back to stands where it was left', async ({ page }) => {
  await openProgram(page, '/shop');
  const product = page.getByRole('link', { name: 'Slate labels, 12' });
  await product.scrollIntoViewIfNeeded();
  const top = async (): Promise<number> => (await product.boundingBox())?.y ?? Number.NaN;
  const before = await top();
  await product.click();
  await expect(page).toHaveURL(/\/shop\/product\?sku=/);
  await page.goBack();
  await expect(product).toBeInViewport();
  await expect.poll(top).toBeCloseTo(before, 0);
});

test('on a phone on its side no link of the rail covers another', ONCE, async ({ page }) => {
  await page.setViewportSize({ width: 844, height: 390 });
  await openProgram(page, '/today');
  const names = ['Check', 'Shopfront', 'Settings', 'Guide'];
  const rail = page.getByRole('navigation', { name: 'Places' });
  const boxes = await Promise.all(
    names.map((name) => rail.getByRole('link', { name, exact: true }).boundingBox()),
  );
  for (const [at, box] of boxes.slice(1).entries())
    expect(box?.y ?? 0).toBeGreaterThanOrEqual((boxes[at]?.y ?? 0) + (boxes[at]?.height ?? 0));
  await rail.getByRole('link', { name: 'Guide', exact: true }).click();
  await expect(page).toHaveURL(/\/guide/);
});

test('on the narrowest phones no page is wider than the window', ONCE, async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 640 });
  await openProgram(page, '/today');
  const places = page.getByRole('navigation', { name: 'Places' });
  for (const name of ['Today', 'Reach', 'Charges', 'Products', 'Check']) {
    await places.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(320);
  }
});

test('each page has a title of its own, and an address without a page says so', ONCE, async ({ page }) => {
  await openProgram(page, '/today');
  await expect(page).toHaveTitle('Today · Emporos');
  await page.getByRole('navigation').getByRole('link', { name: 'Charges' }).click();
  await expect(page).toHaveTitle('Charges · Emporos');
  await openCell(page, 'Parcel', 'West');
  await expect(page).toHaveTitle('Parcel to West · Emporos');
  await openProgram(page, '/shop/product?sku=pot-26');
  await expect(page).toHaveTitle('Glazed pot, 26 cm · Wrack & Thistle');
  await openProgram(page, '/charge');
  await expect(page.getByText('There is no page at “/charge”.')).toBeVisible();
  await page.getByRole('button', { name: 'Go to Today' }).click();
  await expect(page).toHaveTitle('Today · Emporos');
});

test('links have addresses, and open in a tab of their own where that is asked', async ({ page }) => {
  await openProgram(page, '/shop');
  const product = page.getByRole('link', { name: 'Slate labels, 12' });
  await expect(product).toHaveAttribute('href', '/shop/product?sku=labels');
  const other = page.context().waitForEvent('page');
  await product.click({ modifiers: ['ControlOrMeta'] });
  const tab = await other;
  await expect(tab.getByRole('heading', { name: 'Slate labels, 12', level: 1 })).toBeVisible();
  await tab.close();
  await expect(page).toHaveURL(/\/shop$/);
  await product.press('Enter');
  await expect(page).toHaveURL(/\/shop\/product\?sku=labels$/);
});
