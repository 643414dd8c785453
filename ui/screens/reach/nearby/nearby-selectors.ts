import { createSelector } from '@reduxjs/toolkit';
import isEqual from 'fast-deep-equal/es6';
import { nearbyCodes, postalAreasNear, type NearbyCode } from '../../../../core/coverage/neighbourhood.ts';
import type { Located } from '../../../../gazetteer/locate.ts';
import { selectBook, selectCompiled } from '../../../state/selectors.ts';
import type { RootState } from '../../../state/store.ts';
import { zoneMarks } from '../../../theme/zone-marks.ts';
import type { MapBook } from './map-book.ts';

/** How far from the locations postal areas are looked at, in metres. */
const NEAR = 60_000;

/** What was found before stays where the same is found again: the map is drawn for what is on it alone. */
const UNLESS_ALIKE = { memoizeOptions: { resultEqualityCheck: isEqual } };

/** Each area's ink and letter. */
export const selectAreaMarks = createSelector(
  [(state: RootState) => selectBook(state).areas],
  zoneMarks,
  UNLESS_ALIKE,
);

/** The postal areas near the merchant's locations, each with the areas that cover it. */
export const selectNearbyCodes = createSelector(
  [selectCompiled, (_: RootState, postal: readonly Located[]) => postal],
  ({ book, areaIndex }, postal): NearbyCode[] => {
    const country = book.locations[0]?.address.country ?? '';
    return nearbyCodes(areaIndex, country, postalAreasNear(book.locations, postal, NEAR));
  },
  UNLESS_ALIKE,
);

/** The same for as long as an edit changes nothing that is on the map. */
export const selectMapBook = createSelector(
  [
    (state: RootState) => selectBook(state).areas,
    (state: RootState) => selectBook(state).locations,
    (state: RootState) => selectBook(state).pickups,
  ],
  (areas, locations, pickups): MapBook => ({
    areas: areas.map(({ id, name, active, locationId, covers, price }) => ({
      ...{ id, name, active, locationId, covers, price },
    })),
    locations,
    pickups,
  }),
  UNLESS_ALIKE,
);
