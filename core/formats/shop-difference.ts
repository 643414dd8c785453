import type { Shop } from './shop-file.ts';

/** How one kind of thing differs between two shops, by name. */
export interface Difference {
  what: string;
  added: string[];
  removed: string[];
  changed: string[];
}

type Named = readonly { key: string; name: string; text: string }[];

const named = <T>(items: readonly T[], key: (item: T) => string, name: (item: T) => string): Named =>
  items.map((item) => ({ key: key(item), name: name(item), text: JSON.stringify(item) }));

const byId = <T extends { id: string; name: string }>(items: readonly T[]): Named =>
  named(
    items,
    ({ id }) => id,
    ({ name }) => name,
  );

const parts = ({ book, catalogue, testOrders }: Shop): Record<string, Named> => {
  const serviceName = new Map(book.services.map(({ id, name }) => [id, name]));
  const zoneName = new Map(book.zones.map(({ id, name }) => [id, name]));
  const { sellsTo, ...store } = book.store;
  return {
    store: named(
      [store],
      () => 'store',
      () => store.name,
    ),
    'sells to': named(
      [sellsTo],
      () => 'sells-to',
      () => 'where the shop sells',
    ),
    locations: byId(book.locations),
    zones: byId(book.zones),
    services: byId(book.services),
    'handling groups': byId(book.groups),
    rates: named(
      book.rates,
      ({ serviceId, zoneId }) => `${serviceId}/${zoneId}`,
      ({ serviceId, zoneId }) =>
        `${serviceName.get(serviceId) ?? serviceId} to ${zoneName.get(zoneId) ?? zoneId}`,
    ),
    taxes: byId(book.taxes),
    goods: named(
      catalogue.goods,
      ({ sku }) => sku,
      ({ name }) => name,
    ),
    testOrders: byId(testOrders),
  };
};

const differenceOf = (what: string, from: Named, to: Named): Difference => {
  const before = new Map(from.map((item) => [item.key, item]));
  const after = new Map(to.map((item) => [item.key, item]));
  const names = (items: Named): string[] => items.map((item) => item.name);
  return {
    what,
    added: names(to.filter(({ key }) => !before.has(key))),
    removed: names(from.filter(({ key }) => !after.has(key))),
    changed: names(to.filter(({ key, text }) => before.has(key) && before.get(key)?.text !== text)),
  };
};

/** What would change if one shop took the place of another, kind by kind; kinds that are the same are left out. */
export const shopDifference = (from: Shop, to: Shop): Difference[] => {
  const before = parts(from);
  return Object.entries(parts(to))
    .map(([what, items]) => differenceOf(what, before[what] ?? [], items))
    .filter(({ added, removed, changed }) => added.length + removed.length + changed.length > 0);
};
