import { readFileSync } from 'node:fs';
import { expect, test } from './browser.ts';
import {
  chooseTestOrder,
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

test('a step changed moves the preview, with the old figure struck', async ({ page }) => {
  await openProgram(page);
  await openCell(page, 'Parcel', 'Maritimes');
  await fill(page, 'Charge from 5 kg', '10.50');
  if (isPhone(page)) await expect(page.getByTestId('preview-strip')).toContainText('17.3012.30');
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName('Parcel, 12.30, was 17.30: how it adds up');
  await expect(preview.getByText('17.30', { exact: true })).toHaveCSS('text-decoration-line', 'line-through');
  await closePreview(page);
  await expect(page.getByRole('img', { name: /0.50 less from 5 kg/ })).toBeVisible();
});

test('a line of the working leads to its rule', async ({ page }) => {
  await openProgram(page);
  const preview = await openPreview(page);
  await choiceOf(preview, 'Parcel').click();
  await preview.getByRole('link', { name: 'Weight 6.4 kg, from 5 kg: 15.50. Go to its rule' }).click();
  await expect(page.getByRole('heading', { name: 'Parcel to Maritimes' })).toBeVisible();
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('15.50');
});

test('a customer in a zone without a rate is told, never charged 0', async ({ page }) => {
  await openProgram(page);
  const preview = await chooseTestOrder(page, 'An urn to Iqaluit');
  await expect(preview.getByRole('alert')).toContainText('has no choice: the order cannot be placed');
  await expect(choiceOf(preview, '.*')).toHaveCount(0);
  const reason = preview.getByRole('link', { name: /^Parcel: Parcel has no rate in North\./ });
  await reason.click();
  await expect(page.getByText('Parcel has no rate here: customers in North cannot choose it')).toBeVisible();
  await page.getByRole('button', { name: 'Add a rate' }).click();
  await expect(page.getByText('Switched off: give it a price, then switch it on.')).toBeVisible();
  await fill(page, 'Charge for the order', '42');
  await page.getByRole('button', { name: 'Switch on' }).click();
  const again = await openPreview(page);
  await expect(choiceOf(again, 'Parcel')).toHaveAccessibleName('Parcel, 54.00: how it adds up');
  await choiceOf(again, 'Parcel').click();
  await expect(again.getByText('Glazed urn, 48 cm, extra fee per order line: 6.00')).toBeVisible();
});

test('a reload keeps the draft and its history', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=parcel');
  await fill(page, 'Charge from 5 kg', '10.50');
  await waitUntilKept(page);
  await reopenProgram(page);
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('10.50');
  await page.getByRole('button', { name: 'Undo: Parcel to Maritimes: price' }).click();
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('15.50');
  await waitUntilKept(page);
  await reopenProgram(page);
  await expect(page.getByRole('button', { name: 'Redo: Parcel to Maritimes: price' })).toBeEnabled();
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('10.50');
});

test('a field left half-typed keeps its last sound value and says so', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=parcel');
  await fill(page, 'Charge from 5 kg', 'abc');
  await page.getByRole('heading', { level: 1 }).click();
  await expect(page.getByRole('alert')).toHaveText('Write an amount, such as 12.50. Kept: 15.50');
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('15.50');
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
});

test('rows from a leaflet become steps, by the last value they hold', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=parcel');
  await page.getByRole('button', { name: 'Paste rows' }).click();
  await fill(
    page,
    'Rows to paste',
    'Weight\tPrice\nup to and including 2 kg\t9.10\nup to and including 7 kg\t13.20',
  );
  await expect(page.getByText('From 0 kg: 9.10; 2.001 kg: 13.20; ends before 7.001 kg')).toBeVisible();
  await expect(page.getByText('Line 1 was not understood: Weight Price')).toBeVisible();
  await page.getByRole('button', { name: 'Put 2 steps in place of the 4' }).click();
  await expect(page.getByLabel('Charge from 2.001 kg', { exact: true })).toHaveValue('13.20');
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(/^Parcel, 15.00/);
});

test('a limit, a handling and a least charge each change what the customer sees', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=parcel');
  await page.getByRole('button', { name: 'Limits, handling and more' }).click();
  await fill(page, 'Handling amount', '2.30');
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(
    'Parcel, 17.80, was 17.30: how it adds up',
  );
  await closePreview(page);
  await fill(page, 'Never less than', '25');
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(
    'Parcel, 25.00, was 17.80: how it adds up',
  );
  await closePreview(page);
  await fill(page, 'Weight, at most', '6 kg');
  const preview = await openPreview(page);
  await expect(preview.getByText('no longer offered')).toBeVisible();
  await expect(choiceOf(preview, 'Parcel')).toHaveCount(0);
});

test('a service and a zone are added, named, left out, and removed with a way back', async ({ page }) => {
  await openProgram(page);
  await page.getByRole('button', { name: 'Add a service' }).click();
  await page.getByRole('button', { name: 'Add the service' }).click();
  await expect(page.getByText('A name is needed, of at most 120 characters.')).toBeVisible();
  await fill(page, 'Name of the new service', 'Night mail');
  await page.getByRole('button', { name: 'Add the service' }).click();
  await page.getByRole('button', { name: 'Add a zone' }).click();
  await fill(page, 'Name of the new zone', 'Halifax');
  await fill(page, 'Its places: CA, CA-NS, or CA: B3H*, B3J*', 'Atlantis');
  await page.getByRole('button', { name: 'Add the zone' }).click();
  await expect(page.getByText('“Atlantis” is not a place')).toBeVisible();
  await fill(page, 'Its places: CA, CA-NS, or CA: B3H*, B3J*', 'B2G*, B3H*');
  await page.getByRole('button', { name: 'Add the zone' }).click();
  const preview = await openPreview(page);
  await expect(preview.getByText('zone Halifax, by B2G*')).toBeVisible();
  await closePreview(page);
  await openCell(page, 'Night mail', 'Halifax');
  await page.getByRole('button', { name: 'Not offered here, on purpose' }).click();
  await expect(
    page.getByRole('main').getByText('Night mail is deliberately not offered in Halifax.'),
  ).toBeVisible();
  await waitUntilKept(page);
  await openProgram(page, '/charges?service=night-mail&panel=service');
  await page.getByRole('button', { name: 'Remove the service' }).click();
  await expect(page.getByText('Removed Night mail with 0 rates.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByRole('button', { name: 'Service Night mail' }).first()).toBeVisible();
});

test('a zone is renamed, copied with its rates and moved', async ({ page }) => {
  await openProgram(page, '/charges?zone=central&panel=zone');
  await fill(page, 'Zone', 'Middle');
  await page.getByRole('button', { name: 'Copy the zone' }).click();
  await expect(page.getByText('Copied Middle with its rates.', { exact: false })).toBeVisible();
  await waitUntilKept(page);
  await openProgram(page, '/charges?zone=middle-copy&service=parcel');
  await expect(page.getByRole('heading', { name: 'Parcel to Middle, copy' })).toBeVisible();
  await expect(page.getByLabel('Charge from 0 kg', { exact: true })).toHaveValue('10.50');
});

test('all rates of a zone are raised by a percentage and rounded, and one undo takes it back', async ({
  page,
}) => {
  await openProgram(page, '/charges?zone=maritimes&panel=zone');
  await page.getByRole('button', { name: 'Raise or lower all' }).click();
  await page.getByRole('button', { name: 'Change 4 rates' }).click();
  await expect(page.getByText('Write by how much, such as 5 or -2.5.')).toBeVisible();
  await fill(page, 'By how many %', '10');
  await page.getByRole('button', { name: 'Change 4 rates' }).click();
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName('Parcel, 18.85, was 17.30: how it adds up');
  await closePreview(page);
  await page.keyboard.press('Control+z');
  await expect(choiceOf(await openPreview(page), 'Parcel')).toHaveAccessibleName(/^Parcel, 17.30/);
});

test('a rate is copied to other zones', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=parcel');
  await page.getByRole('button', { name: 'Copy to other zones' }).click();
  await page.getByRole('checkbox', { name: 'North' }).click();
  await page.getByRole('button', { name: 'Copy to 1 zone' }).click();
  const preview = await chooseTestOrder(page, 'An urn to Iqaluit');
  await choiceOf(preview, 'Parcel').click();
  await expect(choiceOf(preview, 'Parcel')).toHaveAccessibleName(/^Parcel, 0.00/);
  await expect(preview.getByText('Subtotal 119.00 reaches 85.00: free')).toBeVisible();
});

test('undo by keys while a field is being typed in takes the whole visit back', async ({ page }) => {
  await openProgram(page, '/charges?zone=maritimes&service=parcel');
  await fill(page, 'Charge from 5 kg', '10.50');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('15.50');
  await fill(page, 'Charge from 5 kg', '9');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).not.toBeFocused();
  await expect(page.getByLabel('Charge from 5 kg', { exact: true })).toHaveValue('9.00');
});

test('a price of another kind, and the parcels it counts, move the preview at once', async ({ page }) => {
  await openProgram(page, '/settings');
  await page.getByRole('button', { name: 'by count' }).click();
  await fill(page, 'Units to a parcel', '1');
  await waitUntilKept(page);
  await reopenProgram(page, '/charges?zone=maritimes&service=pallet');
  await page.getByRole('button', { name: 'parcel', exact: true }).click();
  await fill(page, 'Charge for a parcel', '40');
  await fill(page, 'The first parcel, where it costs something else', '50');
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Pallet')).toContainText('93.60');
  await choiceOf(preview, 'Pallet').click();
  await expect(preview.getByText('First parcel: 50.00, 1 more at 40.00')).toBeVisible();
  await closePreview(page);
  await page.getByRole('button', { name: 'Percent', exact: true }).click();
  await expect(page.getByLabel('but at least', { exact: true })).toHaveValue('40.00');
});

test('the rates are saved as a list, changed in it, looked through and imported; undo takes them back', async ({
  page,
}) => {
  await openProgram(page, '/charges');
  await page.getByRole('button', { name: /^As a list, rates: / }).click();
  const saved = async (button: string): Promise<Buffer> => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    return readFileSync(await (await download).path());
  };
  const open = async (name: string, buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Import rates' }).click();
    await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer });
  };
  await open('rates.xlsx', await saved('Save as a spreadsheet'));
  await expect(page.getByText('Nothing would change.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Import into the draft' })).toBeDisabled();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: /^As a list, rates: / }).click();
  const rows = (await saved('Save as CSV')).toString('utf8');
  const changed = rows
    .replace(/^(Maritimes,Parcel,steps,weight,2000 g,)11\.00/m, '$111.80')
    .replace(/^(Central,Parcel,steps,weight,0 g,)10\.50/m, '$1dear');
  await open('rates.csv', Buffer.from(changed));
  await expect(page.getByText(/^row \d+, Amount: “dear” was not understood: write an amount/)).toBeVisible();
  await expect(page.getByRole('list', { name: 'Changes' })).toHaveText(
    /^Parcel to Maritimes, from 2000 gAmount 11\.00 11\.80$/,
  );
  await page.getByRole('button', { name: /^Import \d+ rows without faults$/ }).click();
  await expect(page.getByText(/^1 change imported from rates\.csv\. \d rows not imported\.$/)).toBeVisible();
  await openCell(page, 'Parcel', 'Maritimes');
  await expect(page.getByLabel('Charge from 2 kg', { exact: true })).toHaveValue('11.80');
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect(page.getByLabel('Charge from 2 kg', { exact: true })).toHaveValue('11.00');
});
