import { parsePattern } from '../place/postal.ts';
import type { Book } from './book.ts';
import { fault, type Fault } from './fault.ts';
import type { Catalogue } from './good.ts';
import type { Region } from './place.ts';

type Path = readonly (string | number)[];

const duplicates = (collection: string, ids: readonly string[], field = 'id'): Fault[] => {
  const first = new Map<string, number>();
  return ids.flatMap((id, at) => {
    const known = first.get(id);
    if (known === undefined) {
      first.set(id, at);
      return [];
    }
    return [fault('duplicate-id', [collection, at, field], { id, first: `${collection}[${known}]` })];
  });
};

const COLLECTIONS = [
  'locations',
  'groups',
  'boxes',
  'zones',
  'services',
  'rates',
  'rateTables',
  'carriers',
  'areas',
  'pickups',
  'adjustments',
  'payments',
  'taxes',
] as const;

const duplicateIds = (book: Book): Fault[] =>
  COLLECTIONS.flatMap((name) =>
    duplicates(
      name,
      book[name].map((item) => item.id),
    ),
  );

const dangling = (path: Path, id: string, collection: string, known: ReadonlySet<string>): Fault[] =>
  known.has(id) ? [] : [fault('dangling', path, { id, collection })];

const referenceFaults = (book: Book): Fault[] => {
  const services = new Set(book.services.map((service) => service.id));
  const zones = new Set(book.zones.map((zone) => zone.id));
  return [
    ...book.zones.flatMap((zone, z) =>
      (zone.without ?? []).flatMap((id, at) =>
        dangling(['zones', z, 'without', at], id, 'services', services),
      ),
    ),
    ...book.rates.flatMap((rate, r) => [
      ...dangling(['rates', r, 'serviceId'], rate.serviceId, 'services', services),
      ...dangling(['rates', r, 'zoneId'], rate.zoneId, 'zones', zones),
    ]),
  ];
};

const rateFaults = (book: Book): Fault[] => {
  const cells = new Map<string, number>();
  return book.rates.flatMap((rate, at) => {
    const cell = `${rate.serviceId}/${rate.zoneId}`;
    const first = cells.get(cell);
    if (first !== undefined) return [fault('duplicate-rate', ['rates', at], { first: `rates[${first}]` })];
    cells.set(cell, at);
    return [];
  });
};

const remainderFaults = (book: Book): Fault[] => {
  const first = book.zones.findIndex((zone) => zone.remainder);
  return book.zones.flatMap((zone, at) =>
    zone.remainder && at !== first
      ? [fault('second-remainder', ['zones', at, 'remainder'], { first: `zones[${first}]` })]
      : [],
  );
};

const patternFaults = (path: Path, region: Region): Fault[] =>
  (region.postal ?? []).flatMap((pattern, at) =>
    parsePattern(region.country, pattern) ? [] : [fault('bad-pattern', [...path, 'postal', at], { pattern })],
  );

const regionFaults = (book: Book): Fault[] => {
  const listed = (path: Path, regions: readonly Region[]): Fault[] =>
    regions.flatMap((region, at) => patternFaults([...path, at], region));
  return [
    ...listed(['store', 'sellsTo', 'closedRegions'], book.store.sellsTo.closedRegions),
    ...book.zones.flatMap((zone, z) => [
      ...listed(['zones', z, 'includes'], zone.includes),
      ...listed(['zones', z, 'excludes'], zone.excludes),
    ]),
    ...book.taxes.flatMap((tax, at) => patternFaults(['taxes', at, 'region'], tax.region)),
  ];
};

/** What a book of the right shape still has wrong with it: ids used twice, references to nothing, patterns that are none. */
export const bookFaults = (book: Book): Fault[] => [
  ...duplicateIds(book),
  ...referenceFaults(book),
  ...rateFaults(book),
  ...remainderFaults(book),
  ...regionFaults(book),
];

/** What a catalogue has wrong with it beyond its shape, or against the book it goes with. */
export const catalogueFaults = (catalogue: Catalogue, book?: Book): Fault[] => {
  const groups = new Set(book?.groups.map((group) => group.id));
  const groupFaults = book
    ? catalogue.goods.flatMap((good, at) =>
        good.groupId === undefined ? [] : dangling(['goods', at, 'groupId'], good.groupId, 'groups', groups),
      )
    : [];
  return [
    ...duplicates(
      'goods',
      catalogue.goods.map((good) => good.sku),
      'sku',
    ),
    ...groupFaults,
  ];
};
