import { expect, type Locator, type Page } from './browser.ts';

/** The program as a person sees it, at either width. */

/** Marks a test of what does not depend on the window's width: it runs at the phone's alone. */
export const ONCE = { tag: '@once' };

export const isPhone = (page: Page): boolean => (page.viewportSize()?.width ?? 0) < 700;

/** Where the page is, without the host. */
const addressOf = (page: Page): string => {
  const { pathname, search } = new URL(page.url());
  return pathname + search;
};

/**
 * Opens the program as on a fresh machine: in a page where it is loaded and closed it is only opened, else it is loaded
 * too. Called again in a test, it loads it with what was stored. The bare address is always loaded: it leads on to
 * Today at once, so nobody could wait until the program is there.
 */
export const openProgram = async (page: Page, path = '/charges'): Promise<void> => {
  const isLoaded = await page.evaluate((address) => {
    if (address === '/') return false;
    if (document.documentElement.dataset['storage'] !== 'closed') return false;
    window.dispatchEvent(new CustomEvent('emporos-open', { detail: address }));
    return true;
  }, path);
  if (isLoaded) await page.waitForURL(path);
  else await page.goto(path);
  // A page that is still being loaded shows its heading first.
  await expect(page.locator('h1:not([aria-busy] *)').first()).toBeVisible();
};

/** Closes the program in its page, so that it can be opened there again. */
export const closeProgram = async (page: Page): Promise<void> => {
  await page.evaluate(() => window.dispatchEvent(new Event('emporos-close')));
  await expect(page.locator('html')).toHaveAttribute('data-storage', 'closed');
};

/**
 * Closes the program and opens it again, here or at another address, from what it stored: what loading the page anew
 * would show, without loading its files.
 */
export const reopenProgram = async (page: Page, path?: string): Promise<void> => {
  const address = path ?? addressOf(page);
  await closeProgram(page);
  await openProgram(page, address);
};

/** Opens the cell of a service and a zone, from the board or, on a phone, from the zone's list. */
export const openCell = async (page: Page, service: string, zone: string): Promise<void> => {
  if (isPhone(page)) await page.getByRole('tab', { name: zone, exact: true }).click();
  await page.getByRole('button', { name: new RegExp(`^${service} to ${zone}:`) }).click();
};

/** The preview, brought up first where it is folded into the strip. */
export const openPreview = async (page: Page): Promise<Locator> => {
  const strip = page.getByTestId('preview-strip');
  const preview = page.getByTestId('preview');
  if (isPhone(page) && !(await preview.isVisible())) await strip.click();
  await expect(preview).toBeVisible();
  return preview;
};

export const closePreview = async (page: Page): Promise<void> => {
  if (isPhone(page)) await page.getByRole('button', { name: 'Close the preview' }).click();
};

/** A choice of the preview by its name. */
export const choiceOf = (preview: Locator, name: string): Locator =>
  preview
    .getByRole('list', { name: /^(Shipped|Delivered|Collected|Nothing travels)$/ })
    .getByRole('button', { name: new RegExp(`^${name},`) });

/** Walks the test orders until the named one is shown. */
export const chooseTestOrder = async (page: Page, name: string): Promise<Locator> => {
  const preview = await openPreview(page);
  for (let step = 0; step < 30; step += 1) {
    if (await preview.getByRole('heading', { name }).isVisible()) return preview;
    await preview.getByRole('button', { name: 'Next test order' }).click();
  }
  throw new Error(`no test order is named ${name}`);
};

/** Types into a field over what stands there. */
export const fill = async (page: Page, label: string, text: string): Promise<void> => {
  const field = page.getByLabel(label, { exact: true });
  await field.click();
  await field.fill(text);
};

/** Waits until what was changed is on the device. */
export const waitUntilKept = (page: Page): Promise<void> =>
  expect(page.locator('html')).toHaveAttribute('data-storage', 'kept');
