import { gapsOf } from '../goods/gaps.ts';
import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Location } from '../model/location.ts';
import type { Limits, Price } from '../model/price.ts';
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

/** Whether a rule goes by weights or by sizes. */
const asksFor = (gap: 'weight' | 'size', price: Price, limits: Limits = {}): boolean => {
  if (price.kind === 'carrier') return true;
  if (gap === 'size') {
    const bySize = price.kind === 'steps' && price.basis === 'volume';
    return bySize || limits.longestSide !== undefined || limits.volume !== undefined;
  }
  return (price.kind === 'steps' && price.basis === 'weight') || limits.weight !== undefined;
};

/** Whether any rule of a book, a table or a method goes by weights or by sizes, so that a missing one matters. */
const isAskedFor = (gap: 'weight' | 'size', { rates, areas, pickups, rateTables }: Book): boolean =>
  rates.some(({ price, limits }) => asksFor(gap, price, limits)) ||
  areas.some(
    ({ price, limits, methods }) =>
      asksFor(gap, price, limits) || methods.some((method) => asksFor(gap, price, method.limits)),
  ) ||
  pickups.some(({ limits = {} }) => (gap === 'weight' ? limits.weight : limits.longestSide) !== undefined) ||
  rateTables.some(({ basis }) => basis === (gap === 'weight' ? 'weight' : 'volume'));

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

const missing = (gap: 'weight' | 'size', { book, goods }: Shop): ToDo[] => {
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
