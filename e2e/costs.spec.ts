import { readFileSync } from 'node:fs';
import { expect, test } from './browser.ts';
import { fill, isPhone, ONCE, openCell, openProgram } from './program.ts';

test('a figure of the board by margin leads to its orders, and they are saved', async ({ page }) => {
  await openProgram(page, '/charges?part=costs');
  await expect(page.getByText(/^4,013 orders from /)).toBeVisible();
  await page.getByRole('button', { name: /^Parcel to Newfoundland and Labrador: \d+ orders, / }).click();
  const orders = page.getByRole('list', { name: 'Orders, the greatest losses first' });
  await expect(orders.getByRole('button').first()).toHaveAccessibleName(/^W?\d+, Parcel, St. John’s: -/);
  await orders.getByRole('button').first().click();
  await expect(page.getByText(/^Order W?\d+, .*; charged [\d.,]+; .*cost .*[\d.,]+\.$/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).last().click();
  expect((await download).suggestedFilename()).toMatch(/-costs-\d{4}-\d\d-\d\d\.csv$/);
});

test('the board by margin is put in another order, and saved as it stands', async ({ page }) => {
  await openProgram(page, '/charges?part=costs');
  const figures = page.getByRole('button', {
    name: /^(Seed mail|Parcel|Express|Pallet) to .*: \d+ orders?, /,
  });
  await expect(figures.first()).toHaveAccessibleName(/ to Maritimes: /);
  await page.getByRole('button', { name: 'Most lost first' }).click();
  await expect(figures.first()).toHaveAccessibleName(/ to Central: /);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/-margin-\d{4}-\d\d-\d\d\.csv$/);
  const rows = readFileSync(await file.path(), 'utf8')
    .trim()
    .split(/\r?\n/);
  expect(rows[0]).toBe('place,service,orders,charged,with_cost,estimated,cost,margin');
  expect(rows[1]).toMatch(/^Central,/);
  const orders = rows.slice(1).map((row) => Number(row.split(',')[2]));
  expect(orders.reduce((sum, each) => sum + each, 0)).toBe(4_013);
});

test('a threshold is moved, judged and put into the draft; undo takes it back', async ({ page }) => {
  await openProgram(page, '/charges');
  await openCell(page, 'Parcel', 'Maritimes');
  await page.getByRole('button', { name: 'What past orders cost' }).click();
  await expect(page.getByLabel('Where', { exact: true })).toHaveValue('Parcel to Maritimes');
  await expect(page.getByText(/^Best while at most 5 % of orders pay more: /)).toBeVisible();
  await fill(page, 'Free delivery from', 'much');
  await expect(page.getByRole('alert')).toBeVisible();
  await fill(page, 'Free delivery from', '120');
  await expect(page.getByText(/^\d+ of 4,\d{3} orders pay more, by [\d.]+ on average\./)).toBeVisible();
  for (const [button, ending] of [
    ['Save the chart as SVG', 'svg'],
    ['Save as PNG', 'png'],
  ] as const) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).first().click();
    const file = await download;
    expect(file.suggestedFilename()).toMatch(new RegExp(`^wrack-thistle-what-if-.*\\.${ending}$`));
    const start = readFileSync(await file.path())
      .subarray(0, 4)
      .toString('latin1');
    expect(start).toBe(ending === 'svg' ? '<svg' : '\x89PNG');
  }
  await page.getByRole('slider').press('ArrowLeft');
  await expect(page.getByLabel('Free delivery from', { exact: true })).not.toHaveValue('120.00');
  await page.getByRole('button', { name: /^Move to / }).click();
  const moved = await page.getByLabel('Free delivery from', { exact: true }).inputValue();
  await page.getByRole('button', { name: 'Put into the draft' }).click();
  await expect(
    page.getByText(`In the draft: Parcel to Maritimes: free delivery from ${moved}.`),
  ).toBeVisible();
  await page.getByRole('tab', { name: 'Board' }).click();
  if (isPhone(page)) await page.getByRole('tab', { name: 'Maritimes', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Parcel to Maritimes:/ })).toHaveAccessibleName(
    new RegExp(`free from ${moved}$`),
  );
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.getByRole('button', { name: /^Parcel to Maritimes:/ })).toHaveAccessibleName(
    /free from 85\.00$/,
  );
});

test('steps that follow the costs are found, put into the draft, and refused when too fine', async ({
  page,
}) => {
  await openProgram(page, '/charges?part=costs&view=steps');
  await page.getByRole('button', { name: 'Stop measuring' }).click();
  await page.getByRole('button', { name: 'Measure past orders' }).click();
  await expect(page.getByRole('list', { name: 'Steps of Parcel to Maritimes beside costs' })).toBeVisible();
  const step = page.getByRole('button', { name: /^The step from 2 kg: \d+ orders$/ });
  await step.click();
  const orders = page.getByRole('list', { name: 'Orders, the greatest losses first' });
  await expect(orders.getByRole('button').first()).toHaveAccessibleName(/, Parcel, /);
  await step.click();
  await page.getByRole('button', { name: /^Chart, Parcel to Maritimes: / }).click();
  await expect(
    page.getByRole('img', { name: /^Costs and charges by step of Parcel to Maritimes\. / }),
  ).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the chart as SVG' }).click();
  const drawing = readFileSync(await (await download).path(), 'utf8');
  expect(drawing.match(/>from [\d.]+ k?g</g)).toHaveLength(4);
  await fill(page, 'Steps begin at every', '1 g');
  await fill(page, 'Charges rounded to', '0.01');
  await page.getByRole('button', { name: 'Find the fewest steps' }).click();
  await expect(page.getByText(/^There are too many places and charges/)).toBeVisible();
  await fill(page, 'Steps begin at every', '1 kg');
  await fill(page, 'Charges rounded to', '0.50');
  await page.getByRole('button', { name: 'Find the fewest steps' }).click();
  await page.getByRole('button', { name: 'Put into the draft: Parcel to Maritimes' }).click();
  await expect(page.getByText('Parcel to Maritimes has the new steps in the draft.')).toBeVisible();
  // What was typed stays, while the orders are measured anew with the change.
  await expect(page.getByLabel('Steps begin at every', { exact: true })).toHaveValue('1 kg');
});

test('carriers are compared over the orders of a period', async ({ page }) => {
  await openProgram(page, '/charges?part=costs&view=carriers');
  await page.getByRole('button', { name: '30 days' }).click();
  await page.getByRole('button', { name: 'Ask the carriers about past orders' }).click();
  await expect(page.getByRole('table', { name: 'Prices by zone and weight' })).toBeVisible();
  const fold = page.getByRole('button', { name: /^Orders, Gannet Post: / });
  await fold.click();
  const orders = page.getByRole('list', { name: 'Orders at the prices of Gannet Post' });
  await expect(orders.getByRole('button').first()).toHaveAccessibleName(
    /: [\d.,]+, [\d.,]+ above the cheapest$/,
  );
  await fold.click();
  await expect(page.getByRole('list', { name: 'Accounts' }).getByRole('listitem')).toHaveCount(3);
});

test('past orders from elsewhere are looked at, imported and counted among the costs', async ({ page }) => {
  await openProgram(page, '/charges?part=costs');
  await page.getByRole('button', { name: 'Import past orders' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import past orders from elsewhere' }).click();
  const today = new Date().toISOString().slice(0, 10);
  const buffer = Buffer.from(
    `Order no;Created at;Shipping method;Postage;Label cost;Total weight (g);Items total;ZIP;Clerk\n` +
      `Z-1;${today};Parcel;12,50;1 900,00;1200;48,00;B3H 2Y9;Ada\nZ-2;soon;Parcel;9,00;;800;20,00;B3H 2Y9;Bram\n`,
  );
  await (await chooser).setFiles({ name: 'shipped.csv', mimeType: 'text/csv', buffer });
  await expect(page.getByText(/^“soon” was not understood|Date: “soon” was not understood/)).toBeVisible();
  await expect(page.getByText('1 column is not recognised.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Do not import them' }).click();
  await page.getByRole('button', { name: 'Import 1 row without faults' }).click();
  await expect(page.getByText('Imported 1 order from shipped.csv. 1 row not imported.')).toBeVisible();
  await page.getByRole('link', { name: 'Charges' }).click();
  await page.getByRole('tab', { name: 'Costs' }).click();
  await expect(page.getByText(/^4,014 orders from /)).toBeVisible();
  await page.getByRole('button', { name: /^Parcel to Maritimes: \d+ orders, / }).click();
  await page.getByLabel('Find an order').fill('Z-1');
  await page.getByRole('button', { name: /^Z-1, Parcel: -1,887\.50$/ }).click();
  await expect(
    page.getByText(/^Order Z-1, .*; 1\.2 kg; products 48\.00; charged 12\.50; cost 1,900\.00\.$/),
  ).toBeVisible();
});

test('past orders are packed again, a box leads to its orders, and the box that saves most goes into the draft', async ({
  page,
}) => {
  await openProgram(page, '/charges?part=costs&view=packing');
  await page.getByRole('button', { name: '30 days' }).click();
  await fill(page, 'Weight to', '5 kg');
  await page.getByRole('button', { name: 'Pack past orders again' }).click();
  await expect(page.getByRole('list', { name: 'Ways of packing' })).toBeVisible();
  const box = page.getByRole('button', { name: /^Medium carton: .* full$/ });
  await box.click();
  const orders = page.getByRole('list', { name: 'Orders, the greatest losses first' });
  await expect(orders.getByRole('button').first()).toBeVisible();
  await box.click();
  await fill(page, 'Inside at most', '56 x 52');
  await expect(page.getByRole('alert')).toContainText('Write three sides');
  await fill(page, 'Inside at most', '56 x 52 x 54 cm');
  await page.getByRole('button', { name: 'Find the box that saves most' }).click();
  await expect(
    page.getByText(/^[\d.]+ × [\d.]+ × [\d.]+ cm inside saves [\d.,]+ over the period/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put into the draft: Fulmar Parcel packs into it' }).click();
  await expect(page.getByText(/^Fulmar Parcel packs into Carton .* too, in the draft\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
});

test('a rate priced by another account is tried over past orders, and put into the draft', async ({
  page,
}) => {
  await openProgram(page, '/charges?part=costs&view=what-if');
  await page.getByRole('button', { name: '30 days' }).click();
  await page.getByRole('button', { name: 'Carrier, packing' }).click();
  const field = page.getByLabel('What instead', { exact: true });
  await field.click();
  await field.fill('Express to West');
  await page.getByRole('button', { name: 'Express to West, by the cheapest of Gannet Post' }).click();
  await page.getByRole('button', { name: 'See what it would do' }).click();
  await expect(
    page.getByText(/pays? (more|less), by [\d.]+ on average\.|No order pays more\./),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put into the draft' }).click();
  await expect(
    page.getByText('In the draft: Express to West, by the cheapest of Gannet Post.'),
  ).toBeVisible();
  await expect(page.getByText('The draft has this now. Choose another to compare with it.')).toBeVisible();
  await expect(field).toHaveValue('Express to West, by the cheapest of Gannet Post');
});

test('on paper stands the page alone, in ink on white, at its whole length', ONCE, async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await openProgram(page, '/charges?part=costs&view=what-if');
  await expect(page.getByText(/^Best while at most 5 % of orders pay more: /)).toBeVisible();
  const isLight = (): Promise<boolean> =>
    page
      .getByRole('heading', { name: 'Charges' })
      .evaluate((heading) => Number(/\d+/.exec(getComputedStyle(heading).color)?.[0]) > 128);
  expect(await isLight()).toBe(true);
  await page.emulateMedia({ colorScheme: 'dark', media: 'print' });
  await expect.poll(isLight).toBe(false);
  await expect(page.getByRole('tab', { name: 'Board' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Free from' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Carrier, packing' })).toBeHidden();
  const [length, window] = await page.evaluate(() => [document.documentElement.scrollHeight, innerHeight]);
  expect(length).toBeGreaterThan(window ?? 0);
  // A narrower sheet than the window takes the whole chart.
  const chart = page.getByRole('img', { name: /^Margin along / });
  await chart.evaluate((picture) => picture.setAttribute('style', 'width: 200px'));
  expect((await chart.locator('svg').boundingBox())?.width).toBe(200);
  await page.emulateMedia({ colorScheme: 'light', media: 'screen' });
});
