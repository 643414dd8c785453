import { expect, test } from './browser.ts';
import { GALLERY_PORT } from './ports.ts';
import { isPhone, openProgram } from './program.ts';

test.use({ loadsItself: true });

const GALLERY = `http://127.0.0.1:${GALLERY_PORT}/gallery`;
/** Edges of letters may be drawn a little otherwise by another Chromium; a part that moved is more than this. */
const SHARE_OF_PIXELS = 0.02;

test('every part looks as it did, in every state and both themes', async ({ page }) => {
  // A window in which all of it is in sight: what is not is not drawn.
  await page.setViewportSize({ width: isPhone(page) ? 390 : 1_560, height: 6_000 });
  await openProgram(page, GALLERY);
  for (const theme of ['light', 'dark']) {
    const name = `${isPhone(page) ? 'Phone' : 'Wide'}, ${theme}`;
    const panel = page.getByRole('region', { name, exact: true });
    await expect(panel.getByText(/On the map at/)).toBeVisible();
    await expect(panel.getByText('United States', { exact: true }).first()).toBeVisible();
    await expect(panel.getByRole('group', { name: 'The customer’s side', exact: true })).toBeVisible();
    await expect(panel).toHaveScreenshot(`${isPhone(page) ? 'phone' : 'wide'}-${theme}.png`, {
      maxDiffPixelRatio: SHARE_OF_PIXELS,
    });
  }
});

test('the customer’s side of the gallery speaks each language', async ({ page }) => {
  await openProgram(page, GALLERY);
  const side = page.getByRole('group', { name: 'The customer’s side', exact: true }).first();
  await expect(side).toContainText('CAD 22,640.66');
  await page.getByText('Français').click();
  await expect(side).toContainText('Allemagne');
  await expect(side).not.toContainText('CAD 22,640.66');
});

test('the program that is shipped has no gallery', async ({ page }) => {
  await openProgram(page, '/gallery');
  await expect(page.getByRole('heading', { name: 'Not found' })).toBeVisible();
});
