import type { PickupPoint } from '../model/delivery.ts';
import type { Destination, Zone } from '../model/place.ts';
import { areasAt, bestAreas, type AreaFound } from '../place/area-index.ts';
import { metresBetween } from '../place/distance.ts';
import type { CompiledPickup } from '../quote/nearby.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { claimsOn } from '../place/place-index.ts';
import { placeOf, type Place } from '../place/place.ts';
import { askPostalList, type PostalAnswer } from '../place/postal-list.ts';
import { findZone, sellsThere, type ZoneFound } from '../place/zone-index.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';

/** What the book says about a place, in the order in which a quote asks. */
export interface Whereabouts {
  place: Place;
  /** Whether the subdivision was taken from the code, not given. */
  assumedSubdivision: boolean;
  sold: boolean;
  /** What the postal list says of it. */
  postal: PostalAnswer;
  zone: ZoneFound | null;
  /** The other active zones that name the place too, with their entries; the deciding one is not among them. */
  alsoIn: { zone: Zone; entry: string }[];
  /** The delivery areas that take it, one a location, and why. */
  areas: AreaFound[];
  /** The pickup points for customers of any distance, or of one that it is within. */
  pickups: PickupPoint[];
  /** The services with a rate that is switched on in the zone. */
  services: { id: string; name: string }[];
}

const servicesIn = (compiled: CompiledBook, zone: Zone): Whereabouts['services'] =>
  compiled.services
    .filter(({ byZone }) => byZone.get(zone.id)?.rate.active)
    .map(({ service: { id, name } }) => ({ id, name }));

const isWithin = (
  { point: { active, maxDistance }, location }: CompiledPickup,
  to: Destination['point'],
): boolean => {
  const here = location.address.point;
  if (!active || maxDistance === undefined) return active;
  return here !== undefined && to !== undefined && metresBetween(here, to) <= maxDistance;
};

/** Where a place falls: sold to or not, the zone and the entry that decides, who else names it, what ships there. */
export const whereabouts = (
  compiled: CompiledBook,
  place: Place,
  assumedSubdivision = false,
  point?: Destination['point'],
): Whereabouts => {
  const zone = findZone(compiled.zones, place);
  const sold = sellsThere(compiled.sellsTo, place);
  const alsoIn = claimsOn(compiled.zones.places, place)
    .filter(
      ({ owner }, at, all) => owner !== zone?.zone && all.findIndex((one) => one.owner === owner) === at,
    )
    .map(({ owner, entry }) => ({ zone: owner, entry }));
  return {
    place,
    assumedSubdivision,
    sold,
    postal: askPostalList(compiled.postalList, place, compiled.book.store.unlistedPostalCodes),
    zone,
    alsoIn,
    services: zone ? servicesIn(compiled, zone.zone) : [],
    areas: [...bestAreas(areasAt(compiled.areaIndex, place, point)).values()],
    pickups: compiled.pickups
      .filter((pickup) => sold && isWithin(pickup, point))
      .map((pickup) => pickup.point),
  };
};

/** Where a postal code falls; its subdivision is taken from the code where the code says it. */
export const whereaboutsOfCode = (
  compiled: CompiledBook,
  country: string,
  postalCode: string,
  point?: Destination['point'],
): Whereabouts => {
  const place = placeOf({ country, postalCode });
  const subdivision = place.code === undefined ? undefined : subdivisionOfCode(country, place.code);
  return whereabouts(compiled, { ...place, subdivision }, subdivision !== undefined, point);
};

/** The codes of a pasted text: parted by lines, commas, semicolons or tabs; each once. */
export const pastedCodes = (text: string): string[] => [
  ...new Set(
    text
      .split(/[\n,;\t]+/)
      .map((code) => code.trim().toUpperCase())
      .filter(Boolean),
  ),
];
