import { test as freshTest } from '@playwright/test';
import { expect, test, type Page } from './browser.ts';
import { fill, isPhone, ONCE, openProgram, openPreview, waitUntilKept } from './program.ts';

// What is tried here is how the program is loaded, left and kept.
test.use({ loadsItself: true });

const NAME = 'Name of the shop';
const SCREENS = ['/reach', '/charges?zone=west&service=parcel', '/goods', '/shop', '/settings', '/begin'];

const lastChanged = (page: Page) => page.getByLabel(NAME, { exact: true });

freshTest.describe('without a network', () => {
  freshTest.use({ serviceWorkers: 'allow' });

  freshTest(
    'the program opens again, on any of its pages, with what was kept',
    ONCE,
    async ({ page, context }) => {
      await openProgram(page, '/settings');
      await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
        if (!navigator.serviceWorker.controller)
          await new Promise((resolve) =>
            navigator.serviceWorker.addEventListener('controllerchange', resolve),
          );
      });
      await fill(page, NAME, 'Kelp & Thistle');
      await waitUntilKept(page);
      await context.setOffline(true);
      await page.reload();
      await expect(lastChanged(page)).toHaveValue('Kelp & Thistle');
      await page.goto('/guide?page=check');
      await expect(page.getByRole('heading', { name: 'Test orders' })).toBeVisible();
      for (const screen of SCREENS) {
        await page.goto(screen);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      }
      await page.goto('/reach');
      await expect(page.getByRole('img', { name: /The world by zones/ })).toBeVisible();
    },
  );
});

test('it can be installed: a manifest with icons that are there', ONCE, async ({ page, request }) => {
  await openProgram(page);
  const path = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await request.get(path ?? '')).json()) as {
    start_url: string;
    display: string;
    icons: { src: string; sizes: string; purpose: string }[];
  };
  expect([manifest.display, manifest.start_url]).toEqual(['standalone', '/charges']);
  expect(manifest.icons.map(({ purpose }) => purpose)).toContain('maskable');
  for (const { src } of manifest.icons) expect((await request.get(src)).ok()).toBe(true);
});

test('every page runs under the security policy that the server sets', ONCE, async ({ page }) => {
  const refused: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy|Refused to/.test(message.text())) refused.push(message.text());
  });
  page.on('pageerror', (error) => refused.push(error.message));
  for (const screen of SCREENS) await openProgram(page, screen);
  const response = await page.goto('/reach');
  await expect(page.getByRole('img', { name: /The world by zones/ })).toBeVisible();
  expect(response?.headers()['content-security-policy']).toContain("script-src 'self'");
  expect(refused).toEqual([]);
});

test(
  'an edit survives leaving at the very moment it is made, by reload, address or closing',
  ONCE,
  async ({ page, context }) => {
    const typeAndLeave = async (at: Page, name: string, leave: () => Promise<unknown>): Promise<void> => {
      await fill(at, NAME, name);
      await leave();
    };
    await openProgram(page, '/settings');
    await typeAndLeave(page, 'Kelp & Thistle', () => page.reload());
    await expect(lastChanged(page)).toHaveValue('Kelp & Thistle');
    await typeAndLeave(page, 'Moss & Thistle', () => page.goto('/settings?part=taxes'));
    await page.goto('/settings');
    await expect(lastChanged(page)).toHaveValue('Moss & Thistle');
    await typeAndLeave(page, 'Rush & Thistle', () => page.close());
    const next = await context.newPage();
    await openProgram(next, '/settings');
    await expect(lastChanged(next)).toHaveValue('Rush & Thistle');
  },
);

test(
  'a value that cannot be kept is refused where it is typed, and the shop stays',
  ONCE,
  async ({ page }) => {
    await openProgram(page, '/settings');
    await fill(page, NAME, 'Kelp & Thistle');
    await page.goto('/settings?part=taxes');
    const percent = page.getByLabel(/%/).first();
    await percent.fill('1250');
    await expect(page.getByText('This may be at most 1000 %.')).toBeVisible();
    await page.goto('/charges?zone=west&service=parcel');
    await fill(page, 'Weight, at most', '200000 kg');
    await expect(page.getByText('This may be at most 100000 kg.')).toBeVisible();
    await waitUntilKept(page);
    await page.goto('/settings');
    await expect(lastChanged(page)).toHaveValue('Kelp & Thistle');
  },
);

test(
  'two tabs show each other’s changes, and one undo in either takes a change back',
  ONCE,
  async ({ page, context }) => {
    await openProgram(page, '/settings');
    const other = await context.newPage();
    await openProgram(other, '/settings');
    await fill(page, NAME, 'Kelp & Thistle');
    await page.getByLabel('Time zone').focus();
    await expect(lastChanged(other)).toHaveValue('Kelp & Thistle');
    await expect(other.getByText('The draft was changed in another tab, and is shown here.')).toBeVisible();
    await other.getByRole('button', { name: 'Undo: Store: name' }).click();
    await expect(lastChanged(page)).toHaveValue('Wrack & Thistle');
  },
);

test(
  'two tabs that change the draft at the same moment lose neither change',
  ONCE,
  async ({ page, context }) => {
    await openProgram(page, '/settings');
    const other = await context.newPage();
    await openProgram(other, '/settings');
    // Neither tab can keep anything until both have typed.
    await page.evaluate(
      () =>
        new Promise<void>((held) => {
          void navigator.locks.request('emporos', () => {
            held();
            return new Promise((free) => window.addEventListener('free', free, { once: true }));
          });
        }),
    );
    await fill(page, NAME, 'Kelp & Thistle');
    await fill(other, NAME, 'Moss & Thistle');
    await page.evaluate(() => window.dispatchEvent(new Event('free')));
    const told = /Another tab changed the shop at the same time; what it kept was set aside/;
    await expect
      .poll(async () => (await page.getByText(told).count()) + (await other.getByText(told).count()))
      .toBe(1);
    const second = (await other.getByText(told).count()) > 0 ? other : page;
    await second.goto('/settings?part=data');
    const aside = second.getByRole('list', { name: 'Set aside' }).getByRole('listitem');
    await expect(aside.first()).toContainText('another tab kept it while this one had changes');
    const download = second.waitForEvent('download');
    await aside
      .filter({ hasText: 'Rules and test orders' })
      .getByRole('button', { name: 'Save as a file' })
      .click();
    expect((await download).suggestedFilename()).toMatch(/^set-aside-draft-\d{4}-\d\d-\d\d\.json$/);
  },
);

test('a disk that is full is told, and what was typed is kept once there is room', ONCE, async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { isDiskFull: false });
    IDBObjectStore.prototype.put = function (...args) {
      if ((window as unknown as { isDiskFull: boolean }).isDiskFull)
        throw new DOMException('The disk is full', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await openProgram(page, '/settings');
  await page.evaluate(() => Object.assign(window, { isDiskFull: true }));
  await fill(page, NAME, 'Kelp & Thistle');
  await expect(page.getByText(/Your changes are not being kept on this device/)).toBeVisible();
  await fill(page, NAME, 'Moss & Thistle');
  await page.evaluate(() => Object.assign(window, { isDiskFull: false }));
  await expect(page.getByText(/Your changes are not being kept on this device/)).toBeHidden();
  await page.reload();
  await expect(lastChanged(page)).toHaveValue('Moss & Thistle');
});

test('a device whose database is blocked says so, and opens once it is free', ONCE, async ({ page }) => {
  await page.addInitScript(() => {
    const open = IDBFactory.prototype.open;
    Object.assign(window, { isBlocked: true });
    IDBFactory.prototype.open = function (...args) {
      if ((window as unknown as { isBlocked: boolean }).isBlocked)
        throw new DOMException('The database is blocked', 'SecurityError');
      return open.apply(this, args);
    };
  });
  await openProgram(page, '/settings');
  await expect(page.getByRole('alert')).toContainText('The browser says: The database is blocked');
  await page.evaluate(() => Object.assign(window, { isBlocked: false }));
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(lastChanged(page)).toHaveValue('Wrack & Thistle');
});

/** Spoils the text of a document that is kept in the browser's database. */
const spoil = (page: Page, key: string, [from, to]: readonly [string, string]): Promise<void> =>
  page.evaluate(
    async ([at, before, after]) => {
      const done = (request: IDBRequest | IDBTransaction, event: string): Promise<unknown> =>
        new Promise((resolve) => request.addEventListener(event, resolve));
      const opening = indexedDB.open('emporos');
      await done(opening, 'success');
      const change = opening.result.transaction('entries', 'readwrite');
      const kept = change.objectStore('entries').get(at);
      await done(kept, 'success');
      const text = String(kept.result);
      change.objectStore('entries').put(before === '' ? after : text.replace(before, after), at);
      await done(change, 'complete');
      opening.result.close();
    },
    [key, from, to] as const,
  );

const ownShop = async (page: Page): Promise<void> => {
  await openProgram(page, '/settings');
  await fill(page, NAME, 'Kelp & Thistle');
  await waitUntilKept(page);
};

test('a shop that cannot be read is told, set aside and never silently the demo', ONCE, async ({ page }) => {
  await ownShop(page);
  await spoil(page, 'emporos/draft', ['', '{"version": 1,']);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Your shop is kept, and cannot be read' })).toBeVisible();
  await expect(page.getByText('Its text broke off or was changed by hand.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave out book' }).click();
  await expect(page.getByText('The shop needs this: it cannot be left out.')).toBeVisible();
  await expect(lastChanged(page)).toBeHidden();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).first().click();
  expect((await saved).suggestedFilename()).toMatch(/^set-aside-draft-/);
  await page.getByRole('button', { name: 'Go on with the demo shop for now' }).click();
  await expect(lastChanged(page)).toHaveValue('Wrack & Thistle');
  await page.getByRole('tab', { name: 'Data' }).click();
  for (const _ of [1, 2]) await page.getByRole('button', { name: 'Delete' }).first().click();
  await expect(page.getByText('Set aside', { exact: true })).toBeHidden();
  if (!isPhone(page)) await expect(await openPreview(page)).toContainText('Two pots to Antigonish');
});

test('a shop that cannot be read is repaired fault by fault, and opened', ONCE, async ({ page }) => {
  await ownShop(page);
  await spoil(page, 'emporos/draft', ['"weight":{"max":30000}', '"weight":{"max":-3000}']);
  await spoil(page, 'emporos/draft', ['"currency":"CAD"', '"currency":"Dollars"']);
  await page.reload();
  const panel = page.getByRole('region', { name: 'Repair The shop set aside' });
  await expect(panel).toContainText('2 faults to repair');
  const weight = panel.getByRole('textbox', { name: /limits, weight, max$/ });
  await expect(weight).toHaveValue('-3000');
  await weight.fill('-1');
  await panel.getByRole('button', { name: /^Set .*weight, max$/ }).click();
  await expect(panel).toContainText('2 faults to repair');
  await panel.getByRole('textbox', { name: /limits, weight, max$/ }).fill('30000');
  await panel.getByRole('button', { name: /^Set .*weight, max$/ }).click();
  await expect(panel).toContainText('1 fault to repair');
  await panel.getByRole('button', { name: 'Take the last repair back' }).click();
  await panel.getByRole('button', { name: 'Leave out all that is faulty' }).click();
  await expect(panel).toContainText('The shop needs this: it cannot be left out.');
  await panel.getByRole('textbox', { name: /currency$/ }).fill('CAD');
  await panel.getByRole('button', { name: /^Set .*currency$/ }).click();
  await expect(panel).toContainText('can be read now');
  await panel.getByRole('button', { name: 'Open the repaired shop' }).click();
  await expect(lastChanged(page)).toHaveValue('Kelp & Thistle');
  await waitUntilKept(page);
  await page.reload();
  await expect(lastChanged(page)).toHaveValue('Kelp & Thistle');
});

freshTest(
  'a page that does not arrive says so, leaves the others working, and comes when asked again',
  async ({ page }) => {
    await openProgram(page, '/settings');
    await fill(page, NAME, 'Kelp & Thistle');
    await page.route(/reach-screen/, (route) => route.abort());
    const places = page.getByRole('navigation');
    await places.getByRole('link', { name: 'Reach' }).click();
    await expect(page.getByRole('heading', { name: 'This part cannot be shown' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^Undo: / })).toBeVisible();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the whole shop as a file' }).click();
    expect((await saved).suggestedFilename()).toMatch(/^kelp-thistle-shop-/);
    await places.getByRole('link', { name: 'Products' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Products' })).toBeVisible();
    await places.getByRole('link', { name: 'Reach' }).click();
    await page.unroute(/reach-screen/);
    await page.getByRole('button', { name: 'Reload the program' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Reach' })).toBeVisible();
  },
);

freshTest(
  'the frame and the heading stand before any script has come, and nothing moves after',
  async ({ page }) => {
    let letIn = (): void => undefined;
    const isLetIn = new Promise<void>((resolve) => {
      letIn = resolve;
    });
    await page.route(/\.js$/, async (route) => {
      await isLetIn;
      await route.continue();
    });
    await page.goto('/charges', { waitUntil: 'commit' });
    const heading = page.getByRole('heading', { level: 1, name: 'Charges' });
    const place = page.getByRole('navigation').getByRole('link', { name: 'Reach' });
    await expect(page.locator('[aria-busy] h1')).toHaveText('Charges');
    await expect(place).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    const before = [await heading.boundingBox(), await place.boundingBox()];
    letIn();
    await expect(page.locator('h1:not([aria-busy] *)')).toHaveText('Charges');
    await page.evaluate(() => document.fonts.ready);
    const after = [await heading.boundingBox(), await place.boundingBox()];
    for (const [at, box] of before.entries()) {
      expect(Math.abs((box?.x ?? -99) - (after[at]?.x ?? 0))).toBeLessThan(2);
      expect(Math.abs((box?.y ?? -99) - (after[at]?.y ?? 0))).toBeLessThan(2);
    }
  },
);

freshTest('a font that does not come does not hold the program up', async ({ page }) => {
  await page.route(/\.woff2$/, () => new Promise<void>(() => undefined));
  await page.goto('/charges', { waitUntil: 'commit' });
  await expect(page.locator('h1:not([aria-busy] *)')).toHaveText('Charges');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
});

freshTest('a menu that was opened stays open when the rest of its page arrives', async ({ page }) => {
  freshTest.skip(!isPhone(page), 'a wide screen has a rail in place of the menu');
  await openProgram(page, '/settings');
  let letIn = (): void => undefined;
  const isLetIn = new Promise<void>((resolve) => {
    letIn = resolve;
  });
  await page.route(/reach-screen/, async (route) => {
    await isLetIn;
    await route.continue();
  });
  await page.getByRole('navigation').getByRole('link', { name: 'Reach' }).click();
  await page.getByRole('button', { name: 'Menu', exact: true }).click();
  const shopfront = page.getByRole('menuitem', { name: 'Shopfront' });
  await expect(shopfront).toBeVisible();
  letIn();
  await expect(page.getByRole('tab', { name: 'Neighbourhood' })).toBeVisible();
  await shopfront.click();
  await expect(page).toHaveURL(/\/shop$/);
});
