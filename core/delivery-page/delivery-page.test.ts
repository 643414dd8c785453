import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makePickup,
  makeRate,
  makeYard,
} from '../testing/book.ts';
import { ENGLISH_WORDS, FRENCH_WORDS } from '../testing/words.ts';
import { inLanguage } from '../words/customer/own-texts.ts';
import { deliveryHtml } from './delivery-html.ts';
import { deliveryMarkdown } from './delivery-markdown.ts';
import { deliveryPage, type DeliveryPage } from './delivery-page.ts';
import { priceKey } from './price-key.ts';
import { pricesOf } from './prices.ts';
import { structuredData } from './structured-data.ts';

const AT = '2026-11-24T10:15:00-04:00';
const ORDER = { placedAt: AT, channel: 'shopfront' };
const TODAY = '2026-11-24';
const names = (code: string): string => code;
const pageOf = (part: Parameters<typeof makeBook>[0], goods = [makeGood('pot')]): DeliveryPage => {
  const book = makeBook(part);
  const prices = pricesOf(book, makeCatalogue(...goods), ORDER);
  return deliveryPage(book, prices, TODAY, ENGLISH_WORDS, names);
};
const render = (text: string): string => (text === '' ? '' : `<p>${text.length}</p>`);

describe('the prices of the delivery page', () => {
  test('of the demo are each the charge of an order of one or a few of a product', () => {
    const compiled = compile(demoBook, demoCatalogue);
    const prices = pricesOf(demoBook, demoCatalogue, ORDER);
    const parcel = prices.get(priceKey.service('maritimes', 'parcel'));
    const light = quote(
      compiled,
      {
        destination: { country: 'CA', subdivision: 'CA-NS' },
        lines: [{ sku: 'trowel', quantity: 1 }],
        placedAt: AT,
      },
      [],
    ).choices.find(({ name }) => name === 'Parcel');
    expect(parcel?.least).toBe(light?.charge);
    expect([...prices.values()].every(({ least, most }) => least <= most)).toBe(true);
    // A carrier is asked at checkout; what it charges is not promised here.
    expect(prices.has(priceKey.service('maritimes', 'express'))).toBe(false);
  });

  test('leave out what no order is offered, and say what is always free', () => {
    const page = pageOf({
      rates: [makeRate({ price: { kind: 'flat', amount: 0, per: 'order' } })],
    });
    expect(page.zones.map(({ lines }) => lines.map(({ price }) => price))).toEqual([['free']]);
    const never = pageOf({ rates: [makeRate({ limits: { weight: { min: 900_000_000 } } })] });
    expect(never.zones).toEqual([]);
  });

  test('are those of the channel that customers come by, and stay while the shop is paused', () => {
    const other = pageOf({ rates: [makeRate({ channels: ['telephone'] })] });
    expect(other.zones).toEqual([]);
    const pause = { from: '2026-11-01', to: '2026-12-31', message: '', keepPickup: false };
    const paused = pageOf({ store: { pause }, rates: [makeRate({ channels: ['shopfront'] })] });
    expect(paused.zones[0]?.lines[0]?.price).toBe('8.45');
  });

  test('are spans where they differ; a free threshold is said, and does not make them begin at nothing', () => {
    const goods = [
      makeGood('seed', { weight: 10, price: 300 }),
      makeGood('urn', { weight: 9_000, price: 20_000 }),
    ];
    const steps = { kind: 'steps' as const, basis: 'weight' as const, per: 'order' as const };
    const page = pageOf(
      {
        rates: [
          makeRate({
            freeFrom: 10_000,
            price: {
              ...steps,
              steps: [
                { from: 0, amount: 500 },
                { from: 5_000, amount: 1_200 },
              ],
            },
          }),
        ],
      },
      goods,
    );
    expect(page.zones[0]?.lines[0]).toMatchObject({ price: '5.00', notes: ['free from 100.00'] });
  });
});

describe('the delivery page', () => {
  const near = {
    locations: [makeYard({ closedDates: ['2026-12-25', '2026-11-01', '2028-01-01'] })],
    areas: [makeArea({ minSubtotal: 2_000, instructions: 'Leave the gate **open**.' })],
    pickups: [makePickup({ kerbside: true })],
  };

  test('says where, for how much, when and how, and the closed days of the next two months', () => {
    const page = pageOf(near);
    expect(page.areas[0]).toMatchObject({
      notes: ['minimum order 20.00'],
      instructions: 'Leave the gate **open**.',
    });
    expect(page.points[0]?.notes).toContain('we bring it out to your car');
    expect(page.closed).toEqual([{ name: makeYard().name, days: ['Fri 25 Dec'] }]);
  });

  test.each([
    ['CA', ['B3H*', 'B3J4R2'], 'Postal codes B3H, B3J 4R2'],
    ['SE', ['1112*', '113 to 115', '116*'], 'Postal codes 111 2…, 113 to 115, 116…'],
    ['GB', ['BT*', 'IV1???'], 'Postal codes BT, IV1'],
  ])('names the codes of an area in %s as its customers write them', (country, patterns, where) => {
    const { areas } = pageOf({
      ...near,
      areas: [makeArea({ covers: { kind: 'postal', country, patterns } })],
    });
    expect(areas[0]?.where).toBe(where);
  });

  test('says of taxes what is true of the shop', () => {
    const { taxes } = demoBook;
    const amounts = (pricesIncludeTax: boolean, some = taxes) =>
      pageOf({ taxes: some, store: { pricesIncludeTax } }).amounts;
    expect(amounts(false)).toBe('Amounts in CAD; taxes are added at checkout.');
    expect(amounts(true)).toBe('Amounts in CAD, taxes included.');
    expect([amounts(false, []), amounts(true, [])]).toEqual(['Amounts in CAD.', 'Amounts in CAD.']);
  });

  test('is in the customer’s language, with the same charges', () => {
    const prices = pricesOf(demoBook, demoCatalogue, ORDER);
    const pages = [
      deliveryPage(demoBook, prices, TODAY, ENGLISH_WORDS, names),
      deliveryPage(inLanguage(demoBook, demoCatalogue, 'fr').book, prices, TODAY, FRENCH_WORDS, names),
    ] as const;
    const spans = ({ zones }: DeliveryPage) => zones.map(({ lines }) => lines.map(({ span }) => span));
    expect(spans(pages[1])).toEqual(spans(pages[0]));
    expect(pages[1].zones[0]?.places).toBe('Nouvelle-Écosse, Nouveau-Brunswick, Île-du-Prince-Édouard');
    expect(pages[1].zones[0]?.lines.map(({ name }) => name)).toContain('Colis');
    expect(pages[0].zones.at(-1)?.places).toBe('Everywhere else we sell');
    expect(pages[1].zones.at(-1)?.places).toBe('Partout ailleurs où nous vendons');
  });

  test('as HTML and Markdown takes no text for code', () => {
    const evil = '</script><b>*x*';
    const page = pageOf({ ...near, store: { name: evil }, pickups: [makePickup({ name: evil })] });
    const html = deliveryHtml(page, ENGLISH_WORDS, render);
    expect(html).not.toContain('</script><b>');
    expect(html).toContain('&lt;/script&gt;&lt;b&gt;*x*');
    expect(deliveryMarkdown(page, ENGLISH_WORDS)).toContain('### \\</script\\>\\<b\\>\\*x\\*');
    const json = /<script type="application\/ld\+json">(.*)<\/script>/.exec(html)?.[1] ?? '';
    expect(JSON.parse(json)).toEqual(structuredData(page));
  });

  test('tells schema.org what is charged where, in days, and when a point is open', () => {
    const page = pageOf({ ...near, rates: [makeRate({ transit: { min: 2, max: 4 } })] });
    const graph = structuredData(page)['@graph'] as Record<string, unknown>[];
    expect(graph.find((one) => one['@type'] === 'OfferShippingDetails')).toMatchObject({
      shippingRate: { '@type': 'MonetaryAmount', currency: 'CAD', value: 8.45 },
      deliveryTime: { transitTime: { minValue: 2, maxValue: 4, unitCode: 'DAY' } },
    });
    expect(graph.find((one) => one['@type'] === 'Place')?.['openingHoursSpecification']).toContainEqual({
      '@type': 'OpeningHoursSpecification',
      dayOfWeek: 'https://schema.org/Monday',
      opens: '08:30',
      closes: '16:30',
    });
  });
});
