import { createSelector } from '@reduxjs/toolkit';
import { nearbyCodes, postalAreasNear, type NearbyCode } from '../../../../core/coverage/neighbourhood.ts';
import type { Located } from '../../../../gazetteer/locate.ts';
import { selectBook, selectCompiled } from '../../../state/selectors.ts';
import type { RootState } from '../../../state/store.ts';
import { zoneMarks } from '../../../theme/zone-marks.ts';

/** How far from the locations postal areas are looked at, in metres. */
const NEAR = 60_000;

/** Each area's ink and letter. */
export const selectAreaMarks = createSelector([(state: RootState) => selectBook(state).areas], zoneMarks);

/** The postal areas near the merchant's locations, each with the areas that cover it. */
export const selectNearbyCodes = createSelector(
  [selectCompiled, (_: RootState, postal: readonly Located[]) => postal],
  ({ book, areaIndex }, postal): NearbyCode[] => {
    const country = book.locations[0]?.address.country ?? '';
    return nearbyCodes(areaIndex, country, postalAreasNear(book.locations, postal, NEAR));
  },
);
