import { expect, test, type Locator, type Page } from './browser.ts';
import { isPhone, openProgram } from './program.ts';
import { walkOf, writtenSteps, type Walk } from './walk.ts';

/** Each job of docs/jobs.md, begun on the page the program opens with, in as many steps as are written there. */
const job = (name: string, walk: (page: Page, walk: Walk) => Promise<void>): void =>
  test(name, async ({ page }) => {
    await openProgram(page, '/today');
    const walked = walkOf(page);
    await walk(page, walked);
    expect(walked.steps(), 'the steps in docs/jobs.md').toBe(writtenSteps(page, name));
  });

const offered = (preview: Locator, name: string): Locator =>
  preview.getByRole('listitem').getByRole('button', { name: new RegExp(`^${name},`) });

const newShop = async (walk: Walk): Promise<void> => {
  await walk.goTo('Settings');
  await walk.press('Data', 'tab');
  await walk.press('Start a shop of your own');
  await walk.enter('Name of the shop', 'Sedge & Slate');
  await walk.pick('Country', 'irel', 'Ireland');
};

const firstProduct = async (walk: Walk): Promise<void> => {
  await walk.enter('A product that you sell', 'Slate board');
  await walk.enter('Its price', '32');
};

/** From the shopfront to an order: what every checkout asks. */
/** Takes the book that was looked at; the program then goes on by itself. */
const useBook = async (page: Page, walk: Walk): Promise<void> => {
  await walk.press('Use this book');
  await expect(page.getByRole('heading', { name: /^(Charges|Reach)$/, level: 1 })).toBeVisible();
};

const order = async (walk: Walk): Promise<void> => {
  await walk.goTo('Shopfront');
  await walk.press('Add Slate board to the basket');
  await walk.press(/^Basket/, 'link');
  await walk.press('Go to checkout');
};

const openCell = async (page: Page, walk: Walk, service: string, zone: string): Promise<void> => {
  await walk.press('Charges', 'link');
  if (isPhone(page)) await walk.press(zone, 'tab');
  await walk.press(new RegExp(`^${service} to ${zone}:`));
};

const giveFile = async (page: Page, walk: Walk, button: string, text: string): Promise<void> => {
  const chooser = page.waitForEvent('filechooser');
  await walk.press(button);
  await (await chooser).setFiles({ name: 'codes.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
};

job('From the first zone to the first order', async (page, walk) => {
  await newShop(walk);
  await walk.press('Next');
  await walk.press('Everywhere');
  await walk.press('Next');
  await firstProduct(walk);
  await walk.enter('Its weight', '1.2 kg');
  await walk.enter('Parcel, Ireland', '7.50');
  await walk.enter('Parcel, Everywhere else', '19');
  await walk.press('Next');
  await walk.press('Look at the book');
  await useBook(page, walk);
  await order(walk);
  await walk.enter('Full name', 'Orla Finch');
  await walk.enter('E-mail', 'orla@example.org');
  await walk.enter('Street and number', '9 Weir Row');
  await walk.enter('Town', 'Sligo');
  await walk.enter('Eircode', 'F91 X2Y3');
  await expect(page.getByRole('radio', { name: 'Parcel, 7.50' })).toBeChecked();
  await walk.press('Place the order');
  await expect(page.getByRole('heading', { name: 'Thank you. Your order is 1001.' })).toBeVisible();
});

job('Steps by weight', async (page, walk) => {
  await openCell(page, walk, 'Parcel', 'North');
  await walk.press('Add a rate');
  await walk.press('Steps');
  await walk.enter('Charge from 0 kg', '14');
  await walk.press('Add a step');
  await walk.enter('Weight from, step 2', '5');
  await walk.enter('Charge from 5 kg', '26.50');
  await walk.press('Switch on');
  await expect(page.getByRole('img', { name: /26\.50/ })).toBeVisible();
});

job('Free from a subtotal', async (page, walk) => {
  await openCell(page, walk, 'Parcel', 'West');
  await walk.press('Limits, handling and more');
  await walk.enter('Free from a subtotal of', '90');
  await expect(page.getByRole('main')).toContainText('90.00');
});

job('A carrier’s prices, with a fallback', async (page, walk) => {
  await openCell(page, walk, 'Pallet', 'Maritimes');
  await walk.press('Carrier');
  await walk.press('Fulmar ground', 'checkbox');
  const without = page.getByRole('group', { name: 'If the carrier does not answer' });
  await walk.press('Charge an amount', 'button', without);
  await walk.enter('Amount', '38', without);
  await expect(offered(await walk.seePreview(), 'Fulmar ground')).toBeVisible();
});

job('Postal codes pasted into a new zone', async (_, walk) => {
  await walk.press('Charges', 'link');
  await walk.press('Add a zone');
  await walk.enter('Name of the new zone', 'Harbour');
  await walk.enter('Its places: CA, CA-NS, or CA: B3H*, B3J*', 'CA: B2G* B3H 4R2; B3J-B3K');
  await walk.press('Add the zone');
  await expect(await walk.seePreview()).toContainText('zone Harbour, by B2G*');
});

job('A delivery area by radius', async (page, walk) => {
  await walk.press('Reach', 'link');
  await walk.press('Neighbourhood', 'tab');
  await walk.press('Add an area by radius');
  await walk.enter('From The Nursery, up to', '12');
  await walk.enter('Charge for the order', '5.50');
  await walk.press('Switch on');
  await expect(page.getByRole('list', { name: 'Delivery areas' })).toContainText('within 12 km');
});

job('A shop that only collects', async (page, walk) => {
  await newShop(walk);
  await walk.press('Shipped to them', 'checkbox');
  await walk.press('Collected at your place, free of charge', 'checkbox');
  await walk.press('Next');
  await firstProduct(walk);
  await walk.press('Next');
  await walk.press('Look at the book');
  await useBook(page, walk);
  await order(walk);
  await walk.enter('Full name', 'Orla Finch');
  await walk.enter('E-mail', 'orla@example.org');
  await expect(page.getByRole('radio', { name: /^Collect at Sedge & Slate/ })).toBeChecked();
  await walk.press('Place the order');
  await expect(page.getByRole('heading', { name: 'Thank you. Your order is 1001.' })).toBeVisible();
});

job('A postal list from a file', async (page, walk) => {
  await walk.press('Reach', 'link');
  await walk.press('Postal list', 'tab');
  await giveFile(
    page,
    walk,
    'Open a CSV or spreadsheet',
    'code,days,served,payable at the door\nB2G*,2,yes,yes\nB3*,,no,no\n',
  );
  await walk.press('Import into the draft');
  await expect(page.getByRole('list', { name: 'Postal list' }).getByRole('listitem')).toHaveCount(2);
});

job('Countries closed', async (page, walk) => {
  await walk.press('Reach', 'link');
  await walk.enter('Find a country', 'Germany, France, Poland');
  await walk.press('Close all 3 shown');
  await expect(page.getByText(/^New countries start open\. 7 countries closed: /)).toBeVisible();
});

job('Import charges', async (page, walk) => {
  await walk.press('Charges', 'link');
  await walk.press('Duties', 'tab');
  await walk.press('Add a rate');
  await walk.enter('Country', 'Switzerland');
  await walk.enter('Duty', '3.5');
  await walk.enter('Import tax', '8.1');
  const rates = page.getByRole('list', { name: 'Rates of duty' }).getByRole('listitem');
  await expect(rates.filter({ hasText: 'Switzerland' })).toContainText('duty 3.5 % · import tax 8.1 %');
});

job('A test order that guards a rule', async (page, walk) => {
  const preview = await walk.seePreview();
  await walk.press(/^Express, two days,/, 'button', preview);
  await walk.press('Express, two days: expect this', 'button', preview);
  await walk.leavePreview();
  await openCell(page, walk, 'Express', 'Maritimes');
  const twoDay = page.getByRole('group', { name: 'Fulmar two-day' });
  await walk.enter('Change by %', '10', twoDay);
  await walk.press('Check', 'link');
  const broken = page.getByRole('listitem', { name: 'Two pots to Antigonish: not as expected' });
  await expect(broken).toContainText('Express, two days');
});

job('An order handed over', async (page, walk) => {
  await walk.press('Send out: order 988');
  await walk.press('Hand over: order 988');
  await expect(page.getByText(/12 orders to hand over/)).toBeVisible();
});
