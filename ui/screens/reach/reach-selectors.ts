import { createSelector } from '@reduxjs/toolkit';
import { countryReach, type CountryReach } from '../../../core/coverage/country-reach.ts';
import {
  splitCountries,
  subdivisionReach,
  type SubdivisionReach,
} from '../../../core/coverage/subdivision-reach.ts';
import { locate, type Gazetteer } from '../../../gazetteer/locate.ts';
import { pastedCodes, whereaboutsOfCode, type Whereabouts } from '../../../core/coverage/whereabouts.ts';
import { contestedEntries } from '../../../core/coverage/contested.ts';
import { selectBook, selectCompiled } from '../../state/selectors.ts';
import type { NamedPlace } from '../../places/places.ts';
import type { RootState } from '../../state/store.ts';
import { zoneMarks } from '../../theme/zone-marks.ts';

/** Each zone's ink and letter. */
export const selectZoneMarks = createSelector([(state: RootState) => selectBook(state).zones], zoneMarks);

/** How each country of the world stands, by its code. */
export const selectCountryReach = createSelector(
  [selectCompiled, (_: RootState, countries: readonly string[]) => countries],
  (compiled, countries): ReadonlyMap<string, CountryReach> =>
    new Map(countries.map((country) => [country, countryReach(compiled, country)])),
);

/** What more than one zone names. */
export const selectContests = createSelector(
  [(state: RootState) => selectBook(state).zones],
  contestedEntries,
);

/** The countries whose subdivisions the map draws each for itself. */
export const selectSplitCountries = createSelector([selectBook], splitCountries);

/** How each subdivision of a list stands, by its code. */
export const selectSubdivisionReach = createSelector(
  [selectCompiled, (_: RootState, regions: readonly NamedPlace[]) => regions],
  (compiled, regions): ReadonlyMap<string, SubdivisionReach> =>
    new Map(regions.map(({ code }) => [code, subdivisionReach(compiled, code)])),
);

/** Where each of the codes in a pasted text falls. */
export const selectWhereabouts = createSelector(
  [
    selectCompiled,
    (_: RootState, country: string) => country,
    (_: RootState, __: string, text: string) => text,
    (_: RootState, __: string, ___: string, gazetteer: Gazetteer | null) => gazetteer,
  ],
  (compiled, country, text, gazetteer): { code: string; where: Whereabouts }[] =>
    pastedCodes(text).map((code) => {
      const point = locate(gazetteer ?? {}, { country, postalCode: code })?.point;
      return { code, where: whereaboutsOfCode(compiled, country, code, point) };
    }),
);
