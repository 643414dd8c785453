import { spokenLocale, t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import { languageSchema } from '../model/language.ts';
import type { Catalogue, Good } from '../model/good.ts';
import type { Destination, Zone } from '../model/place.ts';
import type { Limits } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { TestOrder } from '../model/test-order.ts';
import type { DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { OpeningHours } from '../model/time.ts';

/** What the first goods are like to send; each becomes a service. */
export type GoodsKind = 'letters' | 'parcels' | 'heavy';
export const GOODS_KINDS: readonly GoodsKind[] = ['letters', 'parcels', 'heavy'];

/** The parts of the world that a first book tells apart. */
export type FirstZone = 'home' | 'abroad' | 'rest';

/** The answers to the five questions. Money in minor units, weights in grams. */
export interface FirstAnswers {
  name: string;
  currency: string;
  timeZone: string;
  units: 'metric' | 'imperial';
  from: Destination;
  fromName: string;
  homeName: string;
  /** The tax at home; `included` where the prices and charges contain it. */
  tax?: { name: string; points: number; included: boolean };
  reach: 'home' | 'listed' | 'everywhere';
  /** Further countries where `reach` is 'listed', or that have charges of their own where it is 'everywhere'. */
  countries: string[];
  /** None where nothing is shipped. */
  kinds: GoodsKind[];
  /** What sending one order costs, by zone and kind. */
  charges: Partial<Record<FirstZone, Partial<Record<GoodsKind, number>>>>;
  good: Pick<Good, 'sku' | 'name' | 'price' | 'weight'>;
  hours: OpeningHours[];
  /** Whether customers may collect where the orders are made ready. */
  collect?: boolean;
  nearby?: { patterns: string[]; charge: number; minSubtotal?: number };
}

export const SERVICE_NAMES: Record<GoodsKind, string> = {
  letters: t('Letter'),
  parcels: t('Parcel'),
  heavy: t('Freight'),
};
const MOST_WEIGHT: Record<GoodsKind, number> = { letters: 400, parcels: 30_000, heavy: 0 };

/** The zones that the answers make. */
export const firstZones = ({ reach, countries }: Pick<FirstAnswers, 'reach' | 'countries'>): FirstZone[] => [
  'home',
  ...(reach !== 'home' && countries.length > 0 ? (['abroad'] as const) : []),
  ...(reach === 'everywhere' ? (['rest'] as const) : []),
];

const zone = (id: string, name: string, part: Partial<Zone>): Zone => ({
  id,
  name,
  active: true,
  includes: [],
  excludes: [],
  remainder: false,
  ...part,
});

const zonesOf = (answers: FirstAnswers): Zone[] => {
  const { from, homeName, countries } = answers;
  const made: Record<FirstZone, Zone> = {
    home: zone('home', homeName, { includes: [{ country: from.country }] }),
    abroad: zone('abroad', t('Abroad'), { includes: countries.map((country) => ({ country })) }),
    rest: zone('rest', t('Everywhere else'), { remainder: true }),
  };
  return firstZones(answers).map((id) => made[id]);
};

/** The last kind has no maximum weight: whatever the others do not take, it does. */
const limitsOf = (kind: GoodsKind, kinds: readonly GoodsKind[]): Limits | undefined =>
  kind === kinds.at(-1) ? undefined : { weight: { max: MOST_WEIGHT[kind] } };

const rate = (serviceId: string, zoneId: string, amount: number, limits: Limits | undefined): Rate => ({
  id: `${serviceId}-${zoneId}`,
  serviceId,
  zoneId,
  active: true,
  price: { kind: 'flat', amount, per: 'order' },
  ...(limits ? { limits } : {}),
  whenWithheld: 'tell',
  taxable: true,
});

const ratesOf = (answers: FirstAnswers, kinds: readonly GoodsKind[]): Rate[] => {
  const { charges } = answers;
  return firstZones(answers).flatMap((zoneId) =>
    kinds.flatMap((kind) => {
      const amount = charges[zoneId]?.[kind];
      return amount === undefined ? [] : [rate(kind, zoneId, amount, limitsOf(kind, kinds))];
    }),
  );
};

/** Where the shop brings orders itself, within two open days. */
const areasOf = ({ nearby, from }: FirstAnswers): DeliveryArea[] =>
  nearby
    ? [
        {
          id: 'nearby',
          name: t('Nearby'),
          active: true,
          locationId: 'home',
          covers: { kind: 'postal', country: from.country, patterns: nearby.patterns },
          price: { kind: 'flat', amount: nearby.charge, per: 'order' },
          methods: [
            { id: 'own', name: t('Brought by us'), add: 0, timing: { kind: 'days', min: 0, max: 2 } },
          ],
          preparation: { kind: 'working-days', days: 0 },
          ...(nearby.minSubtotal === undefined ? {} : { minSubtotal: nearby.minSubtotal }),
          taxable: true,
        },
      ]
    : [];

const OPEN_MINUTES = 120;

/** Collecting where the orders are made ready, free, two open hours after the order. */
const pickupsOf = ({ collect, fromName }: FirstAnswers): PickupPoint[] =>
  collect
    ? [
        {
          id: 'home',
          name: t('Collect at {fromName}', { fromName }).slice(0, 120),
          active: true,
          locationId: 'home',
          charge: 0,
          preparation: { kind: 'open-minutes', minutes: OPEN_MINUTES },
          timing: { kind: 'words', text: t('We write as soon as it is ready.') },
          kerbside: false,
          taxable: true,
        },
      ]
    : [];

/** A book begun in another language than English is written in it, and so read by customers. */
const languageSpoken = (): Pick<Book['store'], 'languages'> => {
  const { data = 'en' } = languageSchema.safeParse(spokenLocale());
  return data === 'en' ? {} : { languages: [data] };
};

/** A book without any rule yet: it sells everywhere and has no zone, no service and no rate. */
export const emptyBook = (
  store: Pick<Book['store'], 'name' | 'currency' | 'timeZone'> & Partial<Book['store']>,
): Book => ({
  format: 'emporos-book',
  version: 2,
  store: {
    units: 'metric',
    pricesIncludeTax: false,
    sellsTo: { mode: 'everywhere', countries: [], closedRegions: [] },
    unlistedPostalCodes: 'served',
    postalSpareDays: 0,
    packing: { kind: 'single' },
    rounding: 'none',
    choiceOrder: 'listed',
    ...languageSpoken(),
    ...store,
  },
  locations: [],
  groups: [],
  boxes: [],
  zones: [],
  services: [],
  rates: [],
  rateTables: [],
  carriers: [],
  areas: [],
  pickups: [],
  postalList: [],
  adjustments: [],
  payments: [],
  taxes: [],
  duties: { show: 'nothing', terms: 'DAP', homeCountries: [], clearanceFee: 0, rates: [] },
});

const sellsToOf = ({ reach, from, countries }: FirstAnswers): Book['store']['sellsTo'] => ({
  mode: reach === 'everywhere' ? 'everywhere' : 'listed',
  countries: reach === 'everywhere' ? [] : [from.country, ...(reach === 'listed' ? countries : [])],
  closedRegions: [],
});

/** The book that the answers to the five questions make. */
export const firstBook = (answers: FirstAnswers): Book => {
  const { name, currency, timeZone, units, from, fromName, hours, tax } = answers;
  const kinds = GOODS_KINDS.filter((kind) => answers.kinds.includes(kind));
  const empty = emptyBook({
    name,
    currency,
    timeZone,
    units,
    sellsTo: sellsToOf(answers),
    pricesIncludeTax: tax?.included ?? false,
  });
  return {
    ...empty,
    locations: [{ id: 'home', name: fromName, address: from, hours, closedDates: [] }],
    // A shop that ships nothing needs no zone.
    zones: kinds.length === 0 ? [] : zonesOf(answers),
    services: kinds.map((id) => ({ id, name: SERVICE_NAMES[id] })),
    rates: ratesOf(answers, kinds),
    areas: areasOf(answers),
    pickups: pickupsOf(answers),
    taxes: tax
      ? [{ id: 'home', name: tax.name, region: { country: from.country }, points: tax.points, on: 'both' }]
      : [],
    duties: { ...empty.duties, homeCountries: [from.country] },
  };
};

/** The catalogue of the first good. */
export const firstCatalogue = ({ good }: FirstAnswers): Catalogue => ({
  format: 'emporos-catalogue',
  version: 1,
  goods: [{ ...good, fulfilment: 'physical' }],
});

/** A first test order for each country that the answers name: the first good sent there. */
export const firstTestOrders = (answers: FirstAnswers, placedAt: string): TestOrder[] => {
  const { from, good, homeName, countries, reach } = answers;
  const testOrder = (id: string, name: string, destination: Destination, pinned: boolean): TestOrder => ({
    id,
    name,
    request: { destination, lines: [{ sku: good.sku, quantity: 1 }], placedAt },
    expects: [],
    ...(pinned ? { pinned } : {}),
  });
  const { country, subdivision, postalCode, city } = from;
  const home = {
    country,
    ...(subdivision ? { subdivision } : {}),
    ...(postalCode ? { postalCode } : {}),
    ...(city ? { city } : {}),
  };
  const [first] = reach === 'home' ? [] : countries;
  return [
    testOrder('home', `${good.name}, ${homeName}`.slice(0, 120), home, true),
    ...(first
      ? [
          testOrder(
            'abroad',
            t('{good}, abroad', { good: good.name }).slice(0, 120),
            { country: first },
            false,
          ),
        ]
      : []),
  ];
};
