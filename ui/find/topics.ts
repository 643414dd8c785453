import type { Entry, FoundLink } from './entry.ts';

/** Pages and settings, each with the words that people look for it by. */
const topic = (name: string, where: string, link: FoundLink, words: readonly string[] = []): Entry => ({
  id: `topic:${name}`,
  kind: 'Page',
  name,
  note: where,
  words,
  leadsTo: { link },
});

const charges = (part?: string): FoundLink => ({ pathname: '/charges', params: { part } });
const reach = (part?: string): FoundLink => ({ pathname: '/reach', params: { part } });
const settings = (part?: string): FoundLink => ({ pathname: '/settings', params: { part } });
const check = (part?: string): FoundLink => ({ pathname: '/check', params: { part } });

export const TOPICS: readonly Entry[] = [
  topic('Today', 'Orders to pack and hand over', { pathname: '/today' }, ['orders', 'dispatch', 'pick list']),
  topic('Board of rates', 'Charges', charges(), [
    'free shipping',
    'rates',
    'prices',
    'shipping zones',
    'services',
    'free from',
    'free threshold',
    'flat rate',
    'weight steps',
  ]),
  topic('Adjustments', 'Charges', charges('adjustments'), [
    'conditions',
    'surcharge',
    'discount',
    'free shipping',
    'customer groups',
    'season',
    'do not offer',
    'block',
  ]),
  topic('Rate tables', 'Charges', charges('tables'), ['csv rates', 'price list', 'spreadsheet']),
  topic('Carriers', 'Charges', charges('carriers'), [
    'carrier-calculated rates',
    'live rates',
    'account',
    'fallback',
    'labels',
    'sandbox',
  ]),
  topic('Import charges', 'Charges', charges('duties'), ['duties', 'customs', 'DAP', 'DDP', 'HS code']),
  topic('Where the shop sells', 'Reach', reach(), [
    'countries',
    'closed countries',
    'sells to',
    'zones',
    'map',
    'regions',
    'postal code lookup',
  ]),
  topic('Local delivery and pickup', 'Reach', reach('nearby'), [
    'delivery areas',
    'radius',
    'pickup points',
    'collect in store',
    'kerbside',
    'slots',
    'minimum order',
    'cut-off',
    'same day',
  ]),
  topic('Postal list', 'Reach', reach('postal'), [
    'postal codes served',
    'cash on delivery',
    'serviceability',
    'delivery days',
  ]),
  topic('All products', 'Products', { pathname: '/goods' }, ['weights', 'sizes', 'catalogue', 'import csv']),
  topic('Products with something missing', 'Products', { pathname: '/goods', params: { only: 'missing' } }, [
    'missing weight',
    'missing size',
    'incomplete',
  ]),
  topic('Handling groups', 'Products', { pathname: '/goods', params: { panel: 'groups' } }, [
    'shipping class',
    'fragile',
    'not shipped',
  ]),
  topic('Boxes', 'Products', { pathname: '/goods', params: { panel: 'boxes' } }, ['cartons', 'packaging']),
  topic('Test orders', 'Check', check('testOrders'), ['tests', 'try an order', 'expectations']),
  topic('Problems', 'Check', check('problems'), ['gaps', 'errors', 'audit', 'charged nothing', 'cannot buy']),
  topic('Publish', 'Check', check('publish'), ['editions', 'go live', 'go back', 'who is affected']),
  topic('Store', 'Settings', settings(), [
    'currency',
    'time zone',
    'units',
    'rounding',
    'handling fee',
    'packing',
    'pause the shop',
    'default weight',
  ]),
  topic('Locations', 'Settings', settings('locations'), [
    'opening hours',
    'holidays',
    'closed dates',
    'calendar',
    'warehouse',
    'preparation',
  ]),
  topic('Guide', 'How the program is used', { pathname: '/guide', params: {} }, [
    'help',
    'manual',
    'documentation',
    'docs',
  ]),
  topic('Languages', 'Settings', settings('languages'), ['French', 'translation', 'translate', 'bilingual']),
  topic('Taxes', 'Settings', settings('taxes'), ['VAT', 'GST', 'HST', 'sales tax']),
  topic('Payments', 'Settings', settings('payments'), ['cash on delivery', 'pay on collection']),
  topic('Orders', 'Settings', settings('orders'), ['past orders', 'history', 'cancelled', 'csv']),
  topic('Data', 'Settings', settings('data'), [
    'backup',
    'save the shop',
    'open a file',
    'start again',
    'demo',
  ]),
  topic('A new shop', 'Five questions', { pathname: '/begin' }, ['set up', 'begin', 'start']),
  topic('Shopfront', 'What customers see', { pathname: '/shop' }, ['checkout', 'basket', 'customer']),
];
