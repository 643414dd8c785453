import { parsePattern } from '../place/postal.ts';
import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import { fault, type Fault } from '../model/fault.ts';
import type { AnyNoneSome, Catalogue } from '../model/good.ts';
import type { PackPlan } from '../model/pack.ts';
import type { Region } from '../model/place.ts';
import type { Price } from '../model/price.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import { effectKind } from '../adjust/effect-kinds.ts';
import { kindOf } from '../price/kinds.ts';

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

type Known = Record<(typeof COLLECTIONS)[number], ReadonlySet<string>>;

const knownIds = (book: Book): Known =>
  Object.fromEntries(
    COLLECTIONS.map((name) => [name, new Set(book[name].map((item) => item.id))]),
  ) as unknown as Known;

/** The fault of an id that may be left out and names nothing. */
const danglingIn = (path: Path, id: string | undefined, collection: keyof Known, known: Known): Fault[] =>
  id === undefined ? [] : dangling(path, id, collection, known[collection]);

/** Faults for each id of a list that names nothing. */
const danglingIds = (
  path: Path,
  ids: readonly string[] | undefined,
  collection: keyof Known,
  known: Known,
): Fault[] => (ids ?? []).flatMap((id, at) => dangling([...path, at], id, collection, known[collection]));

const namedOf = (allowed: AnyNoneSome): readonly string[] => (typeof allowed === 'string' ? [] : allowed);

const groupFaults = (book: Book, known: Known): Fault[] =>
  book.groups.flatMap(({ shipping, delivery, pickup, onlyZones, neverZones }, at) => [
    ...danglingIds(['groups', at, 'shipping'], namedOf(shipping), 'services', known),
    ...danglingIds(['groups', at, 'delivery'], namedOf(delivery), 'areas', known),
    ...danglingIds(['groups', at, 'pickup'], namedOf(pickup), 'pickups', known),
    ...danglingIds(['groups', at, 'onlyZones'], onlyZones, 'zones', known),
    ...danglingIds(['groups', at, 'neverZones'], neverZones, 'zones', known),
  ]);

/** Faults for each method that an adjustment aims at and that is not there. */
const methodFaults = (path: Path, methods: Adjustment['to']['methods'], { areas }: Book): Fault[] =>
  (methods ?? []).flatMap(({ areaId, methodId }, at) => {
    const area = areas.find(({ id }) => id === areaId);
    if (!area) return [fault('dangling', [...path, at, 'areaId'], { id: areaId, collection: 'areas' })];
    return area.methods.some(({ id }) => id === methodId)
      ? []
      : [
          fault('dangling', [...path, at, 'methodId'], {
            id: methodId,
            collection: `areas.${areaId}.methods`,
          }),
        ];
  });

const adjustmentFaults = (book: Book, known: Known): Fault[] =>
  book.adjustments.flatMap(({ to, when, effect }, at) => {
    const path: Path = ['adjustments', at];
    const goods = effectKind(effect).goods(effect);
    return [
      ...danglingIds([...path, 'to', 'serviceIds'], to.serviceIds, 'services', known),
      ...danglingIds([...path, 'to', 'zoneIds'], to.zoneIds, 'zones', known),
      ...danglingIds([...path, 'to', 'areaIds'], to.areaIds, 'areas', known),
      ...danglingIds([...path, 'to', 'pickupIds'], to.pickupIds, 'pickups', known),
      ...methodFaults([...path, 'to', 'methods'], to.methods, book),
      ...danglingIds([...path, 'effect', 'goods', 'groupIds'], goods.groupIds, 'groups', known),
      ...when.flatMap((condition, c) => {
        const { groupIds } = conditionKind(condition).goods(condition);
        return danglingIds([...path, 'when', c, 'groupIds'], groupIds, 'groups', known);
      }),
    ];
  });

const priceReferences = (path: Path, price: Price, known: Known): Fault[] => {
  const { tableId, accountId } = kindOf(price).names(price);
  return [
    ...danglingIn([...path, 'tableId'], tableId, 'rateTables', known),
    ...danglingIn([...path, 'accountId'], accountId, 'carriers', known),
  ];
};

const packReferences = (path: Path, plan: PackPlan, known: Known): Fault[] =>
  plan.kind === 'boxes' ? danglingIds([...path, 'boxIds'], plan.boxIds, 'boxes', known) : [];

const nearbyReferences = (book: Book, known: Known): Fault[] => [
  ...book.areas.flatMap((area, at) => [
    ...dangling(['areas', at, 'locationId'], area.locationId, 'locations', known.locations),
    ...priceReferences(['areas', at, 'price'], area.price, known),
  ]),
  ...book.pickups.flatMap((point, at) =>
    dangling(['pickups', at, 'locationId'], point.locationId, 'locations', known.locations),
  ),
];

const referenceFaults = (book: Book): Fault[] => {
  const known = knownIds(book);
  return [
    ...book.zones.flatMap((zone, z) => danglingIds(['zones', z, 'without'], zone.without, 'services', known)),
    ...book.rates.flatMap((rate, r) => [
      ...dangling(['rates', r, 'serviceId'], rate.serviceId, 'services', known.services),
      ...dangling(['rates', r, 'zoneId'], rate.zoneId, 'zones', known.zones),
      ...priceReferences(['rates', r, 'price'], rate.price, known),
    ]),
    ...packReferences(['store', 'packing'], book.store.packing, known),
    ...book.carriers.flatMap((account, at) => [
      ...dangling(['carriers', at, 'locationId'], account.locationId, 'locations', known.locations),
      ...packReferences(['carriers', at, 'packing'], account.packing, known),
    ]),
    ...nearbyReferences(book, known),
    ...groupFaults(book, known),
    ...adjustmentFaults(book, known),
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

const coverageFaults = ({ areas }: Book): Fault[] =>
  areas.flatMap(({ covers }, at) =>
    covers.kind === 'postal'
      ? covers.patterns.flatMap((pattern, p) =>
          parsePattern(covers.country, pattern)
            ? []
            : [fault('bad-pattern', ['areas', at, 'covers', 'patterns', p], { pattern })],
        )
      : [],
  );

/** The postal patterns that are none, wherever a book has some. */
export const regionFaults = (book: Book): Fault[] => {
  const listed = (path: Path, regions: readonly Region[]): Fault[] =>
    regions.flatMap((region, at) => patternFaults([...path, at], region));
  return [
    ...listed(['store', 'sellsTo', 'closedRegions'], book.store.sellsTo.closedRegions),
    ...listed(['store', 'sellsTo', 'onlyRegions'], book.store.sellsTo.onlyRegions ?? []),
    ...book.zones.flatMap((zone, z) => [
      ...listed(['zones', z, 'includes'], zone.includes),
      ...listed(['zones', z, 'excludes'], zone.excludes),
    ]),
    ...book.taxes.flatMap((tax, at) => patternFaults(['taxes', at, 'region'], tax.region)),
    ...book.postalList.flatMap(({ country, pattern }, at) =>
      parsePattern(country, pattern)
        ? []
        : [fault('bad-pattern', ['postalList', at, 'pattern'], { pattern })],
    ),
    ...coverageFaults(book),
    ...book.rateTables.flatMap(({ rows }, t) =>
      rows.flatMap(({ country, postal }, at) =>
        postal === undefined || parsePattern(country ?? '', postal)
          ? []
          : [fault('bad-pattern', ['rateTables', t, 'rows', at, 'postal'], { pattern: postal })],
      ),
    ),
    ...book.adjustments.flatMap(({ when }, at) =>
      when.flatMap((condition, c) =>
        listed(['adjustments', at, 'when', c, 'in'], conditionKind(condition).regions(condition)),
      ),
    ),
  ];
};

/** What of a book does not belong together: ids used twice, references to nothing, two rates of a cell. */
export const linkFaults = (book: Book): Fault[] => [
  ...duplicateIds(book),
  ...book.areas.flatMap(({ methods }, at) =>
    duplicates(
      `areas[${at}].methods`,
      methods.map(({ id }) => id),
    ),
  ),
  ...referenceFaults(book),
  ...rateFaults(book),
  ...remainderFaults(book),
];

/** What a book of the right shape still has wrong with it: ids used twice, references to nothing, patterns that are none. */
export const bookFaults = (book: Book): Fault[] => [...linkFaults(book), ...regionFaults(book)];

/** What a catalogue has wrong with it beyond its shape, or against the book it goes with. */
export const catalogueFaults = (catalogue: Catalogue, book?: Book): Fault[] => {
  const groups = new Set(book?.groups.map((group) => group.id));
  const groupFaults = book
    ? catalogue.goods.flatMap((good, at) =>
        (good.groupIds ?? []).flatMap((id, g) =>
          dangling(['goods', at, 'groupIds', g], id, 'groups', groups),
        ),
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
