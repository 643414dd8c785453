import { expect, type Page } from './browser.ts';
import { isPhone, openPreview, openProgram } from './program.ts';

export type State = (page: Page) => Promise<unknown>;

/** What the merchant may see of the program, each state with the way there from the demo as it is first opened. */
export const MERCHANT_STATES: Record<string, State> = {
  'the board': (page) => openProgram(page),
  'a rate': async (page) => {
    await openProgram(page, '/charges?zone=west&service=parcel');
    await page.getByRole('button', { name: 'Limits, handling and more' }).click();
    await page.getByRole('button', { name: 'Paste rows' }).click();
  },
  'a missing rate': (page) => openProgram(page, '/charges?zone=north&service=parcel'),
  'a zone': async (page) => {
    await openProgram(page, '/charges?zone=north&panel=zone');
    await page.getByRole('button', { name: 'Raise or lower all' }).click();
  },
  'a service': (page) => openProgram(page, '/charges?service=parcel&panel=service'),
  'the preview with its working': async (page) => {
    await openProgram(page);
    await openPreview(page);
    await page.keyboard.press('w');
    await page.getByText('open', { exact: true }).first().click();
    await page
      .getByRole('button', { name: /^1 parcel/ })
      .last()
      .click();
  },
  'a test order being changed': async (page) => {
    await openProgram(page);
    const preview = await openPreview(page);
    await preview.getByRole('button', { name: 'Change the test order' }).click();
  },
  'today, with an order open': async (page) => {
    await openProgram(page, '/today');
    await page.getByRole('listitem', { name: 'Order 995' }).getByRole('button').first().click();
    await page.getByRole('button', { name: 'On the map' }).click();
    await expect(page.getByRole('img', { name: /^The round: / })).toBeVisible();
  },
  'a delivery area': async (page) => {
    await openProgram(page, '/reach?part=nearby&area=peninsula');
    await expect(page.getByRole('img', { name: /^The neighbourhood: / })).toBeVisible();
  },
  'a pickup point': async (page) => {
    await openProgram(page, '/reach?part=nearby&pickup=nursery-yard');
    await expect(page.getByRole('group', { name: 'As customers see it' })).toBeVisible();
  },
  'a shape being drawn': async (page) => {
    await openProgram(page, '/reach?part=nearby');
    await page.getByRole('button', { name: 'Add an area by shape' }).click();
    await page.getByRole('button', { name: 'Draw it again on the map' }).click();
    await page.getByRole('application', { name: /^Drawing a shape/ }).press('Enter');
    await expect(page.getByText(/1 corner\. Press where/)).toBeVisible();
  },
  'the reach': async (page) => {
    await openProgram(page, '/reach');
    await page.getByLabel('Where would this code fall?').fill('X0A 0H0, 00000');
    await expect(page.getByRole('button', { name: 'Larger' })).toBeVisible();
  },
  'the goods': async (page) => {
    await openProgram(page, '/goods?good=seed-lupin');
    if (!isPhone(page)) await page.getByRole('checkbox', { name: 'Choose Foxglove seeds' }).click();
  },
  'a handling group': (page) => openProgram(page, '/goods?panel=groups&group=live-plants'),
  'a CSV before it is taken': async (page) => {
    await openProgram(page, '/goods');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open a CSV' }).click();
    const buffer = Buffer.from('Article;Title;Price\nurn;Garden urn;88\nbad;Broken;twelve');
    await (await chooser).setFiles({ name: 'stock.csv', mimeType: 'text/csv', buffer });
    await expect(page.getByRole('region', { name: 'What would change' })).toBeVisible();
  },
  'what orders cost': async (page) => {
    await openProgram(page, '/charges?part=costs');
    await page.getByRole('button', { name: /^Pallet to West: / }).click();
    await expect(page.getByText(/The greatest losses come first/)).toBeVisible();
  },
  'what a change would do': async (page) => {
    await openProgram(page, '/charges?part=costs&view=what-if');
    await page.getByRole('button', { name: '30 days' }).click();
    await expect(page.getByText(/Best while at most/)).toBeVisible();
    await page.getByRole('button', { name: /^Table, / }).click();
  },
  'steps beside costs': async (page) => {
    await openProgram(page, '/charges?part=costs&view=steps');
    await page.getByRole('button', { name: '30 days' }).click();
    await expect(page.getByRole('button', { name: 'Find the fewest steps' })).toBeVisible();
  },
  'how past orders are packed': async (page) => {
    await openProgram(page, '/charges?part=costs&view=packing');
    await page.getByRole('button', { name: '30 days' }).click();
    await page.getByLabel('Weight to', { exact: true }).fill('5 kg');
    await page.getByLabel('Weight to', { exact: true }).blur();
    await page.getByRole('button', { name: 'Pack past orders again' }).click();
    await page.getByRole('button', { name: /^Medium carton: .* full$/ }).click();
  },
  'an adjustment': (page) => openProgram(page, '/charges?part=adjustments&adjustment=winter'),
  'a rate table': async (page) => {
    await openProgram(page, '/charges?part=tables&table=pallets-west');
    await page.getByRole('button', { name: /^1: CA-MB/ }).click();
  },
  'a rate table before it is taken': async (page) => {
    await openProgram(page, '/charges?part=tables&table=pallets-west');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open a CSV' }).click();
    const buffer = Buffer.from('Province,From (kg),To,Price\nCA-MB,0,10,1\nCA-MB,5,20,2\nCA-MB,x,,3');
    await (await chooser).setFiles({ name: 'leaflet.csv', mimeType: 'text/csv', buffer });
    await expect(page.getByText('rows understood')).toBeVisible();
  },
  'rates before they are imported': async (page) => {
    await openProgram(page, '/charges');
    await page.getByRole('button', { name: /^As a list, rates: / }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Import rates' }).click();
    const buffer = Buffer.from('Zone,Service,Amount,Colour\nWest,Seed mail,2.60,red\nWest,Nothing,1,red');
    await (await chooser).setFiles({ name: 'rates.csv', mimeType: 'text/csv', buffer });
    await expect(page.getByText('What would change')).toBeVisible();
  },
  'the carriers': async (page) => {
    await openProgram(page, '/charges?part=carriers');
    await page.getByRole('button', { name: /Let a carrier fail/ }).click();
  },
  'a carrier account': async (page) => {
    await openProgram(page, '/charges?part=carriers&account=fulmar');
    await page.getByRole('button', { name: 'Ask the carrier' }).click();
    await expect(page.getByText(/Covers\W*\d+/)).toBeVisible();
    await expect(page.getByRole('table', { name: 'What each service would cost' })).toBeVisible();
  },
  'a rate by carrier': (page) => openProgram(page, '/charges?zone=maritimes&service=express'),
  'the import charges': async (page) => {
    await openProgram(page, '/charges?part=duties');
    await page
      .getByRole('button', { name: /^Austria/ })
      .first()
      .click();
  },
  'the boxes': (page) => openProgram(page, '/goods?panel=boxes&box=medium'),
  'the postal list': async (page) => {
    await openProgram(page, '/reach?part=postal');
    await page.getByRole('button', { name: /^CA B3H/ }).click();
  },
  'the ways to pay': (page) => openProgram(page, '/settings?part=payments'),
  'the test orders': async (page) => {
    await openProgram(page, '/check');
    await page.getByRole('button', { name: 'Seeds to Utrecht' }).click();
  },
  'the problems': async (page) => {
    await openProgram(page, '/check?part=problems');
    await page.getByRole('list', { name: 'Stops' }).getByRole('button').first().click({ timeout: 60_000 });
  },
  'a file to repair': async (page) => {
    await openProgram(page, '/settings?part=data');
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open a file' }).click();
    const shop = {
      format: 'emporos-shop',
      version: 1,
      savedAt: 'yesterday',
      book: {},
      catalogue: {},
      testOrders: [],
    };
    const buffer = Buffer.from(JSON.stringify(shop));
    await (await chooser).setFiles({ name: 'torn.json', mimeType: 'application/json', buffer });
    await expect(page.getByRole('region', { name: 'Repair torn.json' })).toBeVisible();
  },
  publishing: async (page) => {
    await openProgram(page, '/check?part=publish');
    await page.getByRole('button', { name: /^Edition 1/ }).click();
  },
  'the regions of a country': async (page) => {
    await openProgram(page, '/reach');
    await page.getByLabel('Find a country').fill('canada');
    await page.getByRole('button', { name: 'Regions of Canada' }).click();
    await page.getByRole('button', { name: 'Paste codes' }).click();
  },
  'the settings': (page) => openProgram(page, '/settings'),
  'a location': async (page) => {
    await openProgram(page, '/settings?part=locations');
    await page.getByRole('button', { name: /^The Nursery/ }).click();
  },
  'the taxes': (page) => openProgram(page, '/settings?part=taxes'),
  'the languages': (page) => openProgram(page, '/settings?part=languages'),
  'the data': (page) => openProgram(page, '/settings?part=data'),
  'the first question': async (page) => {
    await openProgram(page, '/begin');
    await page.getByRole('button', { name: 'Next', exact: true }).click();
  },
  'the guide': async (page) => {
    await openProgram(page, '/reach');
    await page.getByRole('button', { name: 'How it works' }).click();
    await expect(page.getByRole('heading', { name: 'The postal list' })).toBeVisible();
  },
  'the list of keys': async (page) => {
    await openProgram(page);
    await page.keyboard.press('?');
    await expect(page.getByText('walk the test orders')).toBeVisible();
  },
};

/** What customers see: the shopfront. */
export const CUSTOMER_STATES: Record<string, State> = {
  'a good of the shop': async (page) => {
    await openProgram(page, '/shop/product?sku=pot-26');
    await page.getByLabel('Your postal code').fill('B3H 4R2');
  },
  'the shop’s goods': (page) => openProgram(page, '/shop'),
  'the delivery page': async (page) => {
    await openProgram(page, '/shop/delivery');
    await expect(page.getByRole('heading', { name: 'Brought to you' })).toBeVisible();
  },
  'the checkout': async (page) => {
    await openProgram(page, '/shop');
    await page.getByRole('button', { name: 'Add Lupin seeds to the basket' }).click();
    await page.getByRole('link', { name: /^Basket/ }).click();
    await page.getByRole('button', { name: 'Go to checkout' }).click();
    await page.getByLabel('Postal code').fill('B2G 2L2');
    await page.getByLabel('Province or territory').fill('Nova');
    await page.getByRole('button', { name: 'Nova Scotia', exact: true }).click();
    await page.getByRole('button', { name: 'Place the order' }).click();
    await expect(page.getByText('Full name is needed.').first()).toBeVisible();
  },
  'a basket in parts': async (page) => {
    await openProgram(page, '/shop');
    for (let time = 0; time < 7; time += 1)
      await page.getByRole('button', { name: 'Add Potting soil, 20 L to the basket' }).click();
    await page.getByRole('button', { name: 'Add Bamboo canes, 1.8 m, 20 to the basket' }).click();
    await page.getByRole('link', { name: /^Basket/ }).click();
    await page.getByRole('button', { name: 'Go to checkout' }).click();
    await page.getByLabel('Postal code').fill('B2W 3T7');
    await page.getByLabel('Province or territory').fill('Nova');
    await page.getByRole('button', { name: 'Nova Scotia', exact: true }).click();
    await expect(page.getByRole('region', { name: 'In parts' })).toBeVisible();
  },
};
