import { expect, test, type Locator, type Page } from './browser.ts';
import { openProgram, reopenProgram, waitUntilKept } from './program.ts';

const orderOf = (page: Page, number: string): Locator =>
  page.getByRole('listitem', { name: `Order ${number}` });

test('is what the program opens with: orders as the day goes, test orders, problems, what the draft changes', async ({
  page,
}) => {
  await openProgram(page, '/');
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await expect(page.getByText(/13 orders to hand over/)).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ada Moss' })).toContainText('fallback charged');
  await expect(page.getByRole('heading', { name: 'Pinned test orders' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Two pots to Antigonish: into the preview' })).toContainText(
    '17.30',
  );
  await expect(page.getByText(/keep customers from buying/)).toBeVisible({ timeout: 60_000 });
  // The same split as on the page of problems, which lists them apart.
  await expect(page.getByText(/^\d+ only in very large orders$/)).toBeVisible();
  await expect(page.getByText(/Heavy pots/).first()).toBeVisible();
});

test('a day is worked through: packed, set off, handed over, undone, and kept over a reload', async ({
  page,
}) => {
  await openProgram(page, '/today');
  const cart = orderOf(page, '988');
  await expect(cart).toContainText('packed');
  await cart.getByRole('button', { name: 'Send out: order 988' }).click();
  await expect(cart).toContainText('on its way');
  await cart.getByRole('button').first().click();
  await expect(cart.getByRole('list', { name: 'What is packed' })).toContainText('Heather, young');
  await cart.getByRole('button', { name: 'Undo the last step' }).click();
  await expect(cart.getByRole('button', { name: 'Send out: order 988' })).toBeVisible();
  const collected = orderOf(page, '995');
  await collected.getByRole('button', { name: 'Hand over: order 995' }).click();
  await expect(collected).toHaveCount(0);
  await expect(page.getByText(/12 orders to hand over/)).toBeVisible();
  await waitUntilKept(page);
  await reopenProgram(page);
  await expect(page.getByText(/12 orders to hand over/)).toBeVisible();
  await expect(orderOf(page, '995')).toHaveCount(0);
});

test('an order is packed and booked with its carrier, and the booking cancelled', async ({ page }) => {
  await openProgram(page, '/today');
  const parcel = orderOf(page, '999');
  await parcel.getByRole('button', { name: 'Pack: order 999' }).click();
  await parcel.getByRole('button', { name: 'Book: order 999' }).click();
  await expect(parcel).toContainText('booked');
  await parcel.getByRole('button').first().click();
  await expect(parcel).toContainText(/Tracking number FU/);
  await parcel.getByRole('button', { name: 'Cancel the shipment' }).click();
  await expect(parcel.getByRole('button', { name: 'Book: order 999' })).toBeVisible();
});

test('the round has its stops in a sensible order, on the map and as files', async ({ page }) => {
  await openProgram(page, '/today');
  const stops = page.getByRole('list', { name: 'Stops of the round from The Nursery' });
  await expect(stops.getByRole('listitem')).not.toHaveCount(0);
  await expect(page.getByText(/stops?, [\d.]+ km there and back as the crow flies/)).toBeVisible();
  await page.getByRole('button', { name: 'On the map' }).click();
  await expect(page.getByRole('img', { name: /^The round: / })).toBeVisible();
  for (const [label, ending] of [
    ['Save as CSV', 'csv'],
    ['Save as GeoJSON', 'geojson'],
  ] as const) {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: label }).click();
    expect((await saved).suggestedFilename()).toMatch(new RegExp(`-round-.*\\.${ending}$`));
  }
});

test('lists for picking and packing are made as PDF', async ({ page }) => {
  await openProgram(page, '/today');
  for (const [label, name] of [
    [/^Picking list for/, /^picking-/],
    ['Packing lists', /^packing-/],
  ] as const) {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: label }).click();
    expect((await saved).suggestedFilename()).toMatch(name);
  }
});

test('orders go out as CSV and come back, and a faulty row is named', async ({ page }) => {
  await openProgram(page, '/settings?part=orders');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import orders from a CSV' }).click();
  const head = 'number,placed_at,kind,choice,choice_name,charge,goods';
  const rows = [
    '7001,2026-11-20T10:00:00-04:00,shipping,parcel-maritimes,Parcel,1030,2 x trowel',
    '7002,soon,shipping,p,P,1,x',
  ];
  await (
    await chooser
  ).setFiles({ name: 'o.csv', mimeType: 'text/csv', buffer: Buffer.from([head, ...rows].join('\n')) });
  await expect(page.getByText('Imported 1 order from o.csv.')).toBeVisible();
  await expect(page.getByRole('alert').first()).toContainText('row 3');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect((await saved).suggestedFilename()).toMatch(/-orders-.*\.csv$/);
});
