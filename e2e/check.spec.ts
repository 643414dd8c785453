import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { expect, test } from './browser.ts';
import {
  choiceOf,
  closePreview,
  fill,
  isPhone,
  openCell,
  openProgram,
  reopenProgram,
  openPreview,
  waitUntilKept,
} from './program.ts';

test('a test order is told what is right in its preview, and breaks when a rule changes it', async ({
  page,
}) => {
  await openProgram(page);
  const preview = await openPreview(page);
  await choiceOf(preview, 'Express, two days').click();
  await preview.getByRole('button', { name: 'Express, two days: expect this' }).click();
  await expect(preview.getByText('as expected')).toHaveCount(2);
  await closePreview(page);
  await openCell(page, 'Parcel', 'Maritimes');
  await fill(page, 'Charge from 5 kg', '10.50');
  await waitUntilKept(page);
  await reopenProgram(page, '/check');
  const broken = page.getByRole('listitem', { name: 'Two pots to Antigonish: not as expected' });
  await expect(broken).toContainText('Expected: Parcel to Maritimes costs 17.30. Got: costs 12.30.');
  await expect(page.getByText(/^19 of 20 test orders as expected, 1 not as expected\.$/)).toBeVisible();
  if (isPhone(page)) await expect(page.getByRole('tab', { name: 'Test orders' })).toBeVisible();
});

test('the audit finds what the demo leaves open, shows an order, leads to the rule, and lets it be meant', async ({
  page,
}) => {
  await openProgram(page, '/check?part=problems');
  const stops = page.getByRole('list', { name: 'Stops' });
  const heavy = stops.getByRole('button', {
    name: /Some orders above 450 kg cannot be bought in Newfoundland and Labrador: /,
  });
  await heavy.click({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Show an order' }).click();
  const preview = await openPreview(page);
  await expect(preview.getByRole('alert')).toContainText('has no choice: the order cannot be placed');
  await closePreview(page);
  await page.getByRole('button', { name: 'This is intended: accept it' }).click();
  await expect(page.getByRole('button', { name: 'Accept it' })).toBeDisabled();
  await page.getByLabel('Why it is intended').fill('Asked for by telephone');
  await page.getByRole('button', { name: 'Accept it' }).click();
  await expect(page.getByRole('list', { name: 'Accepted' })).toContainText(
    'Accepted: Asked for by telephone',
  );
  const falls = page.getByRole('button', { name: /Parcel to West costs 2\.50 less from 10 kg/ });
  await falls.click();
  await page.getByRole('button', { name: 'To Parcel to West' }).click();
  await expect(page.getByRole('heading', { name: 'Parcel to West' })).toBeVisible();
});

test('one value mends a problem where it is told: what is wrong is refused, what is right makes it go', async ({
  page,
}) => {
  await openProgram(page, '/check?part=problems');
  const gloves = page.getByRole('button', {
    name: /^Leather gloves, one alone, cannot be bought in 8 zones/,
  });
  await expect(gloves).toBeVisible({ timeout: 60_000 });
  const size = page.getByRole('textbox', { name: 'Size of Leather gloves' });
  await size.fill('large');
  await page.getByRole('button', { name: 'Save: Size of Leather gloves' }).click();
  await expect(page.getByText('Write three sides, such as 30 x 20 x 15 cm.')).toBeVisible();
  await size.fill('24 x 12 x 4 cm');
  await page.getByRole('button', { name: 'Save: Size of Leather gloves' }).click();
  await expect(gloves).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(gloves).toBeVisible();

  const missing = page.getByRole('button', { name: /^Parcel has no rate in North/ });
  await page.getByRole('textbox', { name: 'Price of Parcel to North' }).fill('38.50');
  await page.getByRole('button', { name: 'Save: Price of Parcel to North' }).click();
  await expect(missing).toBeHidden();
  const heavy = page.getByRole('button', { name: /^Some orders above 450 kg cannot be bought in West/ });
  await heavy.click();
  await expect(page.getByPlaceholder('now 450 kg')).toBeVisible();
  await page.getByRole('textbox', { name: 'Pallet to West takes up to' }).fill('600 kg');
  await page.getByRole('button', { name: 'Save: Pallet to West takes up to' }).click();
  await expect(page.getByText(/^Some orders above 600 kg cannot be bought in West/)).toBeVisible();
});

test('a problem offers the repairs that were found to work, with what they change, and undo takes them back', async ({
  page,
}) => {
  await openProgram(page, '/check?part=problems');
  const frost = page.getByRole('button', { name: /^“Frost on the road”: Live plants/ });
  await frost.click({ timeout: 60_000 });
  const repairs = page.getByRole('list', { name: 'Ways to fix it' });
  await expect(repairs).toContainText(
    'Heather to Winnipeg in the frost: gains Parcel and Express, two days.',
  );
  await repairs.getByRole('button', { name: 'Switch off “Frost on the road”' }).click();
  await expect(frost).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(frost).toBeVisible();
});

test('a draft is published with a note, serves the shop, and an edition is gone back to', async ({
  page,
}) => {
  await openProgram(page, '/check?part=publish');
  await expect(page.getByRole('list', { name: 'What the draft changes' }).getByRole('listitem')).toHaveCount(
    2,
  );
  await expect(page.getByRole('group', { name: 'Past orders' })).toContainText(
    /Of the newest 1,000 past orders/,
    {
      timeout: 30_000,
    },
  );
  await expect(page.getByRole('button', { name: 'Price all 4,013 orders' })).toBeVisible();
  const publish = page.getByRole('button', { name: 'Publish the draft' });
  await expect(publish).toBeDisabled();
  await page.getByLabel('A note for this edition').fill('Heavy pots cost more');
  await page.getByLabel('Reason for publishing anyway').fill('Large orders are asked for by telephone');
  await expect(publish).toBeEnabled({ timeout: 60_000 });
  await publish.click();
  const editions = page.getByRole('list', { name: 'Editions' });
  await expect(editions.getByRole('listitem')).toHaveCount(2);
  await waitUntilKept(page);
  await reopenProgram(page, '/shop');
  await expect(page.getByText('The shopfront, edition 2')).toBeVisible();
  await page.getByRole('button', { name: 'Serve the draft' }).click();
  await expect(page.getByText('The shopfront, from the draft')).toBeVisible();
  await reopenProgram(page, '/check?part=publish');
  await editions.getByRole('button', { name: /^Edition 1/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save for a quote service' }).click();
  const saved = await download;
  expect(saved.suggestedFilename()).toBe('wrack-thistle.edition-1.json');
  const { digest, edition, testOrders } = JSON.parse(readFileSync(await saved.path(), 'utf8')) as {
    digest: string;
    edition: { number: number };
    testOrders: unknown[];
  };
  expect(edition.number).toBe(1);
  expect(testOrders.length).toBeGreaterThan(10);
  expect(createHash('sha256').update(JSON.stringify({ edition, testOrders })).digest('hex')).toBe(digest);
  await page.getByRole('button', { name: 'Make it the draft again' }).click();
  await expect(page.getByText('The draft changes 2 things.', { exact: false })).toBeVisible();
});
