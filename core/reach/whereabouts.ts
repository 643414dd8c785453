import type { Zone } from '../model/place.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { claimsOn } from '../place/place-index.ts';
import { placeOf, type Place } from '../place/place.ts';
import { askPostalList, type PostalAnswer } from '../place/postal-list.ts';
import { findZone, sellsThere, type ZoneFound } from '../place/reach.ts';
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
  /** The services with a rate that is switched on in the zone. */
  services: { id: string; name: string }[];
}

const servicesIn = (compiled: CompiledBook, zone: Zone): Whereabouts['services'] =>
  compiled.services
    .filter(({ byZone }) => byZone.get(zone.id)?.rate.active)
    .map(({ service: { id, name } }) => ({ id, name }));

/** Where a place falls: sold to or not, the zone and the entry that decides, who else names it, what ships there. */
export const whereabouts = (
  compiled: CompiledBook,
  place: Place,
  assumedSubdivision = false,
): Whereabouts => {
  const zone = findZone(compiled.zones, place);
  const alsoIn = claimsOn(compiled.zones.places, place)
    .filter(
      ({ owner }, at, all) => owner !== zone?.zone && all.findIndex((one) => one.owner === owner) === at,
    )
    .map(({ owner, entry }) => ({ zone: owner, entry }));
  return {
    place,
    assumedSubdivision,
    sold: sellsThere(compiled.sellsTo, place),
    postal: askPostalList(compiled.postalList, place, compiled.book.store.unlistedPostalCodes),
    zone,
    alsoIn,
    services: zone ? servicesIn(compiled, zone.zone) : [],
  };
};

/** Where a postal code falls; its subdivision is taken from the code where the code says it. */
export const whereaboutsOfCode = (
  compiled: CompiledBook,
  country: string,
  postalCode: string,
): Whereabouts => {
  const place = placeOf({ country, postalCode });
  const subdivision = place.code === undefined ? undefined : subdivisionOfCode(country, place.code);
  return whereabouts(compiled, { ...place, subdivision }, subdivision !== undefined);
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
