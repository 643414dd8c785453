import { readFileSync } from 'node:fs';
import readWorkbook from 'read-excel-file/node';
import { expect, test, type Page } from './browser.ts';
import { choiceOf, ONCE, openProgram, reopenProgram, openPreview, waitUntilKept } from './program.ts';

const ROWS = 100_000;
const ROWS_FIGURE = '100,000';

/** A carrier's list of so many rows, ten weights for each code. */
const bigTable = (rows: number): string =>
  [
    'country,postal code,from (kg),to (kg),price',
    ...Array.from({ length: rows }, (_, at) => {
      const step = at % 10;
      const code = 10_000 + Math.floor(at / 10);
      return `US,${code},${step},${step === 9 ? '' : step + 1},${(5 + step + (code % 7) / 4).toFixed(2)}`;
    }),
  ].join('\n');

const giveFile = async (page: Page, button: string, name: string, text: string): Promise<void> => {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button }).click();
  await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
};

test(
  'a table of 100,000 rows is read beside the page, prices a rate, and comes out as it was',
  ONCE,
  async ({ page }) => {
    await openProgram(page, '/charges?part=tables');
    await page.getByRole('button', { name: 'Add a table' }).click();
    await giveFile(page, 'Open a CSV', 'leaflet.csv', bigTable(ROWS));
    await expect(page.getByText('rows understood')).toBeVisible({ timeout: 30_000 });
    await expect(page.getByRole('region', { name: 'What it holds' })).toContainText(ROWS_FIGURE);
    await page.getByRole('button', { name: 'Import into the draft' }).click();
    await expect(page.getByText(`By weight, ${ROWS_FIGURE} rows.`)).toBeVisible({ timeout: 30_000 });
    await page.getByLabel('Find a place or an amount').fill('US 10123');
    await expect(page.getByText(`10 of ${ROWS_FIGURE} rows`)).toBeVisible();
    await waitUntilKept(page);

    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as CSV' }).click();
    const first = readFileSync(await (await saved).path(), 'utf8');
    expect(first.split('\r\n')).toHaveLength(ROWS + 2);
    await giveFile(page, 'Open a CSV', 'again.csv', first);
    await page.getByRole('button', { name: 'Import into the draft' }).click({ timeout: 30_000 });
    await expect(page.getByRole('button', { name: /^Undo: .*: imported again\.csv$/ })).toBeVisible({
      timeout: 30_000,
    });
    const again = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as CSV' }).click();
    expect(readFileSync(await (await again).path(), 'utf8') === first).toBe(true);

    await reopenProgram(page);
    await expect(page.getByText(`By weight, ${ROWS_FIGURE} rows.`)).toBeVisible({ timeout: 30_000 });
  },
);

test('the reading of a file can be stopped, and nothing has changed', async ({ page }) => {
  await openProgram(page, '/charges?part=tables&table=pallets-west');
  // A fast machine has read the file before a test could press: it is pressed in the moment that it is there.
  await page.evaluate(() => {
    document.documentElement.dataset['stopped'] = 'no';
    const press = (): void => {
      const stop = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Stop');
      if (!stop) return;
      watching.disconnect();
      document.documentElement.dataset['stopped'] = 'yes';
      stop.click();
    };
    const watching = new MutationObserver(press);
    watching.observe(document.body, { subtree: true, childList: true });
  });
  await giveFile(page, 'Open a CSV', 'huge.csv', bigTable(200_000));
  await expect(page.locator('html')).toHaveAttribute('data-stopped', 'yes');
  await expect(page.getByText('By weight, 30 rows.')).toBeVisible();
});

test('a postal list out of a file is used at once, in the preview and where a code would fall', async ({
  page,
}) => {
  await openProgram(page, '/reach?part=postal');
  await giveFile(
    page,
    'Open a CSV',
    'pins.csv',
    'Pincode,COD,Serviceable,Delivery days\nB2G*,Y,yes,2\nB3*,N,no,\nwhat?!,N,no,\n',
  );
  await expect(page.getByRole('alert')).toContainText('row 4, Code');
  await expect(page.getByLabel('Country of the codes, where a row names none')).toHaveValue('Canada');
  await page.getByRole('button', { name: 'Import 2 rows without faults' }).click();
  await expect(page.getByRole('list', { name: 'Postal list' }).getByRole('listitem')).toHaveCount(2);
  const preview = await openPreview(page);
  await expect(choiceOf(preview, 'Parcel')).toContainText('Thu 26 Nov · ');
});

test('codes of another country, and columns nobody knows, are asked about before a postal list is taken', async ({
  page,
}) => {
  await openProgram(page, '/reach?part=postal');
  const lines = page.getByRole('list', { name: 'Postal list' }).getByRole('listitem');
  await expect(lines.first()).toBeVisible();
  const before = await lines.count();
  await giveFile(page, 'Open a CSV', 'hub.csv', 'Pincode,Hub,COD\n97201,PDX-2,Y\n97202,PDX-2,N\n');
  await expect(page.getByRole('alert').filter({ hasText: '97201' })).toContainText('a postal code of Canada');
  await page.getByLabel('Country of the codes, where a row names none').fill('United States');
  await page.getByRole('button', { name: 'United States', exact: true }).click();
  const take = page.getByRole('button', { name: 'Import into the draft' });
  await expect(page.getByText('1 column is not recognised.', { exact: false })).toBeVisible();
  await expect(page.getByText('PDX-2 · PDX-2')).toBeVisible();
  await expect(take).toBeDisabled();
  await page.getByRole('button', { name: 'Do not import them' }).click();
  await page.getByRole('button', { name: 'Add to the list' }).click();
  await take.click();
  await expect(lines).toHaveCount(before + 2);
});

test('what the shop says of a postal code on a good’s page is true at the checkout', async ({ page }) => {
  await openProgram(page, '/shop');
  await page.getByRole('link', { name: 'Trowel', exact: false }).first().click();
  const check = page.getByRole('group', { name: 'Does it reach you?' });
  await check.getByLabel('Your postal code').fill('B3H 4R2');
  await expect(check).toContainText(
    /Reaches you by .* for \d+\.\d\d.*; you can pay at the door; you can collect it from /,
  );
  await check.getByLabel('Your postal code').fill('B3S 0B9');
  await expect(check).toContainText(/^(?!.*Reaches you).*You can collect it from .* free\./s);
  await page.getByRole('button', { name: 'Add to the basket' }).click();
  await page.getByRole('button', { name: 'Go to checkout' }).click();
  await page.getByLabel('Full name').fill('Ada Larch');
  await page.getByLabel('Phone').fill('902 555 0117');
  await page.getByLabel('Street and number').fill('4 Kelp Row');
  await page.getByLabel('Town').fill('Halifax');
  await page.getByLabel('Postal code').fill('B3H 4R2');
  await page.getByLabel('Province or territory').fill('Nova');
  await page.getByRole('button', { name: 'Nova Scotia' }).click();
  await expect(
    page.getByText(/^Reaches you by .*; you can pay at the door; you can collect it from /),
  ).toBeVisible();
  await page
    .getByRole('radiogroup', { name: 'How you pay' })
    .getByRole('radio', { name: 'At the door' })
    .click();
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: /Your order is \d+/ })).toBeVisible();
  await expect(page.getByText('At the door')).toBeVisible();
});

test('a list goes out as a spreadsheet and comes back: products, a table and the postal list', async ({
  page,
}) => {
  const saveSheet = async (): Promise<{ name: string; bytes: Buffer }> => {
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a spreadsheet' }).click();
    const download = await saved;
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const openSheet = async (name: string, bytes: Buffer): Promise<void> => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open a CSV or spreadsheet' }).click();
    await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer: bytes });
  };
  await openProgram(page, '/goods');
  const products = await saveSheet();
  expect(products.name).toMatch(/-goods-.*\.xlsx$/);
  const [sheet] = await readWorkbook(products.bytes);
  expect(sheet?.data[0]?.slice(0, 3)).toEqual(['Stock number', 'Name', 'Price']);
  expect(typeof sheet?.data[1]?.[2]).toBe('number');
  await openSheet('products.xlsx', products.bytes);
  await expect(page.getByText('Nothing would change.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await openSheet('spoilt.xlsx', products.bytes.subarray(0, 500));
  await expect(page.getByText(/spoilt\.xlsx was not read: the spreadsheet cannot be read/)).toBeVisible();

  await reopenProgram(page, '/charges?part=tables&table=pallets-west');
  const table = await saveSheet();
  await openSheet('pallets.xlsx', table.bytes);
  await expect(page.getByText('rows understood')).toBeVisible();
  await page.getByRole('button', { name: 'Import into the draft' }).click();
  await expect(page.getByText('By weight, 30 rows.')).toBeVisible();

  await reopenProgram(page, '/reach?part=postal');
  const postal = await saveSheet();
  const lines = page.getByRole('list', { name: 'Postal list' }).getByRole('listitem');
  const before = await lines.count();
  await openSheet('codes.xlsx', postal.bytes);
  await page.getByRole('button', { name: 'Import into the draft' }).click();
  await expect(lines).toHaveCount(before);
});

test('the shop’s texts go out as a list, come back translated, and customers read them', async ({ page }) => {
  await openProgram(page, '/settings?part=languages');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const csv = readFileSync(await (await saved).path(), 'utf8');
  expect(csv).toContain('Used for,Text,French');
  expect(csv).toContain('Ways to get an order,Parcel,Colis');
  expect(csv).toContain('Products,"Planting plan, PDF",\r\n');
  const back = csv.replace('"Planting plan, PDF",', '"Planting plan, PDF",Plan de plantation');
  await giveFile(
    page,
    'Import translations',
    'french.csv',
    `${back}Products,Garden gnome,Nain de jardin\r\n`,
  );
  await expect(page.getByRole('alert')).toContainText('“Garden gnome” is not one of your texts');
  await expect(
    page.getByText(/^The import replaces the French of each text that the file translates/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Import 64 rows without faults' }).click();
  await expect(page.getByText('Imported 61 translations from french.csv. 1 row not imported.')).toBeVisible();
  await expect(page.getByText('French: 61 of 64 texts translated')).toBeVisible();
  await waitUntilKept(page);
  await reopenProgram(page, '/shop');
  await page.getByRole('button', { name: 'Serve the draft' }).click();
  await page.getByRole('button', { name: 'Français' }).click();
  await expect(page.getByText('Plan de plantation', { exact: true })).toBeVisible();
});
