/**
 * Brings files and stored documents of version 1 up to date as they are read. They are untrusted still: only what
 * has the old shape is changed, and the schemas judge the result. Each function gives the value back where it finds
 * nothing of version 1.
 */

import { isFields, type Fields } from './fields.ts';

const each = (value: unknown, change: (item: Fields) => Fields): unknown =>
  Array.isArray(value) ? value.map((item: unknown) => (isFields(item) ? change(item) : item)) : value;

const RANGE = /^\s*([^.]+?)\s*\.\.\s*([^.]+?)\s*$/;

/** A range of codes was written '04101..04199'. */
const pattern = (value: unknown): unknown =>
  typeof value === 'string' ? value.replace(RANGE, '$1 to $2') : value;

const patterns = (value: unknown): unknown => (Array.isArray(value) ? value.map(pattern) : value);

const region = (value: Fields): Fields =>
  'postal' in value ? { ...value, postal: patterns(value.postal) } : value;

const regions = (value: unknown): unknown => each(value, region);

const KINDS: Record<string, string> = {
  tiers: 'steps',
  'by-goods': 'per-product',
  'as-received': 'open-minutes',
  batch: 'cut-off',
};

/** A price or a preparation under the name its kind has now. */
const renamedKind = (value: unknown): unknown =>
  isFields(value) && typeof value.kind === 'string' && value.kind in KINDS
    ? { ...value, kind: KINDS[value.kind] }
    : value;

const withKinds = (item: Fields): Fields => ({
  ...item,
  ...('price' in item ? { price: renamedKind(item.price) } : {}),
  ...('preparation' in item ? { preparation: renamedKind(item.preparation) } : {}),
});

const sellsTo = (value: unknown): unknown =>
  isFields(value) ? { ...value, closedRegions: regions(value.closedRegions) } : value;

const store = (value: unknown): unknown => {
  if (!isFields(value)) return value;
  const { postalDaysMargin, ...rest } = value;
  return {
    ...rest,
    sellsTo: sellsTo(rest.sellsTo),
    ...(postalDaysMargin === undefined ? {} : { postalSpareDays: postalDaysMargin }),
  };
};

const allowed = (value: unknown): unknown => (typeof value === 'boolean' ? (value ? 'any' : 'none') : value);

const group = (item: Fields): Fields => ({
  ...item,
  delivery: allowed(item.delivery),
  pickup: allowed(item.pickup),
});

const account = ({ booking, ...item }: Fields): Fields =>
  booking === undefined ? item : { ...item, books: booking === 'rate-and-book' };

const area = ({ ways, ...item }: Fields): Fields => {
  const { covers } = item;
  return withKinds({
    ...item,
    ...(ways === undefined ? {} : { methods: ways }),
    ...(isFields(covers) && 'patterns' in covers
      ? { covers: { ...covers, patterns: patterns(covers.patterns) } }
      : {}),
  });
};

const adjustment = (item: Fields): Fields => ({
  ...item,
  when: each(item.when, (condition) =>
    condition.test === 'destination' ? { ...condition, in: regions(condition.in) } : condition,
  ),
});

const SHOWN: Record<string, string> = { estimate: 'amount', notice: 'mention', hide: 'nothing' };

const duties = (value: unknown): unknown =>
  isFields(value) && typeof value.show === 'string'
    ? { ...value, show: SHOWN[value.show] ?? value.show }
    : value;

/** The lines of a postal list, their ranges as they are written now. */
export const postalListUpToDate = (value: unknown): unknown =>
  each(value, (rule) => ({ ...rule, pattern: pattern(rule.pattern) }));

/** Rate tables, their ranges of codes as they are written now. */
export const rateTablesUpToDate = (value: unknown): unknown =>
  each(value, (table) => ({
    ...table,
    rows: each(table.rows, (row) => ('postal' in row ? { ...row, postal: pattern(row.postal) } : row)),
  }));

/** A book of version 1 as one of version 2. */
export const bookUpToDate = (value: unknown): unknown => {
  if (!isFields(value) || value.format !== 'emporos-book' || value.version !== 1) return value;
  return {
    ...value,
    version: 2,
    store: store(value.store),
    locations: each(value.locations, withKinds),
    groups: each(value.groups, group),
    zones: each(value.zones, (zone) => ({
      ...zone,
      includes: regions(zone.includes),
      excludes: regions(zone.excludes),
    })),
    rates: each(value.rates, withKinds),
    rateTables: rateTablesUpToDate(value.rateTables),
    carriers: each(value.carriers, account),
    areas: each(value.areas, area),
    pickups: each(value.pickups, withKinds),
    postalList: postalListUpToDate(value.postalList),
    adjustments: each(value.adjustments, adjustment),
    taxes: each(value.taxes, (tax) => (isFields(tax.region) ? { ...tax, region: region(tax.region) } : tax)),
    duties: duties(value.duties),
  };
};

/** A good, or a line of a basket, was in one handling group. */
const inGroups = ({ groupId, ...item }: Fields): Fields =>
  groupId === undefined ? item : { ...item, groupIds: [groupId] };

/** A catalogue whose goods were in one handling group each. */
export const catalogueUpToDate = (value: unknown): unknown =>
  isFields(value) ? { ...value, goods: each(value.goods, inGroups) } : value;

/** A request whose lines say their handling group. */
export const requestUpToDate = (value: unknown): unknown =>
  isFields(value) ? { ...value, lines: each(value.lines, inGroups) } : value;

const withRequest = (item: Fields): Fields =>
  'request' in item ? { ...item, request: requestUpToDate(item.request) } : item;

/** Test orders of version 1. */
export const testOrdersUpToDate = (value: unknown): unknown => each(value, withRequest);

/** What the id of a choice was made of, before choices said so themselves. */
const partsOf = (kind: unknown, id: string): Fields => {
  const [first = '', ...rest] = id.split(':');
  const last = rest.at(-1);
  const terms = last === 'DAP' || last === 'DDP' ? { terms: last } : {};
  const [second] = 'terms' in terms ? rest.slice(0, -1) : rest;
  if (kind === 'delivery')
    return { areaId: first, ...(second === undefined ? {} : { methodId: second }), ...terms };
  if (kind === 'pickup') return { pickupId: first, ...terms };
  if (kind !== 'shipping') return {};
  return { rateId: first, ...(second === undefined ? {} : { serviceCode: second }), ...terms };
};

const chosen = (value: unknown): unknown =>
  isFields(value) && value.of === undefined && typeof value.id === 'string'
    ? { ...value, of: partsOf(value.kind, value.id) }
    : value;

const upToDateOrder = (order: Fields): Fields => ({ ...withRequest(order), chosen: chosen(order.chosen) });

/** Past orders of version 1: what was chosen says what its id is made of. */
export const ordersUpToDate = (value: unknown): unknown => each(value, upToDateOrder);

/** One past order of version 1. */
export const orderUpToDate = (value: unknown): unknown => (isFields(value) ? upToDateOrder(value) : value);

/** Editions whose books or goods are of version 1. */
export const editionsUpToDate = (value: unknown): unknown =>
  each(value, (edition) => ({
    ...edition,
    book: bookUpToDate(edition.book),
    catalogue: catalogueUpToDate(edition.catalogue),
  }));
