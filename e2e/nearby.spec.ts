import { expect, test, type Locator, type Page } from './browser.ts';
import { readFileSync, writeFileSync } from 'node:fs';
import {
  chooseTestOrder,
  choiceOf,
  closePreview,
  fill,
  isPhone,
  openProgram,
  reopenProgram,
  openPreview,
  waitUntilKept,
} from './program.ts';

const openNearby = async (page: Page, more = ''): Promise<void> => {
  await openProgram(page, `/reach?part=nearby${more}`);
  await expect(page.getByRole('img', { name: /^The neighbourhood: / })).toBeVisible();
};

test('a code says which areas bring orders to it and where they can be collected', async ({ page }) => {
  await openProgram(page, '/reach');
  await page.getByLabel('Where would this code fall?').fill('B3H 2Y9, B2V 1B4, B1P 6K1');
  const answers = page.getByRole('list', { name: 'Where the codes fall' });
  await expect(answers).toContainText('Delivered by Peninsula, by B3H*.');
  await expect(answers).toContainText('Delivered by Harbour ring, by its radius.');
  const sydney = answers.getByRole('listitem').nth(2);
  await expect(sydney).not.toContainText('Delivered by');
  await expect(sydney).not.toContainText('Collected');
});

test('a shape is drawn, moved by mouse and by keys, and undone', async ({ page }) => {
  await openNearby(page);
  await page.getByRole('button', { name: 'Add an area by shape' }).click();
  const corner = page.getByRole('button', { name: 'Corner 1 of New shape' });
  await corner.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const before = await corner.boundingBox();
  if (!before) throw new Error('the corner is not drawn');
  await page.mouse.move(before.x + 11, before.y + 11);
  await page.mouse.down();
  await page.mouse.move(before.x + 41, before.y + 1, { steps: 5 });
  await page.mouse.up();
  await expect
    .poll(async () => Math.round((await corner.boundingBox())?.x ?? 0))
    .toBeGreaterThan(before.x + 20);
  const moved = await corner.boundingBox();
  await corner.focus();
  for (let press = 0; press < 4; press += 1) await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await corner.boundingBox())?.x ?? 0).toBeLessThan((moved?.x ?? 0) - 5);
  await page.getByRole('button', { name: 'Between corner 1 and the next: one more' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^7 corners\./)).toBeVisible();
  await page.getByRole('button', { name: 'Corner 2 of New shape' }).focus();
  await page.keyboard.press('Delete');
  await expect(page.getByText(/^6 corners\./)).toBeVisible();
});

test('a shape is drawn anew on the map, corner by corner', async ({ page }) => {
  await openNearby(page);
  await page.getByRole('button', { name: 'Add an area by shape' }).click();
  await page.getByRole('button', { name: 'Draw it again on the map' }).click();
  const sheet = page.getByRole('application', { name: /^Drawing a shape/ });
  const box = await sheet.boundingBox();
  if (!box) throw new Error('there is no sheet to draw on');
  const corners = [
    [0.3, 0.3],
    [0.6, 0.35],
    [0.7, 0.6],
    [0.35, 0.7],
  ] as const;
  for (const [x, y] of corners) await page.mouse.click(box.x + box.width * x, box.y + box.height * y);
  await expect(page.getByText(/^4 corners\. Press where/)).toBeVisible();
  await page.mouse.click(box.x + box.width * 0.3 + 3, box.y + box.height * 0.3 + 3);
  await expect(sheet).toHaveCount(0);
  await expect(page.getByText(/^4 corners\. Move them/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Corner 4 of New shape' })).toBeVisible();
});

test('a radius says what its edge cuts through, and becomes the list of its codes', async ({ page }) => {
  await openNearby(page, '&area=harbour-ring');
  const panel = page.getByRole('group', { name: 'Where it delivers' });
  await expect(panel).toContainText(/Its edge cuts through .*B3E/);
  await panel.getByRole('button', { name: /^Turn into the \d+ codes it holds$/ }).click();
  await expect(panel.getByLabel(/^Postal codes, pasted/)).toHaveValue(/B2V\*/);
  const preview = await chooseTestOrder(page, 'By van to Cole Harbour');
  await expect(choiceOf(preview, 'Van')).toContainText('11.15');
});

test('the cart comes today before the cut-off, and not at it', async ({ page }) => {
  await openProgram(page);
  const preview = await chooseTestOrder(page, 'Soil to the North End');
  await expect(choiceOf(preview, 'Electric cart, today')).toContainText('8.75');
  await expect(choiceOf(preview, 'Collect at the Nursery')).toContainText('0.00');
  await preview.getByRole('button', { name: 'Change the test order' }).click();
  await fill(page, 'at', '11:00');
  await expect(choiceOf(preview, 'Electric cart, today')).toHaveCount(0);
  await expect(choiceOf(preview, 'Electric cart(?!, today)')).toContainText('6.25');
});

test('a delivery area is priced, switched off, and gone from the preview at once', async ({ page }) => {
  await openNearby(page, '&area=peninsula');
  await fill(page, 'Charge for the order', '7.00');
  const preview = await chooseTestOrder(page, 'Soil to the North End');
  await expect(choiceOf(preview, 'Electric cart(?!, today)')).toContainText('7.75');
  await closePreview(page);
  await page.getByRole('button', { name: 'Switch off', exact: true }).click();
  await openPreview(page);
  await expect(choiceOf(preview, 'Electric cart')).toHaveCount(0);
});

test('the week follows the moment of the test order', async ({ page }) => {
  await openNearby(page, '&area=peninsula');
  const method = page.getByRole('group', { name: 'Delivery method Electric cart, today' });
  await method.getByRole('button', { name: /^Time, / }).click();
  const week = method.getByRole('group', { name: 'The week' });
  await expect(week).toContainText(
    'Ordered Tue 24 Nov, 10:15: ready Tue 24 Nov, 14:00; 3 times to choose from',
  );
  await week.getByRole('button', { name: 'An hour later' }).click();
  await expect(week).toContainText('Ordered Tue 24 Nov, 11:15: ready Wed 25 Nov, 14:00; cut-off 11:00.');
});

test('a pickup point shows how it is to be collected, as customers see it', async ({ page }) => {
  await openNearby(page, '&pickup=nursery-yard');
  await fill(page, 'Charge for collecting', '1.50');
  const seen = page.getByRole('group', { name: 'As customers see it' });
  await expect(seen.getByRole('listitem')).toHaveCount(2);
  await expect(seen).toContainText('Kelp Row');
  const preview = await chooseTestOrder(page, 'Soil to the North End');
  await expect(choiceOf(preview, 'Collect at the Nursery')).toContainText('1.50');
});

test('closed dates come out of a calendar file', async ({ page }) => {
  await openProgram(page, '/settings?part=locations');
  await page.getByRole('button', { name: /^The Nursery/ }).click();
  const year = new Date().getFullYear() + 1;
  const calendar = (entry: string): Buffer =>
    Buffer.from(`BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n${entry}END:VCALENDAR\r\n`);
  const entry =
    `BEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:${year}0101T000000Z\r\nDTSTART;VALUE=DATE:${year}0801\r\n` +
    `DTEND;VALUE=DATE:${year}0803\r\nSUMMARY:Away\r\nEND:VEVENT\r\n`;
  const take = async (buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Import closed dates from a calendar file' }).click();
    await (await chooser).setFiles({ name: 'away.ics', mimeType: 'text/calendar', buffer });
  };
  await take(Buffer.from('no calendar'));
  await expect(page.getByText('Nothing was imported from away.ics.')).toBeVisible();
  await expect(page.getByText('The file is not a calendar that can be read.')).toBeVisible();
  await take(calendar(entry));
  await expect(page.getByText('2 closed dates more, out of away.ics.')).toBeVisible();
  await expect(page.getByLabel(/^Closed on: dates/)).toHaveValue(
    new RegExp(`${year}-08-01 to ${year}-08-02`),
  );
});

const put = async (page: Page, good: string, times: number): Promise<void> => {
  await page.getByLabel('Find', { exact: true }).fill(good);
  for (let time = 0; time < times; time += 1)
    await page.getByRole('button', { name: `Add ${good} to the basket` }).click();
};

const toCheckout = async (page: Page, code: string, town: string): Promise<void> => {
  await page.getByRole('link', { name: /^Basket/ }).click();
  await page.getByRole('button', { name: 'Go to checkout' }).click();
  await page.getByLabel('Full name').fill('Ines Varga');
  await page.getByLabel('E-mail').fill('ines@example.org');
  await page.getByLabel('Street and number').fill('4 Tide Lane');
  await page.getByLabel('Town').fill(town);
  await page.getByLabel('Postal code').fill(code);
  await page.getByLabel('Province or territory', { exact: true }).fill('Nova');
  await page.getByRole('button', { name: 'Nova Scotia', exact: true }).click();
};

test('a day and a time are chosen at the checkout, and stand on the order with a calendar file', async ({
  page,
}) => {
  await openProgram(page, '/shop');
  await put(page, 'Heather, young', 2);
  await toCheckout(page, 'B3H 2Y9', 'Halifax');
  await page.getByRole('radio', { name: /^Electric cart, \d/ }).click();
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('alert')).toContainText('Pick a day or time first.');
  await page.getByRole('radiogroup', { name: 'The day' }).getByRole('radio').nth(1).click();
  await page
    .getByRole('radiogroup', { name: 'The time' })
    .getByRole('radio', { disabled: false })
    .last()
    .click();
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: /^Thank you\. Your order is/ })).toBeVisible();
  await expect(page.getByText(/^\w{3} \d+ \w{3}, \d\d:00 to \d\d:00$/)).toBeVisible();
  await expect(page.getByText('We ring twice. The crate goes back with the next order.')).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Into your calendar' }).click();
  expect((await saved).suggestedFilename()).toMatch(/^order-\d+\.ics$/);
  await waitUntilKept(page);
  await reopenProgram(page, '/today');
  await expect(page.getByRole('list', { name: /^To hand over/ }).getByText('Ines Varga')).toBeVisible();
});

test('a basket that no one way takes is offered and ordered in parts', async ({ page }) => {
  await openProgram(page, '/shop');
  await put(page, 'Potting soil, 20 L', 7);
  await put(page, 'Bamboo canes, 1.8 m, 20', 1);
  await toCheckout(page, 'B2W 3T7', 'Dartmouth');
  const parts = page.getByRole('region', { name: 'In parts' });
  await expect(parts.getByRole('listitem')).toHaveCount(2);
  await expect(parts).toContainText('brought by Van');
  await expect(parts).toContainText('Collect at');
  // The van comes by the day, which is the whole choice; what is collected has a time besides.
  const days = parts.getByRole('radiogroup', { name: 'The day' });
  await expect(days).toHaveCount(2);
  for (const group of await days.all()) await group.getByRole('radio', { disabled: false }).first().click();
  const times = parts.getByRole('radiogroup', { name: 'The time' });
  await expect(times).toHaveCount(1);
  await times.getByRole('radio', { disabled: false }).first().click();
  const sums = page.getByRole('region', { name: 'Order total' });
  await expect(sums).toContainText('Getting it to you, in 2 parts');
  await page.getByRole('button', { name: 'Order in 2 parts' }).click();
  await expect(page.getByRole('heading', { name: /^Thank you\. Your order is/ })).toBeVisible();
  await page.getByRole('button', { name: /^order \d+$/ }).click();
  await expect(page.getByText(isPhone(page) ? /./ : /Potting soil|Bamboo canes/).first()).toBeVisible();
});

test('a time is taken for other tabs while it is held and once it is ordered, and free again once it is given up', async ({
  page,
  context,
}) => {
  const times = async (at: Page): Promise<Locator> => {
    await at.getByRole('radio', { name: /^Electric cart, \d/ }).click();
    await at.getByRole('radiogroup', { name: 'The day' }).getByRole('radio').nth(1).click();
    return at.getByRole('radiogroup', { name: 'The time' }).getByRole('radio');
  };
  const other = await context.newPage();
  for (const at of [page, other]) {
    await openProgram(at, '/shop');
    await put(at, 'Heather, young', 2);
    await toCheckout(at, 'B3H 2Y9', 'Halifax');
  }
  const theirs = (await times(other)).last();
  const mine = await times(page);
  const free = (await theirs.getAttribute('aria-label')) ?? '';
  await mine.last().click();
  await expect(theirs).not.toHaveAccessibleName(free);
  await expect(theirs).toHaveAccessibleName(/, (full|\d left)$/);
  const taken = (await theirs.getAttribute('aria-label')) ?? '';
  await mine.first().click();
  await expect(theirs).toHaveAccessibleName(free);
  await mine.last().click();
  await expect(theirs).toHaveAccessibleName(taken);
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: /^Thank you\. Your order is/ })).toBeVisible();
  await waitUntilKept(page);
  await page.close();
  await expect(theirs).toHaveAccessibleName(taken);
});

test('cash on delivery is not offered where the postal list refuses it', async ({ page }) => {
  await openProgram(page, '/shop');
  await put(page, 'Hand trowel', 1);
  await toCheckout(page, 'B2W 3T7', 'Dartmouth');
  const ways = page.getByRole('radiogroup', { name: 'How you pay' });
  await expect(ways.getByRole('radio', { name: 'At the door' })).toBeVisible();
  await page.getByLabel('Province or territory', { exact: true }).fill('Nunavut');
  await page.getByRole('button', { name: 'Nunavut', exact: true }).click();
  await page.getByLabel('Postal code').fill('X0A 0H0');
  await expect(ways.getByRole('radio', { name: 'By card' })).toBeVisible();
  await expect(ways.getByRole('radio', { name: 'At the door' })).toHaveCount(0);
});

test('a shop that only does pickup works with no zone at all', async ({ page }, info) => {
  await openProgram(page, '/settings?part=data');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the whole shop' }).click();
  const shop = JSON.parse(readFileSync(await (await download).path(), 'utf8')) as {
    book: { groups: { id: string; name: string }[] };
  };
  const none = Object.fromEntries(
    ['zones', 'services', 'rates', 'areas', 'adjustments', 'carriers'].map((part) => [part, []]),
  );
  const groups = shop.book.groups.map(({ id, name }) => ({
    id,
    name,
    shipping: 'any',
    delivery: 'any',
    pickup: 'any',
  }));
  const path = info.outputPath('pickup.json');
  writeFileSync(path, JSON.stringify({ ...shop, book: { ...shop.book, ...none, groups }, testOrders: [] }));
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a file' }).click();
  await (await chooser).setFiles(path);
  await page.getByRole('button', { name: 'Import into the draft' }).click();
  await waitUntilKept(page);
  await reopenProgram(page, '/shop');
  await put(page, 'Hand trowel', 1);
  await toCheckout(page, 'B3H 2Y9', 'Halifax');
  await expect(page.getByRole('radio', { name: /^Collect at the Nursery, / })).toBeVisible();
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: /^Thank you\. Your order is/ })).toBeVisible();
});
