import type { Book } from '../core/model/book.ts';
import type { HandlingGroup } from '../core/model/good.ts';
import type { Location } from '../core/model/location.ts';
import type { TaxRate } from '../core/model/tax.ts';
import type { Weekday } from '../core/model/unit.ts';
import { demoAdjustments } from './adjustments.ts';
import { demoBoxes, demoCarriers, demoPacking } from './carriers.ts';
import { demoDuties } from './duties.ts';
import { demoTranslations } from './french.ts';
import { demoAreas, demoPickups } from './nearby.ts';
import { demoRates, demoServices } from './rates.ts';
import { demoPayments, demoPostalList, demoTables } from './tables.ts';
import { demoSellsTo, demoZones } from './zones.ts';

const WEEK: Weekday[] = [1, 2, 3, 4, 5, 6];
const CLOSED = [
  '2026-12-25',
  '2026-12-26',
  '2027-01-01',
  '2027-03-26',
  '2027-07-01',
  '2027-12-25',
  '2027-12-26',
  '2028-01-01',
];

const locations: Location[] = [
  {
    id: 'nursery',
    name: 'The Nursery',
    address: {
      country: 'CA',
      subdivision: 'CA-NS',
      postalCode: 'B3K 2T5',
      city: 'Halifax',
      lines: ['18 Kelp Row'],
      point: { lat: 44.6592, lng: -63.5987 },
    },
    hours: WEEK.map((day) => ({ day, from: '09:00', to: '17:30' })),
    closedDates: CLOSED,
    preparation: { kind: 'cut-off', cutoff: '13:00', readyAt: '15:30', days: 0 },
  },
  {
    id: 'market-stall',
    name: 'Market Stall',
    address: {
      country: 'CA',
      subdivision: 'CA-NS',
      postalCode: 'B2Y 3Z4',
      city: 'Dartmouth',
      lines: ['Stall 7, Thrift Hall'],
      point: { lat: 44.6656, lng: -63.5684 },
    },
    hours: [{ day: 6, from: '08:00', to: '13:00' }],
    closedDates: CLOSED,
  },
];

const group = (id: string, name: string, part: Partial<HandlingGroup> = {}): HandlingGroup => ({
  id,
  name,
  shipping: 'any',
  delivery: 'any',
  pickup: 'any',
  ...part,
});

const CANADA = ['maritimes', 'newfoundland', 'central', 'west', 'north'];
const demoGroups: HandlingGroup[] = [
  group('seeds', 'Seeds'),
  group('live-plants', 'Live plants', { onlyZones: CANADA }),
  group('pots', 'Pots'),
  group('long-goods', 'Long goods', { shipping: ['pallet'], delivery: 'none' }),
  group('soil', 'Soil', { shipping: 'none' }),
  group('dry-goods', 'Dry goods'),
];

const tax = (code: string, name: string, points: number, on: TaxRate['on']): TaxRate => ({
  id: `tax-${code.toLowerCase()}`,
  name,
  region: code === 'CA' ? { country: 'CA' } : { country: 'CA', subdivision: `CA-${code}` },
  points,
  on,
});

const taxes: TaxRate[] = [
  tax('CA', 'GST', 500, 'both'),
  tax('NS', 'HST, provincial part', 900, 'both'),
  tax('NB', 'HST, provincial part', 1_000, 'both'),
  tax('PE', 'HST, provincial part', 1_000, 'both'),
  tax('NL', 'HST, provincial part', 1_000, 'both'),
  tax('ON', 'HST, provincial part', 800, 'both'),
  tax('BC', 'PST', 700, 'goods'),
  tax('SK', 'PST', 600, 'goods'),
  tax('MB', 'RST', 700, 'goods'),
];

/** The book of the made-up shop Wrack & Thistle in Halifax, Nova Scotia. */
export const demoBook: Book = {
  format: 'emporos-book',
  version: 2,
  store: {
    name: 'Wrack & Thistle',
    currency: 'CAD',
    timeZone: 'America/Halifax',
    units: 'metric',
    pricesIncludeTax: false,
    sellsTo: demoSellsTo,
    unlistedPostalCodes: 'served',
    postalSpareDays: 0,
    languages: ['en', 'fr'],
    codeCheck: {
      active: true,
      noCash: 'There we deliver only what is paid before it leaves.',
    },
    packing: demoPacking,
    rounding: 'none',
    choiceOrder: 'listed',
  },
  locations,
  groups: demoGroups,
  boxes: demoBoxes,
  zones: demoZones,
  services: demoServices,
  rates: demoRates,
  rateTables: demoTables,
  carriers: demoCarriers,
  areas: demoAreas,
  pickups: demoPickups,
  postalList: demoPostalList,
  adjustments: demoAdjustments,
  payments: demoPayments,
  taxes,
  duties: demoDuties,
  translations: demoTranslations,
};
