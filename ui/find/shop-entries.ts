import { t } from '../../core/translate/translate.ts';
import type { Book } from '../../core/model/book.ts';
import type { Good } from '../../core/model/good.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { coveragePhrase } from '../../core/price/nearby-phrase.ts';
import { ratePhrase } from '../../core/price/rate-phrase.ts';
import { moneyFigure, type DisplayFormat } from '../../core/words/figure.ts';
import type { Entry, FoundLink } from './entry.ts';

interface Named {
  id: string;
  name: string;
}

/** What is found under a kind: `key` makes the ids, which are kept with what was opened last, in any language. */
const entriesOf = <T extends Named>(
  key: string,
  kind: string,
  all: readonly T[],
  linkOf: (one: T) => FoundLink,
  noteOf?: (one: T) => string,
): Entry[] =>
  all.map((one) => ({
    id: `${key}:${one.id}`,
    kind,
    name: one.name,
    ...(noteOf ? { note: noteOf(one) } : {}),
    leadsTo: { link: linkOf(one) },
  }));

const inCharges = (params: Record<string, string>): FoundLink => ({ pathname: '/charges', params });
const nearby = (params: Record<string, string>): FoundLink => ({
  pathname: '/reach',
  params: { part: 'nearby', ...params },
});
const off = ({ active }: { active: boolean }): string => (active ? '' : t('switched off'));

/** Each rate by its service and zone, with what it costs. */
const rateEntries = ({ rates, services, zones }: Book, display: DisplayFormat): Entry[] =>
  rates.flatMap((rate) => {
    const service = services.find(({ id }) => id === rate.serviceId);
    const zone = zones.find(({ id }) => id === rate.zoneId);
    if (!service || !zone) return [];
    const { price, notes } = ratePhrase(rate, display);
    return [
      {
        id: `rate:${rate.id}`,
        kind: t('Rate'),
        name: t('{service} to {zone}', { service: service.name, zone: zone.name }),
        note: [price, ...notes].join(' · '),
        leadsTo: { link: inCharges({ zone: zone.id, service: service.id }) },
      },
    ];
  });

const ruleEntries = (book: Book, display: DisplayFormat): Entry[] => [
  ...entriesOf('zone', t('Zone'), book.zones, ({ id }) => inCharges({ zone: id, panel: 'zone' }), off),
  ...entriesOf(
    'service',
    t('Service'),
    book.services,
    ({ id }) => inCharges({ service: id, panel: 'service' }),
    ({ note = '' }) => note,
  ),
  ...rateEntries(book, display),
  ...entriesOf(
    'adjustment',
    t('Adjustment'),
    book.adjustments,
    ({ id }) => inCharges({ part: 'adjustments', adjustment: id }),
    off,
  ),
  ...entriesOf('table', t('Rate table'), book.rateTables, ({ id }) =>
    inCharges({ part: 'tables', table: id }),
  ),
  ...entriesOf('carrier', t('Carrier'), book.carriers, ({ id }) =>
    inCharges({ part: 'carriers', account: id }),
  ),
  ...entriesOf(
    'area',
    t('Delivery area'),
    book.areas,
    ({ id }) => nearby({ area: id }),
    ({ covers, methods }) =>
      [coveragePhrase(covers, display), ...methods.map(({ name }) => name)].join(' · '),
  ),
  ...entriesOf('pickup', t('Pickup point'), book.pickups, ({ id }) => nearby({ pickup: id }), off),
  ...entriesOf(
    'location',
    t('Location'),
    book.locations,
    () => ({ pathname: '/settings', params: { part: 'locations' } }),
    ({ address }) => [address.city, address.postalCode].filter(Boolean).join(', '),
  ),
  ...entriesOf('group', t('Handling group'), book.groups, ({ id }) => ({
    pathname: '/goods',
    params: { panel: 'groups', group: id },
  })),
  ...entriesOf('box', t('Box'), book.boxes, ({ id }) => ({
    pathname: '/goods',
    params: { panel: 'boxes', box: id },
  })),
  ...entriesOf('payment', t('Payment'), book.payments, () => ({
    pathname: '/settings',
    params: { part: 'payments' },
  })),
];

/** All that a merchant has named: rules, products and test orders. */
export const shopEntries = (
  book: Book,
  goods: readonly Good[],
  testOrders: readonly TestOrder[],
  display: DisplayFormat,
): Entry[] => [
  ...ruleEntries(book, display),
  ...goods.map(({ sku, name, price }): Entry => ({
    id: `product:${sku}`,
    kind: t('Product'),
    name,
    note: `${sku} · ${moneyFigure(price, display.decimals)}`,
    leadsTo: { link: { pathname: '/goods', params: { good: sku } } },
  })),
  ...testOrders.map(({ id, name, group }): Entry => ({
    id: `test-order:${id}`,
    kind: t('Test order'),
    name,
    ...(group === undefined ? {} : { note: group }),
    leadsTo: { testOrderId: id },
  })),
];
