import type { Book } from '../model/book.ts';
import type { Region, Zone } from '../model/place.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { whereabouts } from './whereabouts.ts';

/** How a subdivision stands where no postal code decides: what the map draws of it. */
export interface SubdivisionReach {
  subdivision: string;
  sold: boolean;
  zone: Zone | null;
  /** Whether nothing that is switched on ships to its zone. */
  withoutRate: boolean;
}

const subdivided = (regions: readonly Region[]): string[] =>
  regions.flatMap(({ country, subdivision }) => (subdivision === undefined ? [] : [country]));

/** The countries whose subdivisions stand differently: an active zone, or what is closed, names one of them. */
export const splitCountries = ({ store, zones }: Book): string[] => [
  ...new Set([
    ...zones
      .filter(({ active }) => active)
      .flatMap(({ includes, excludes }) => subdivided([...includes, ...excludes])),
    ...subdivided([...store.sellsTo.closedRegions, ...(store.sellsTo.onlyRegions ?? [])]),
  ]),
];

/** How one subdivision (ISO 3166-2) stands. */
export const subdivisionReach = (compiled: CompiledBook, subdivision: string): SubdivisionReach => {
  const place = { country: subdivision.slice(0, 2), subdivision, code: undefined };
  const { sold, zone, services } = whereabouts(compiled, place);
  return { subdivision, sold, zone: zone?.zone ?? null, withoutRate: services.length === 0 };
};
