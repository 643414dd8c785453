import type { Region } from '../model/place.ts';
import { ClaimList, NONE, type Claim } from './claim-list.ts';
import { beginningOf, codeNumber, CodeTable, LONGEST_CODE } from './code-table.ts';
import type { Place } from './place.ts';
import { maskedKey, parsePattern, type PostalPattern } from './postal.ts';
import { rangeIndex, type RangeIndex } from './range-index.ts';

type Shape = Extract<PostalPattern, { kind: 'shape' }>;

/** Patterns with wild characters at the same places: from their text to a chain of claims. */
interface ShapeGroup {
  length: number;
  wild: readonly number[];
  open: boolean;
  heads: Map<string, number>;
}

/** What goes on after a fixed beginning in some other way than by any ending. */
interface Tails {
  shapes: ShapeGroup[];
  ranges: { length: number; spans: RangeIndex<number> }[];
}

/** The patterns whose fixed beginnings are of one length. */
interface Tier {
  fixed: number;
  /** Beginnings that take any ending, to their chains. */
  open: CodeTable;
  /** Other beginnings, to their tails. */
  tailed: CodeTable;
  tails: Tails[];
}

interface CountryIndex {
  exact: CodeTable;
  tiers: Tier[];
  subdivisions: Map<string, number>;
  whole: number;
}

export interface PlaceIndex<T> {
  claims: ClaimList<T>;
  countries: Map<string, CountryIndex>;
}

const countryOf = (countries: Map<string, CountryIndex>, name: string): CountryIndex => {
  const known = countries.get(name);
  if (known) return known;
  const made: CountryIndex = { exact: new CodeTable(), tiers: [], subdivisions: new Map(), whole: NONE };
  countries.set(name, made);
  return made;
};

const tierOf = ({ tiers }: CountryIndex, fixed: number): Tier => {
  const known = tiers.find((tier) => tier.fixed === fixed);
  if (known) return known;
  const made: Tier = { fixed, open: new CodeTable(), tailed: new CodeTable(), tails: [] };
  tiers.push(made);
  tiers.sort((a, b) => b.fixed - a.fixed);
  return made;
};

const tailsOf = (tier: Tier, beginning: number): Tails => {
  const at = tier.tailed.get(beginning);
  if (at !== NONE) return tier.tails[at] as Tails;
  const made: Tails = { shapes: [], ranges: [] };
  tier.tailed.set(beginning, tier.tails.push(made) - 1);
  return made;
};

const shapeOf = ({ shapes }: Tails, { text, wild, open }: Shape): ShapeGroup => {
  const { length } = text;
  const known = shapes.find(
    (shape) => shape.length === length && shape.open === open && shape.wild.join() === wild.join(),
  );
  if (known) return known;
  const made: ShapeGroup = { length, wild, open, heads: new Map() };
  shapes.push(made);
  return made;
};

const spansOf = ({ ranges }: Tails, length: number): RangeIndex<number> => {
  const known = ranges.find((range) => range.length === length);
  if (known) return known.spans;
  const spans = rangeIndex<number>();
  ranges.push({ length, spans });
  return spans;
};

/** From the head of a key's chain to its head with one claim more. */
type Append = (head: number) => number;

const addPattern = (country: CountryIndex, name: string, pattern: string, append: Append): void => {
  const parsed = parsePattern(name, pattern);
  if (!parsed) return;
  if (parsed.kind === 'exact') {
    const key = codeNumber(parsed.code);
    country.exact.set(key, append(country.exact.get(key)));
    return;
  }
  const tier = tierOf(country, parsed.fixed);
  const beginning = codeNumber((parsed.kind === 'range' ? parsed.from : parsed.text).slice(0, parsed.fixed));
  if (parsed.kind === 'range') {
    spansOf(tailsOf(tier, beginning), parsed.from.length).add(parsed.from, parsed.to, append(NONE));
  } else if (parsed.wild.length === 0) {
    tier.open.set(beginning, append(tier.open.get(beginning)));
  } else {
    const { heads } = shapeOf(tailsOf(tier, beginning), parsed);
    heads.set(parsed.text, append(heads.get(parsed.text) ?? NONE));
  }
};

const addRegion = <T>({ claims, countries }: PlaceIndex<T>, region: Region, order: number): void => {
  const country = countryOf(countries, region.country);
  const { subdivision, postal } = region;
  if (postal) {
    for (const pattern of postal) {
      addPattern(country, region.country, pattern, (head) => claims.append(head, order, pattern));
    }
  } else if (subdivision) {
    const head = country.subdivisions.get(subdivision) ?? NONE;
    country.subdivisions.set(subdivision, claims.append(head, order, subdivision));
  } else {
    country.whole = claims.append(country.whole, order, region.country);
  }
};

/**
 * An index of regions by place, of lists in the order given. A look-up costs what the code's length
 * and the forms of pattern cost, not what the number of patterns does.
 */
export const buildPlaceIndex = <T>(
  lists: readonly { owner: T; regions: readonly Region[] }[],
): PlaceIndex<T> => {
  const index: PlaceIndex<T> = { claims: new ClaimList(), countries: new Map() };
  for (const { owner, regions } of lists) {
    const order = index.claims.addOwner(owner);
    for (const region of regions) addRegion(index, region, order);
  }
  return index;
};

/** The chains of a place's code at one fixed beginning that does not take just any ending. */
const tailHeads = ({ shapes, ranges }: Tails, code: string): number[] => {
  const heads: number[] = [];
  for (const shape of shapes) {
    if (shape.open ? code.length < shape.length : code.length !== shape.length) continue;
    const head = shape.heads.get(maskedKey(code, shape.length, shape.wild));
    if (head !== undefined) heads.push(head);
  }
  for (const { length, spans } of ranges) {
    if (code.length >= length) heads.push(...spans.holding(code.slice(0, length)));
  }
  return heads;
};

const tailsAt = (tier: Tier, beginning: number): Tails | undefined => tier.tails[tier.tailed.get(beginning)];

type Accepts<T> = (owner: T) => boolean;

const bestOfTier = <T>(
  claims: ClaimList<T>,
  tier: Tier,
  code: string,
  number: number,
  accepts: Accepts<T>,
): number => {
  if (code.length < tier.fixed) return NONE;
  const beginning = beginningOf(number, code.length, tier.fixed);
  let best = claims.first(tier.open.get(beginning), accepts);
  const tails = tailsAt(tier, beginning);
  if (tails)
    for (const head of tailHeads(tails, code)) best = claims.earlier(best, claims.first(head, accepts));
  return best;
};

const bestByCode = <T>(
  claims: ClaimList<T>,
  country: CountryIndex,
  code: string,
  accepts: Accepts<T>,
): number => {
  const number = codeNumber(code);
  const exact = code.length > LONGEST_CODE ? NONE : claims.first(country.exact.get(number), accepts);
  if (exact !== NONE) return exact;
  for (const tier of country.tiers) {
    const best = bestOfTier(claims, tier, code, number, accepts);
    if (best !== NONE) return best;
  }
  return NONE;
};

const decidingNumber = <T>(
  { claims, countries }: PlaceIndex<T>,
  { country: name, code, subdivision }: Place,
  accepts: Accepts<T>,
): number => {
  const country = countries.get(name);
  if (!country) return NONE;
  let best = code === undefined ? NONE : bestByCode(claims, country, code, accepts);
  if (best === NONE && subdivision !== undefined) {
    best = claims.first(country.subdivisions.get(subdivision) ?? NONE, accepts);
  }
  return best === NONE ? claims.first(country.whole, accepts) : best;
};

/**
 * The claim that decides a place: an exact code before a longer fixed beginning before a subdivision
 * before a country; of equals the list given first. Only owners that `accepts` agrees to count.
 */
export const decidingClaim = <T>(
  index: PlaceIndex<T>,
  place: Place,
  accepts: Accepts<T>,
): Claim<T> | null => {
  const best = decidingNumber(index, place, accepts);
  return best === NONE ? null : index.claims.read(best);
};

/** Whose the claim is that decides a place, without reading the entry. */
export const decidingOwner = <T>(index: PlaceIndex<T>, place: Place, accepts: Accepts<T>): T | undefined => {
  const best = decidingNumber(index, place, accepts);
  return best === NONE ? undefined : index.claims.ownerOf(best);
};

/** Puts the claims at one fixed beginning after those found so far, by the order of their owners. */
const collectTier = <T>(
  claims: ClaimList<T>,
  tier: Tier,
  code: string,
  number: number,
  found: Claim<T>[],
): void => {
  const from = found.length;
  const beginning = beginningOf(number, code.length, tier.fixed);
  claims.collect(tier.open.get(beginning), found);
  const tails = tailsAt(tier, beginning);
  if (!tails) return;
  for (const head of tailHeads(tails, code)) claims.collect(head, found);
  if (found.length - from > 1) found.push(...found.splice(from).sort((a, b) => a.order - b.order));
};

/** Every claim on a place, the deciding one first. */
export const claimsOn = <T>(
  { claims, countries }: PlaceIndex<T>,
  { country: name, code, subdivision }: Place,
): Claim<T>[] => {
  const found: Claim<T>[] = [];
  const country = countries.get(name);
  if (!country) return found;
  if (code !== undefined) {
    const number = codeNumber(code);
    if (code.length <= LONGEST_CODE) claims.collect(country.exact.get(number), found);
    for (const tier of country.tiers)
      if (code.length >= tier.fixed) collectTier(claims, tier, code, number, found);
  }
  if (subdivision !== undefined) claims.collect(country.subdivisions.get(subdivision) ?? NONE, found);
  claims.collect(country.whole, found);
  return found;
};

/** Whether any region of the index holds the place. */
export const holdsPlace = <T>(index: PlaceIndex<T>, place: Place): boolean =>
  decidingClaim(index, place, () => true) !== null;
