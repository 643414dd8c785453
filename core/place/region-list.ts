import type { Region } from '../model/place.ts';

/** A list of regions with one more country or subdivision; the same list where it is there already. */
export const withRegion = (regions: readonly Region[], added: Region): Region[] => {
  const isThere = regions.some(
    ({ country, subdivision, postal }) =>
      !postal && country === added.country && subdivision === added.subdivision,
  );
  return isThere ? [...regions] : [...regions, added];
};

/** A list of regions with more patterns of a country, all of its patterns together and each once. */
export const withPatterns = (
  regions: readonly Region[],
  country: string,
  patterns: readonly string[],
): { regions: Region[]; added: number } => {
  const isOfCodes = (region: Region): boolean => region.country === country && region.postal !== undefined;
  const there = regions.filter(isOfCodes).flatMap(({ postal }) => postal ?? []);
  const all = [...new Set([...there, ...patterns])];
  const group: Region[] = all.length > 0 ? [{ country, postal: all }] : [];
  const at = regions.findIndex(isOfCodes);
  const others = regions.filter((region) => !isOfCodes(region));
  const before = at < 0 ? others.length : regions.slice(0, at).filter((region) => !isOfCodes(region)).length;
  return {
    regions: [...others.slice(0, before), ...group, ...others.slice(before)],
    added: all.length - new Set(there).size,
  };
};

/** A list of regions without the one that stands at a place. */
export const withoutRegion = (regions: readonly Region[], at: number): Region[] =>
  regions.filter((_, index) => index !== at);
