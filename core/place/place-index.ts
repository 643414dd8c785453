import type { Region } from '../model/place.ts';
import type { Place } from './place.ts';
import { maskedKey, parsePattern } from './postal.ts';
import { rangeIndex, type RangeIndex } from './range-index.ts';

/** One entry of a list of regions, and whose it is. */
export interface Claim<T> {
  owner: T;
  /** The owner's place in the list: of equals, the first wins. */
  order: number;
  /** The entry as the merchant wrote it: 'B0C*', 'CA-NS', 'CA'. */
  entry: string;
}

interface ShapeGroup<T> {
  length: number;
  wild: readonly number[];
  open: boolean;
  claims: Map<string, Claim<T>[]>;
}

/** The patterns that share one length of fixed beginning. */
interface Tier<T> {
  fixed: number;
  shapes: Map<string, ShapeGroup<T>>;
  ranges: Map<string, { length: number; prefix: string; spans: RangeIndex<Claim<T>> }>;
  rangeLengths: Set<number>;
}

interface CountryIndex<T> {
  exact: Map<string, Claim<T>[]>;
  tiers: Tier<T>[];
  subdivisions: Map<string, Claim<T>[]>;
  whole: Claim<T>[];
}

export interface PlaceIndex<T> {
  countries: Map<string, CountryIndex<T>>;
}

const push = <K, V>(lists: Map<K, V[]>, key: K, value: V): void => {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
};

const countryOf = <T>(index: PlaceIndex<T>, country: string): CountryIndex<T> => {
  const known = index.countries.get(country);
  if (known) return known;
  const made: CountryIndex<T> = { exact: new Map(), tiers: [], subdivisions: new Map(), whole: [] };
  index.countries.set(country, made);
  return made;
};

const tierOf = <T>(country: CountryIndex<T>, fixed: number): Tier<T> => {
  const known = country.tiers.find((tier) => tier.fixed === fixed);
  if (known) return known;
  const made: Tier<T> = { fixed, shapes: new Map(), ranges: new Map(), rangeLengths: new Set() };
  country.tiers.push(made);
  country.tiers.sort((a, b) => b.fixed - a.fixed);
  return made;
};

const addPattern = <T>(country: CountryIndex<T>, name: string, pattern: string, claim: Claim<T>): void => {
  const parsed = parsePattern(name, pattern);
  if (!parsed) return;
  if (parsed.kind === 'exact') {
    push(country.exact, parsed.code, claim);
    return;
  }
  const tier = tierOf(country, parsed.fixed);
  if (parsed.kind === 'range') {
    const { length } = parsed.from;
    const prefix = parsed.from.slice(0, parsed.fixed);
    const key = `${length}:${prefix}`;
    const ranges = tier.ranges.get(key) ?? { length, prefix, spans: rangeIndex<Claim<T>>() };
    ranges.spans.add(parsed.from, parsed.to, claim);
    tier.ranges.set(key, ranges);
    tier.rangeLengths.add(length);
    return;
  }
  const form = `${parsed.text.length}:${parsed.wild.join(',')}:${parsed.open}`;
  const group: ShapeGroup<T> = tier.shapes.get(form) ?? {
    length: parsed.text.length,
    wild: parsed.wild,
    open: parsed.open,
    claims: new Map(),
  };
  push(group.claims, parsed.text, claim);
  tier.shapes.set(form, group);
};

const addRegion = <T>(index: PlaceIndex<T>, region: Region, owner: T, order: number): void => {
  const country = countryOf(index, region.country);
  if (region.postal) {
    for (const pattern of region.postal) addPattern(country, region.country, pattern, { owner, order, entry: pattern });
  } else if (region.subdivision) {
    push(country.subdivisions, region.subdivision, { owner, order, entry: region.subdivision });
  } else {
    country.whole.push({ owner, order, entry: region.country });
  }
};

/**
 * An index of regions by place, of lists in the order given. A look-up costs what the code's length
 * and the forms of pattern cost, not what the number of patterns does.
 */
export const buildPlaceIndex = <T>(lists: readonly { owner: T; regions: readonly Region[] }[]): PlaceIndex<T> => {
  const index: PlaceIndex<T> = { countries: new Map() };
  lists.forEach(({ owner, regions }, order) => {
    for (const region of regions) addRegion(index, region, owner, order);
  });
  return index;
};

const tierClaims = <T>(tier: Tier<T>, code: string): Claim<T>[] => {
  let found: Claim<T>[] = [];
  for (const group of tier.shapes.values()) {
    if (group.open ? code.length < group.length : code.length !== group.length) continue;
    const claims = group.claims.get(maskedKey(code, group.length, group.wild));
    if (claims) found = found.length === 0 ? claims : [...found, ...claims];
  }
  for (const length of tier.rangeLengths) {
    if (code.length < length) continue;
    const ranges = tier.ranges.get(`${length}:${code.slice(0, tier.fixed)}`);
    const claims = ranges?.spans.holding(code.slice(0, length));
    if (claims && claims.length > 0) found = [...found, ...claims];
  }
  return found;
};

const firstAccepted = <T>(claims: readonly Claim<T>[] | undefined, accepts: (owner: T) => boolean): Claim<T> | null => {
  let best: Claim<T> | null = null;
  for (const claim of claims ?? []) {
    if ((best === null || claim.order < best.order) && accepts(claim.owner)) best = claim;
  }
  return best;
};

/**
 * The claim that decides a place: an exact code before a longer fixed beginning before a subdivision
 * before a country; of equals the list given first. Only owners that `accepts` agrees to count.
 */
export const decidingClaim = <T>(
  index: PlaceIndex<T>,
  place: Place,
  accepts: (owner: T) => boolean,
): Claim<T> | null => {
  const country = index.countries.get(place.country);
  if (!country) return null;
  if (place.code !== undefined) {
    const exact = firstAccepted(country.exact.get(place.code), accepts);
    if (exact) return exact;
    for (const tier of country.tiers) {
      const claim = firstAccepted(tierClaims(tier, place.code), accepts);
      if (claim) return claim;
    }
  }
  const subdivision = place.subdivision && firstAccepted(country.subdivisions.get(place.subdivision), accepts);
  return subdivision || firstAccepted(country.whole, accepts);
};

/** Every claim on a place, the deciding one first. */
export const claimsOn = <T>(index: PlaceIndex<T>, place: Place): Claim<T>[] => {
  const country = index.countries.get(place.country);
  if (!country) return [];
  const inOrder = (claims: readonly Claim<T>[] = []): Claim<T>[] => [...claims].sort((a, b) => a.order - b.order);
  const { code, subdivision } = place;
  return [
    ...inOrder(code === undefined ? [] : country.exact.get(code)),
    ...(code === undefined ? [] : country.tiers.flatMap((tier) => inOrder(tierClaims(tier, code)))),
    ...inOrder(subdivision === undefined ? [] : country.subdivisions.get(subdivision)),
    ...inOrder(country.whole),
  ];
};

/** Whether any region of the index holds the place. */
export const holdsPlace = <T>(index: PlaceIndex<T>, place: Place): boolean =>
  decidingClaim(index, place, () => true) !== null;
