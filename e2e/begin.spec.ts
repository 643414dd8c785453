import { expect, test, type Page } from './browser.ts';
import {
  choiceOf,
  closePreview,
  fill,
  openProgram,
  reopenProgram,
  openPreview,
  waitUntilKept,
} from './program.ts';

const choose = async (page: Page, label: string, text: string, name: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('button', { name, exact: true }).click();
};
const on = async (page: Page, then: string): Promise<void> => {
  await page.getByRole('button', { name: /^(Next|Look at the book)$/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: then })).toBeVisible();
};

/** Puts the product of the new shop into the basket and goes to checkout. */
const buyTheBoard = async (page: Page): Promise<void> => {
  await reopenProgram(page, '/shop');
  await page.getByRole('button', { name: 'Add Slate board to the basket' }).click();
  await page.getByRole('link', { name: /^Basket/ }).click();
  await page.getByRole('button', { name: 'Go to checkout' }).click();
};

/** What a new shop still lacks is listed on Today; publishing it takes the line away. */
const toDosGoAway = async (page: Page): Promise<void> => {
  await page.getByRole('link', { name: 'Today' }).click();
  const list = page.getByRole('list', { name: 'Still to do' });
  await list.getByRole('link', { name: 'Publish the shop' }).click();
  await page.getByLabel('A note for this edition').fill('The first prices');
  await page.getByRole('button', { name: 'Publish the draft' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('link', { name: 'Publish the shop' })).toHaveCount(0);
};

test('five questions lead to a book, and the book to a first order', async ({ page }) => {
  await openProgram(page, '/settings?part=data');
  await page.getByRole('button', { name: 'Start a shop of your own' }).click();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByText('Choose the country that you send from.')).toBeVisible();
  await page.getByLabel('Name of the shop').fill('Sedge & Slate');
  await choose(page, 'Country', 'irel', 'Ireland');
  await page.getByRole('checkbox', { name: 'Delivered by you, nearby' }).click();
  await expect(page.getByLabel('Currency', { exact: true })).toHaveValue('Euro');
  await page.getByLabel('Tax on sales at home (optional)').fill('VAT');
  await page.getByLabel('its percentage').fill('23');
  await page.getByRole('button', { name: 'are without it' }).click();
  await on(page, 'Where to?');
  await page.getByRole('button', { name: 'Everywhere' }).click();
  await on(page, 'What do you sell?');
  await page.getByLabel('A product that you sell').fill('Slate board');
  await page.getByLabel('Its price').fill('32');
  await page.getByLabel('Its weight').fill('1.2 kg');
  await page.getByLabel('Parcel, Ireland').fill('7.50');
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByText('Write an amount, such as 12.50.')).toBeVisible();
  await page.getByLabel('Parcel, Everywhere else').fill('19');
  await on(page, 'When are you open?');
  await on(page, 'Where do you bring orders to?');
  await page.getByLabel('Postal codes nearby').fill('F91, F92 A1C2');
  await expect(page.getByText('2 patterns: F91*, F92 A1C2')).toBeVisible();
  await page.getByLabel('Charge', { exact: true }).fill('4');
  await on(page, 'Your first book');
  await expect(page.getByRole('region', { name: 'The first book' })).toContainText('Brought by us');
  await page.getByRole('button', { name: 'Use this book' }).click();
  await expect(choiceOf(await openPreview(page), 'Parcel')).toContainText('7.50');
  await closePreview(page);
  await waitUntilKept(page);
  await toDosGoAway(page);

  await buyTheBoard(page);
  await page.getByLabel('Full name').fill('Orla Finch');
  await page.getByLabel('E-mail').fill('orla@example.org');
  await page.getByLabel('Street and number').fill('9 Weir Row');
  await page.getByLabel('Town').fill('Sligo');
  await page.getByLabel('Eircode').fill('F91 X2Y3');
  await page.getByRole('radio', { name: 'Brought by us, 4.00' }).click();
  await expect(page.getByRole('region', { name: 'Order total' })).toContainText('44.28');
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: 'Thank you. Your order is 1001.' })).toBeVisible();
});

test('an empty book says what it lacks on every page', async ({ page }) => {
  await openProgram(page, '/begin');
  await page.getByRole('button', { name: 'Skip the questions: an empty book' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Reach' })).toBeVisible();
  await page.getByRole('link', { name: 'Charges' }).click();
  await expect(page.getByText('It still lacks a zone and a service.')).toBeVisible();
  await page.getByRole('link', { name: 'Products' }).click();
  await expect(page.getByRole('button', { name: 'Add a product' }).first()).toBeVisible();
  await expect(await openPreview(page)).toContainText('No test order yet');
  await closePreview(page);
  await waitUntilKept(page);
  await reopenProgram(page, '/shop');
  await expect(page.getByText('Nothing is sold here yet.')).toBeVisible();
  await reopenProgram(page, '/settings?part=locations');
  await expect(page.getByText(/A location is a place of yours/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a location' }).click();
  await page.getByRole('button', { name: /^New location/ }).click();
  await fill(page, 'Open on Monday', '9am-5pm');
  await expect(page.getByLabel('Open on Monday')).toHaveValue('9am-5pm');
});

test('a shop that only collects is asked nothing of shipping, and its customer collects', async ({
  page,
}) => {
  await openProgram(page, '/begin');
  await page.getByLabel('Name of the shop').fill('Sedge & Slate');
  await choose(page, 'Country', 'irel', 'Ireland');
  await page.getByRole('checkbox', { name: 'Shipped to them' }).click();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByText('Choose at least one.')).toBeVisible();
  await page.getByRole('checkbox', { name: /^Collected at your place/ }).click();
  await on(page, 'What do you sell?');
  await expect(page.getByText('Question 2 of 3.')).toBeVisible();
  await expect(page.getByText('What you charge for sending one order')).toHaveCount(0);
  await page.getByLabel('A product that you sell').fill('Slate board');
  await page.getByLabel('Its price').fill('32');
  await on(page, 'When are you open?');
  await on(page, 'Your first book');
  await page.getByRole('button', { name: 'Use this book' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Reach' })).toBeVisible();
  await expect(choiceOf(await openPreview(page), 'Collect at Sedge & Slate')).toContainText('0.00');
  await closePreview(page);
  await waitUntilKept(page);

  await buyTheBoard(page);
  await expect(page.getByText('We write as soon as it is ready.', { exact: true })).toBeVisible();
});

/** A shop of one product that brings orders to what was pasted, begun question by question. */
const beginNearby = async (
  page: Page,
  {
    country: [typed, name],
    price,
    weight,
    post,
    codes,
    read,
    tax = '',
  }: Record<'price' | 'weight' | 'post' | 'codes' | 'read', string> & {
    country: [string, string];
    tax?: string;
  },
): Promise<void> => {
  await openProgram(page, '/begin');
  await page.getByLabel('Name of the shop').fill('Sedge & Slate');
  await choose(page, 'Country', typed, name);
  await page.getByRole('checkbox', { name: 'Delivered by you, nearby' }).click();
  if (tax !== '') await page.getByLabel('its percentage').fill(tax);
  await on(page, 'Where to?');
  await on(page, 'What do you sell?');
  await page.getByLabel('A product that you sell').fill('Slate board');
  await page.getByLabel('Its price').fill(price);
  await page.getByLabel('Its weight').fill(weight);
  await page.getByLabel(`Parcel, ${name}`).fill(post);
  await on(page, 'When are you open?');
  await on(page, 'Where do you bring orders to?');
  await page.getByLabel('Postal codes nearby').fill(codes);
  await expect(page.getByText(read)).toBeVisible();
  await page.getByLabel('Charge', { exact: true }).fill('9');
  await on(page, 'Your first book');
  await page.getByRole('button', { name: 'Use this book' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Charges' })).toBeVisible();
  await waitUntilKept(page);
};

/** A place whose codes are on no map has none drawn, until its coordinates are written. */
const putOnTheMap = async (page: Page, coordinates: string): Promise<void> => {
  await reopenProgram(page, '/reach?part=nearby');
  await page.getByRole('button', { name: 'Add an area by shape' }).click();
  await expect(page.getByText(/so there is no map to draw on/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'The neighbourhood' })).toHaveCount(0);
  await page.getByRole('link', { name: /Settings, Locations/ }).click();
  await page.getByRole('button', { name: /^Sedge & Slate/ }).click();
  await fill(page, 'Coordinates: latitude, longitude', 'in town');
  await expect(page.getByText('Write latitude and longitude', { exact: false })).toBeVisible();
  await fill(page, 'Coordinates: latitude, longitude', coordinates);
  await waitUntilKept(page);
  await reopenProgram(page, '/reach?part=nearby');
  await expect(page.getByRole('img', { name: 'The neighbourhood' })).toBeVisible();
};

test('a code with a dash of its own is pasted, in lists and ranges, and reaches checkout', async ({
  page,
}) => {
  await beginNearby(page, {
    country: ['pola', 'Poland'],
    ...{ price: '120 zł', weight: '1,2 kg', post: '14,50' },
    codes: '00-950, 00-001 - 00-099 01*',
    read: '3 patterns: 00-950, 00-001 to 00-099, 01*',
  });
  await putOnTheMap(page, '52.2297° N, 21.0122° E');

  await buyTheBoard(page);
  await expect(page.getByText('Shown once this is filled in: Postal code.')).toBeVisible();
  await page.getByLabel('Postal code').fill('00-042');
  await expect(page.getByRole('radio', { name: 'Brought by us, 9.00' })).toBeVisible();
});

test('British districts are pasted by name and take no other; prices there contain the tax, as checkout says', async ({
  page,
}) => {
  await beginNearby(page, {
    country: ['united k', 'United Kingdom'],
    ...{ price: '£32', weight: '1.2 kg', post: '4.50' },
    codes: 'e1, IV1-IV28; AB31 5',
    tax: '20',
    read: 'E1, E1W, IV1 to IV28, AB31 5',
  });
  await reopenProgram(page, '/reach?part=nearby');
  await expect(page.getByText('E1, E1W, IV1 to IV28, AB31 5').first()).toBeVisible();

  await buyTheBoard(page);
  const brought = page.getByRole('radio', { name: 'Brought by us, 9.00' });
  await page.getByLabel('Postcode').fill('E1 6AN');
  await brought.click();
  await expect(page.getByRole('region', { name: 'Order total' })).toContainText(
    /GBP.41\.00.*of which VAT, 20 %/,
  );
  await page.getByLabel('Postcode').fill('E10 7QL');
  const parcel = page.getByRole('radio', { name: 'Parcel, 4.50' });
  await expect(parcel).toBeVisible();
  await expect(brought).toHaveCount(0);

  await parcel.click();
  await page.getByLabel('Full name').fill('Ivo Larch');
  await page.getByLabel('E-mail').fill('ivo@example.org');
  await page.getByLabel('Street and number').fill('3 Weir Row');
  await page.getByLabel('Town').fill('London');
  await page.getByRole('button', { name: 'Place the order' }).click();
  await expect(page.getByRole('heading', { name: /^Thank you/ })).toBeVisible();
  await expect(page.getByRole('main')).toContainText(/Total.*GBP.36\.50.*of which taxes.*6\.08/);
});
