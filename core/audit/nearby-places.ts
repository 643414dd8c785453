import type { Destination } from '../model/place.ts';
import type { Choice } from '../model/quote.ts';
import { areasAt, bestAreas, metresOutside } from '../place/area-index.ts';
import { METRES_A_DEGREE } from '../place/ring.ts';
import { metresBetween } from '../place/distance.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { CompiledArea, CompiledPickup } from '../quote/nearby.ts';
import type { PlaceClass } from './place-classes.ts';

type Point = NonNullable<Destination['point']>;

const DIRECTIONS = Array.from({ length: 16 }, (_, at) => (at * Math.PI) / 8);
const MOST_DOUBLED = 14;

const moved = ({ lat, lng }: Point, metres: number, direction: number): Point => ({
  lat: Math.max(-89, Math.min(89, lat + (Math.sin(direction) * metres) / METRES_A_DEGREE)),
  lng: lng + (Math.cos(direction) * metres) / (METRES_A_DEGREE * Math.cos((lat * Math.PI) / 180)),
});

const isBeyondAll = ({ areas, pickups }: CompiledBook, point: Point): boolean =>
  areas.every(({ area, location }) => {
    const beyond = metresOutside(area, location.address.point, point);
    return beyond === null || beyond > 0;
  }) &&
  pickups.every(({ point: { maxDistance }, location: { address } }) =>
    maxDistance === undefined || !address.point ? true : metresBetween(address.point, point) > maxDistance,
  );

/**
 * A point that lies beyond every area that is drawn and every pickup point's greatest distance, for an order that
 * none of them takes; null where nothing turns on a point.
 */
export const farPoint = (compiled: CompiledBook): Point | null => {
  const limited = compiled.pickups.find(
    ({ point: { maxDistance }, location }) => maxDistance !== undefined && location.address.point,
  );
  const from = limited?.location.address.point;
  if (!from) return null;
  for (let step = 0; step < MOST_DOUBLED; step += 1)
    for (const direction of DIRECTIONS) {
      const point = moved(from, 2_000 * 2 ** step, direction);
      if (isBeyondAll(compiled, point)) return point;
    }
  return null;
};

/** Whether a pickup point counts for customers of a country: within its greatest distance, or else in its own country. */
export const isNear = ({ point, location }: CompiledPickup, country: string): boolean =>
  point.active &&
  (point.maxDistance === undefined || !location.address.point) &&
  location.address.country === country;

/** Whether a choice counts as a way to buy for customers of a country whose address is far from all points. */
export const countsFrom = ({ pickups }: CompiledBook, { kind, id }: Choice, country: string): boolean => {
  if (kind !== 'pickup') return true;
  const pickup = pickups.find(({ point }) => point.id === id);
  return pickup !== undefined && (pickup.point.maxDistance !== undefined || isNear(pickup, country));
};

/** The areas by postal code that cover the places of a class. */
export const areasOf = (compiled: CompiledBook, { place }: PlaceClass): CompiledArea[] => {
  const best = bestAreas(areasAt(compiled.areaIndex, place, undefined));
  return compiled.areas.filter(({ area }) => best.get(area.locationId)?.area === area);
};

/** Whether areas or pickup points may take orders to a class of places. */
export const hasNearby = (compiled: CompiledBook, place: PlaceClass): boolean =>
  compiled.pickups.some((pickup) => isNear(pickup, place.destination.country)) ||
  (place.served && areasOf(compiled, place).length > 0);

/** The distances at which a price by distance changes, within a radius. */
const distancesOf = ({ area: { covers, price } }: CompiledArea): number[] => {
  if (covers.kind !== 'radius') return [];
  const steps =
    price.kind === 'steps' && price.basis === 'distance' ? price.steps.map(({ from }) => from) : [];
  return [0, ...steps.filter((from) => from < covers.metres), covers.metres * 0.99];
};

const middleOf = ({ area: { covers }, location }: CompiledArea): Point | undefined => {
  if (covers.kind !== 'shape') return location.address.point;
  const [a, b] = covers.ring;
  return a && b ? { lng: (a[0] + b[0]) / 2, lat: (a[1] + b[1]) / 2 } : undefined;
};

/** Addresses inside an area that is drawn: one at each distance at which its price changes, or one on its edge. */
export const addressesIn = (compiled: CompiledArea): Destination[] => {
  const { area, location } = compiled;
  const middle = middleOf(compiled);
  if (area.covers.kind === 'postal' || !middle) return [];
  const { country, subdivision } = location.address;
  const distances = area.covers.kind === 'radius' ? distancesOf(compiled) : [0];
  return [...new Set(distances)].map((metres) => ({
    country,
    ...(subdivision === undefined ? {} : { subdivision }),
    point: moved(middle, metres, Math.PI / 2),
  }));
};
