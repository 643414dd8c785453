import type { Region, Zone } from '../model/place.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { sellsToPartOf } from '../place/zone-index.ts';
import { whereabouts } from './whereabouts.ts';

/** How a country stands: what the map draws of it. */
export interface CountryReach {
  country: string;
  sold: boolean;
  /** The zone of its places that no other entry takes. */
  zone: Zone | null;
  /** The other active zones that take parts of it, in the book's order. */
  parts: Zone[];
  /** Whether nothing that is switched on ships to its zone. */
  withoutRate: boolean;
  /** How many regions are closed inside it. */
  closedRegions: number;
  /** How many regions of it are open, where only those are; else 0. */
  onlyRegions: number;
}

const namesPartOf =
  (country: string) =>
  (region: Region): boolean =>
    region.country === country && (region.subdivision !== undefined || region.postal !== undefined);

/** How one country stands: sold to or closed, its zone, the zones that take parts of it. */
export const countryReach = (compiled: CompiledBook, country: string): CountryReach => {
  const { store, zones } = compiled.book;
  const place = { country, subdivision: undefined, code: undefined };
  const { zone, services } = whereabouts(compiled, place);
  const sold = sellsToPartOf(compiled.sellsTo, country);
  const parts = zones.filter(
    (one) => one.active && one !== zone?.zone && one.includes.some(namesPartOf(country)),
  );
  return {
    country,
    sold,
    zone: zone?.zone ?? null,
    parts,
    withoutRate: services.length === 0 && parts.every((part) => !shipsTo(compiled, part)),
    closedRegions: store.sellsTo.closedRegions.filter((region) => region.country === country).length,
    onlyRegions: (store.sellsTo.onlyRegions ?? []).filter((region) => region.country === country).length,
  };
};

const shipsTo = (compiled: CompiledBook, zone: Zone): boolean =>
  compiled.services.some(({ byZone }) => byZone.get(zone.id)?.rate.active);
