import { expect, test, type Locator, type Page } from './browser.ts';
import { choiceOf, closePreview, openProgram, reopenProgram, openPreview, waitUntilKept } from './program.ts';

const FULMAR = '/charges?part=carriers&account=fulmar';

const toCheckout = async (page: Page, good: string): Promise<void> => {
  await openProgram(page, '/shop');
  await page.getByLabel('Find', { exact: true }).fill(good);
  await page.getByRole('button', { name: `Add ${good} to the basket` }).click();
  await page.getByRole('link', { name: /^Basket/ }).click();
  await page.getByRole('button', { name: 'Go to checkout' }).click();
};

const sendTo = async (
  page: Page,
  code: string,
  region: string,
  regionLabel = 'Province or territory',
): Promise<void> => {
  await page.getByLabel(/^(Postal|ZIP) code$/).fill(code);
  await page.getByLabel(regionLabel, { exact: true }).fill(region.slice(0, 4));
  await page.getByRole('button', { name: region, exact: true }).click();
};

/** Writes over what stands in a field, and leaves it. */
const write = async (field: Locator, text: string): Promise<void> => {
  await field.click();
  await field.fill(text);
  await field.blur();
};

/** Has a carrier fail for this page alone. */
const failing = async (page: Page, carrier: string): Promise<void> => {
  await page.route(`**/api/carriers/${carrier}/rates`, (route) => route.abort('connectionrefused'));
};

test('a carrier’s services stand in the preview with their working, and the parcels are drawn', async ({
  page,
}) => {
  await openProgram(page, '/charges');
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Express, two days')).toContainText('33.67');
  await choiceOf(preview, 'Express, two days').click();
  await expect(preview).toContainText('Fulmar Parcel, Fulmar two-day: 32.07');
  await expect(preview).toContainText('5 % of 32.07 more');
  await expect(preview).toContainText('Fulmar Parcel is asked about 1 parcel');
  const parcels = preview.getByRole('button', { name: /1 parcel/ });
  await expect(parcels).toHaveCount(2);
  await parcels.last().click();
  await expect(preview.getByRole('img', { name: /Twin pot carton, .*\d+ % full/ })).toBeVisible();
});

test('an account is connected: refused with the wrong secret, then answered', async ({ page }) => {
  await openProgram(page, FULMAR);
  await page.getByRole('button', { name: 'your own account' }).click();
  await write(page.getByLabel('Account number'), 'T7-55208');
  await write(page.getByLabel('Secret'), 'guess');
  await page.getByRole('button', { name: 'Test the connection' }).click();
  await expect(
    page.getByText(/refused the question: the account number and the secret do not go together/),
  ).toBeVisible();
  await write(page.getByLabel('Secret'), 'skerry');
  await page.getByRole('button', { name: 'Test the connection' }).click();
  await expect(page.getByText(/It answered: 3 services/)).toBeVisible();
  await expect(page.getByText('skerry')).toHaveCount(0);
  await expect(page.getByLabel('Secret')).toHaveValue('');
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Express, two days')).not.toContainText('33.67');
});

test('a service is offered under another name, dearer, and free from a subtotal', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=express');
  const twoDay = page.getByRole('group', { name: 'Fulmar two-day' });
  await write(twoDay.getByLabel('Under the name'), 'Quick');
  await write(twoDay.getByLabel('Change by %'), '10 %');
  let preview = await openPreview(page);
  await expect(choiceOf(preview, 'Quick')).toContainText('35.28');
  await closePreview(page);
  await write(twoDay.getByLabel('Free from'), '70');
  preview = await openPreview(page);
  await expect(choiceOf(preview, 'Quick')).toContainText('0.00');
  await closePreview(page);
  await page.getByRole('button', { name: 'only the cheapest', exact: true }).click();
  preview = await openPreview(page);
  await expect(choiceOf(preview, 'Express, overnight')).toHaveCount(0);
});

test('a rate becomes a carrier’s, and offers nothing until a service is ticked', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=pallet');
  await page.getByRole('button', { name: 'Carrier', exact: true }).click();
  await expect(page.getByText('Services offered')).toBeVisible();
  let preview = await openPreview(page);
  await expect(choiceOf(preview, 'Pallet')).toHaveCount(0);
  await closePreview(page);
  await page.getByRole('checkbox', { name: 'Fulmar ground' }).click();
  preview = await openPreview(page);
  await expect(choiceOf(preview, 'Fulmar ground')).toBeVisible();
});

test('a carrier that is down falls back to the shop’s own price at checkout', async ({ page }) => {
  await failing(page, 'fulmar');
  await toCheckout(page, 'Hand trowel');
  await sendTo(page, 'B2G 2L2', 'Nova Scotia');
  await expect(page.getByRole('radio', { name: 'Express, 24.00' })).toBeVisible();
  await expect(page.getByRole('radio', { name: /two days/ })).toHaveCount(0);
});

test('without a fallback a carrier that is down is not offered, never free', async ({ page }) => {
  await failing(page, 'cairn');
  await toCheckout(page, 'Bamboo canes, 1.8 m, 20');
  await sendTo(page, 'M5V 1J1', 'Ontario');
  await expect(page.getByText('We cannot take this order as it is.')).toBeVisible();
  await expect(page.getByText('free', { exact: true })).toHaveCount(0);
});

test('sandbox prices are marked at checkout and in the preview', async ({ page }) => {
  await toCheckout(page, 'Bamboo canes, 1.8 m, 20');
  await sendTo(page, 'M5V 1J1', 'Ontario');
  await expect(page.getByRole('radio', { name: /Cairn pallet/ })).toBeVisible();
  await expect(page.getByText(/sandbox prices, for trying out only/)).toBeVisible();
});

test('import charges are paid on arrival or now, side by side, and the sum says which', async ({ page }) => {
  await toCheckout(page, 'Glazed pot, 26 cm');
  await page.getByLabel('Country', { exact: true }).fill('United St');
  await page.getByRole('button', { name: 'United States', exact: true }).click();
  await sendTo(page, '04101', 'Maine', 'State');
  const onArrival = page.getByRole('radio', { name: /^Parcel, .*import charges on arrival/ });
  const paidNow = page.getByRole('radio', { name: /^Parcel, .*import charges paid now/ });
  await expect(onArrival).toContainText('about 2.20');
  await expect(paidNow).toContainText('Import charges of 11.40 are paid now');
  const sums = page.getByRole('region', { name: 'Order total' });
  await onArrival.click();
  await expect(sums).not.toContainText('Import charges');
  await paidNow.click();
  await expect(sums).toContainText('Import charges, paid now');
  await expect(sums).toContainText('11.40');
});

test('the test order’s parcels are booked, their label opened, and the shipment cancelled', async ({
  page,
}) => {
  await openProgram(page, FULMAR);
  await page.getByRole('button', { name: /^Book Fulmar ground/ }).click();
  const shipment = page.getByRole('group', { name: 'The shipment' });
  await expect(shipment).toContainText(/FU\d{10}[\dX]/);
  const download = page.waitForEvent('download');
  await shipment.getByRole('button', { name: 'Open the label' }).click();
  expect((await download).suggestedFilename()).toMatch(/^label-FU.*\.pdf$/);
  await shipment.getByRole('button', { name: 'Cancel the shipment' }).click();
  await expect(shipment).toContainText('Cancelled');
});

test('steps out of what the carrier takes are proposed, and taken into the draft', async ({ page }) => {
  await openProgram(page, FULMAR);
  await page.getByLabel('For your service').fill('Parc');
  await page.getByRole('button', { name: 'Parcel', exact: true }).click();
  await write(page.getByLabel('Steps, at most'), '3');
  await page.getByRole('button', { name: 'Ask the carrier' }).click();
  await expect(page.getByText(/^Covers \d+ of \d+ past orders/)).toBeVisible();
  await page.getByRole('button', { name: 'Put into the draft: Parcel to Maritimes' }).click();
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toContainText('not as expected');
});

test('a carrier is told to fail, and the connection says so until it is sound again', async ({ page }) => {
  await openProgram(page, '/charges?part=carriers');
  await page.getByRole('button', { name: /Let a carrier fail/ }).click();
  const gannet = page.getByRole('group', { name: 'Gannet Post' });
  await gannet.getByRole('button', { name: 'refuses' }).click();
  await page.getByRole('link', { name: 'Gannet Post' }).click();
  const test = page.getByRole('button', { name: 'Test the connection' });
  await test.click();
  await expect(page.getByText(/Gannet Post refused the question/)).toBeVisible();
  await page.getByRole('button', { name: 'Carriers' }).first().click();
  // What is set stays in sight.
  await page.getByRole('group', { name: 'Gannet Post' }).getByRole('button', { name: 'normal' }).click();
  await page.getByRole('link', { name: 'Gannet Post' }).click();
  await page.getByRole('button', { name: 'Test the connection' }).click();
  await expect(page.getByText(/It answered/)).toBeVisible();
});

test('a box is added, sized and packed into', async ({ page }) => {
  await openProgram(page, '/goods?panel=boxes');
  await page.getByRole('button', { name: 'Add a box' }).click();
  await page.getByRole('button', { name: 'New box', exact: true }).click();
  const panel = page.getByRole('group', { name: 'New box' });
  await write(panel.getByLabel(/^Inside/), '0 x 20 x 10 cm');
  await expect(panel.getByText('Each side must be more than 0.')).toBeVisible();
  await write(panel.getByLabel(/^Inside/), '57 x 29 x 26 cm');
  await expect(panel.getByText(/No plan packs into it/)).toBeVisible();
  await waitUntilKept(page);
  await reopenProgram(page, FULMAR);
  await page.getByRole('checkbox', { name: 'New box' }).click();
  await expect(page.getByRole('checkbox', { name: 'New box' })).toBeChecked();
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Express, two days')).toBeVisible();
});
