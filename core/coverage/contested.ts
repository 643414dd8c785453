import type { Region, Zone } from '../model/place.ts';
import { claimsOn, type PlaceIndex } from '../place/place-index.ts';
import type { Place } from '../place/place.ts';
import { normaliseCode, parsePattern } from '../place/postal.ts';
import { findZone, indexZones } from '../place/zone-index.ts';
import { subdivisionOfCode } from '../place/subdivision-of-code.ts';

/** An entry of a zone that another zone names too. */
export interface Contest {
  entry: string;
  country: string;
  winner: Zone;
  /** The zones that name it and do not have it. */
  losers: Zone[];
}

/** A place that an entry takes: for a pattern its fixed beginning, with wild characters filled in. */
const placeIn = (region: Region, pattern: string | undefined): Place => {
  if (pattern === undefined)
    return { country: region.country, subdivision: region.subdivision, code: undefined };
  const parsed = parsePattern(region.country, pattern);
  const text = !parsed
    ? ''
    : parsed.kind === 'exact'
      ? parsed.code
      : parsed.kind === 'range'
        ? parsed.from
        : parsed.text;
  const code = normaliseCode(region.country, text.replaceAll('?', '1'));
  return { country: region.country, subdivision: subdivisionOfCode(region.country, code), code };
};

const entriesOf = (zone: Zone): { region: Region; entry: string; place: Place }[] =>
  zone.includes.flatMap((region) =>
    region.postal
      ? region.postal.map((entry) => ({ region, entry, place: placeIn(region, entry) }))
      : [{ region, entry: region.subdivision ?? region.country, place: placeIn(region, undefined) }],
  );

const ownersAt = (index: PlaceIndex<Zone>, place: Place): Zone[] => [
  ...new Set(claimsOn(index, place).map((claim) => claim.owner)),
];

/**
 * The entries that more than one active zone names, each with the zone that has it. A code beside the
 * subdivision it lies in counts where the code itself says the subdivision.
 */
export const contestedEntries = (zones: readonly Zone[]): Contest[] => {
  const index = indexZones(zones);
  const found = new Map<string, Contest>();
  for (const zone of zones.filter((one) => one.active)) {
    for (const { region, entry, place } of entriesOf(zone)) {
      const owners = ownersAt(index.places, place);
      const winner = findZone(index, place)?.zone;
      if (owners.length < 2 || !winner) continue;
      const losers = owners.filter((owner) => owner !== winner);
      found.set(`${region.country}:${entry}`, { entry, country: region.country, winner, losers });
    }
  }
  return [...found.values()];
};
