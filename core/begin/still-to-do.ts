import { gapsOf } from '../goods/gaps.ts';
import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Location } from '../model/location.ts';
import type { Limits, Price } from '../model/price.ts';
import { kindOf } from '../price/kinds.ts';
import type { TestOrder } from '../model/test-order.ts';

/** Something a shop needs before its customers can rely on what it charges. */
export type ToDo =
  | { code: 'no-products' }
  | { code: 'no-weight' | 'no-size'; names: string[] }
  | { code: 'no-hours' | 'no-point'; id: string; name: string }
  | { code: 'nothing-expected' }
  | { code: 'tests-fail'; count: number }
  | { code: 'not-published' };

/** What is asked about: the draft, and what is known of it. */
export interface Shop {
  book: Book;
  goods: readonly Good[];
  testOrders: readonly Pick<TestOrder, 'expects'>[];
  /** How many test orders do not give what they should. */
  failing: number;
  isPublished: boolean;
}

type Gap = 'weight' | 'size';

const LIMITED: Record<Gap, readonly (keyof Limits)[]> = {
  weight: ['weight'],
  size: ['volume', 'longestSide'],
};

/** Whether a price goes by weights or by sizes, as all that a carrier gives do. */
const isPricedBy = (gap: Gap, price: Price, tables: Book['rateTables']): boolean => {
  const kind = kindOf(price);
  const basis = kind.basis(price, tables);
  return kind.names(price).accountId !== undefined || basis === (gap === 'weight' ? 'weight' : 'volume');
};

const isLimitedBy = (gap: Gap, limits: Limits = {}): boolean =>
  LIMITED[gap].some((measure) => limits[measure] !== undefined);

/** Whether any rule that is switched on goes by weights or by sizes, so that a missing one matters. */
const isAskedFor = (gap: Gap, { rates, areas, pickups, rateTables }: Book): boolean =>
  [...rates, ...areas].some(
    ({ active, price, limits }) => active && (isPricedBy(gap, price, rateTables) || isLimitedBy(gap, limits)),
  ) ||
  areas.some(({ active, methods }) => active && methods.some(({ limits }) => isLimitedBy(gap, limits))) ||
  pickups.some(({ active, limits }) => active && isLimitedBy(gap, limits));

/** Days and times are counted in the hours of the location that an area, a pickup point or a rate goes by. */
const needsHours = ({ rates, areas, pickups, locations }: Book, { id }: Location): boolean =>
  areas.some((area) => area.active && area.locationId === id) ||
  pickups.some((pickup) => pickup.active && pickup.locationId === id) ||
  (locations[0]?.id === id && rates.some(({ active, transit }) => active && transit !== undefined));

/** Distances are measured from the point of a location. */
const needsPoint = ({ areas, pickups }: Book, { id }: Location): boolean =>
  areas.some(
    ({ active, locationId, covers, price }) =>
      active &&
      locationId === id &&
      (covers.kind === 'radius' || (price.kind === 'steps' && price.basis === 'distance')),
  ) ||
  pickups.some(
    ({ active, locationId, maxDistance }) => active && locationId === id && maxDistance !== undefined,
  );

const missing = (gap: Gap, { book, goods }: Shop): ToDo[] => {
  const names = goods.filter((good) => gapsOf(good).includes(gap)).map(({ name }) => name);
  if (names.length === 0 || !isAskedFor(gap, book)) return [];
  return [{ code: gap === 'weight' ? 'no-weight' : 'no-size', names }];
};

const ofLocation = (book: Book, location: Location): ToDo[] => {
  const { id, name, hours, address } = location;
  return [
    ...(hours.length === 0 && needsHours(book, location) ? [{ code: 'no-hours' as const, id, name }] : []),
    ...(address.point === undefined && needsPoint(book, location)
      ? [{ code: 'no-point' as const, id, name }]
      : []),
  ];
};

/**
 * What is still to do, in the order in which it is done: products and their figures, locations, test orders, publishing.
 * Each is there only while it holds and matters to a rule of the book.
 */
export const stillToDo = (shop: Shop): ToDo[] => {
  const { book, goods, testOrders, failing, isPublished } = shop;
  const isTested = testOrders.some(({ expects }) => expects.length > 0);
  return [
    ...(goods.length === 0 ? [{ code: 'no-products' as const }] : []),
    ...missing('weight', shop),
    ...missing('size', shop),
    ...book.locations.flatMap((location) => ofLocation(book, location)),
    ...(isTested ? [] : [{ code: 'nothing-expected' as const }]),
    ...(failing > 0 ? [{ code: 'tests-fail' as const, count: failing }] : []),
    ...(isPublished ? [] : [{ code: 'not-published' as const }]),
  ];
};
