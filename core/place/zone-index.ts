import { t } from '../translate/translate.ts';
import { entryName, type PlaceNames } from './region-phrase.ts';
import type { SellsTo, Zone } from '../model/place.ts';
import type { Place } from './place.ts';
import { buildPlaceIndex, decidingClaim, holdsPlace, type PlaceIndex } from './place-index.ts';

/** Where the shop sells, ready to be asked. */
export interface SellsToIndex {
  mode: SellsTo['mode'];
  countries: ReadonlySet<string>;
  closed: PlaceIndex<'closed'>;
  /** The countries of which only some regions are open, and those regions. */
  partly: ReadonlySet<string>;
  open: PlaceIndex<'open'>;
}

export interface ZoneIndex {
  places: PlaceIndex<Zone>;
  /** The places each zone leaves out; only zones that leave any out are in it. */
  excluded: ReadonlyMap<string, PlaceIndex<Zone>>;
  remainder: Zone | null;
}

export interface ZoneFound {
  zone: Zone;
  /** The entry that decides: a pattern, a subdivision, a country, or `REMAINDER`. */
  because: string;
}

/** The entry of the zone that takes what no other does. */
export const REMAINDER = 'all remaining places';

/** By which entry a zone has a place of a country, as the end of a sentence: 'by B0C*'. */
export const entryPhrase = (
  { because }: Pick<ZoneFound, 'because'>,
  names: PlaceNames,
  country: string | null,
): string =>
  because === REMAINDER
    ? t('as no other zone includes it')
    : t('by {entry}', { entry: entryName(because, names, country) });

/** An index of where the shop sells. */
export const indexSellsTo = (sellsTo: SellsTo): SellsToIndex => ({
  mode: sellsTo.mode,
  countries: new Set(sellsTo.countries),
  closed: buildPlaceIndex([{ owner: 'closed', regions: sellsTo.closedRegions }]),
  partly: new Set(sellsTo.onlyRegions?.map(({ country }) => country)),
  open: buildPlaceIndex([{ owner: 'open', regions: sellsTo.onlyRegions ?? [] }]),
});

/** Whether the shop sells to some place of a country. */
export const sellsToPartOf = (index: SellsToIndex, country: string): boolean =>
  index.countries.has(country) === (index.mode === 'listed');

/** Whether the shop sells to a place at all. */
export const sellsThere = (index: SellsToIndex, place: Place): boolean => {
  if (!sellsToPartOf(index, place.country)) return false;
  if (index.partly.has(place.country) && !holdsPlace(index.open, place)) return false;
  return !holdsPlace(index.closed, place);
};

/** An index of the active zones. */
export const indexZones = (zones: readonly Zone[]): ZoneIndex => {
  const active = zones.filter((zone) => zone.active);
  return {
    places: buildPlaceIndex(active.map((zone) => ({ owner: zone, regions: zone.includes }))),
    excluded: new Map(
      active
        .filter((zone) => zone.excludes.length > 0)
        .map((zone) => [zone.id, buildPlaceIndex([{ owner: zone, regions: zone.excludes }])]),
    ),
    remainder: active.find((zone) => zone.remainder) ?? null,
  };
};

const takes = (index: ZoneIndex, zone: Zone, place: Place): boolean => {
  const excluded = index.excluded.get(zone.id);
  return !excluded || !holdsPlace(excluded, place);
};

/** The one zone a place falls to: its most specific match, else the zone of everywhere else. */
export const findZone = (index: ZoneIndex, place: Place): ZoneFound | null => {
  const claim = decidingClaim(index.places, place, (zone) => takes(index, zone, place));
  if (claim) return { zone: claim.owner, because: claim.entry };
  const { remainder } = index;
  return remainder && takes(index, remainder, place) ? { zone: remainder, because: REMAINDER } : null;
};
