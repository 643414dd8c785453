import { createSelector } from '@reduxjs/toolkit';
import { countryReach, type CountryReach } from '../../../core/reach/country-reach.ts';
import { contestedEntries } from '../../../core/reach/contested.ts';
import { selectBook, selectCompiled } from '../../state/selectors.ts';
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
