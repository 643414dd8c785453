import { createSelector } from '@reduxjs/toolkit';
import type { Destination } from '../../../../core/model/place.ts';
import { placeOf } from '../../../../core/place/place.ts';
import { findZone } from '../../../../core/place/zone-index.ts';
import { selectCompiled, selectPastOrders, selectTestOrders } from '../../../state/selectors.ts';

/** A place to ask a carrier about, and the zone it falls into. */
export interface SamplePlace {
  destination: Destination;
  zone: string | null;
  zoneId: string | null;
}

const MOST_PLACES = 18;

/** Places that the shop's orders and test orders went to, one of each postal code, so that each zone has some. */
export const selectSamplePlaces = createSelector(
  [selectCompiled, selectPastOrders, selectTestOrders],
  (compiled, orders, testOrders): SamplePlace[] => {
    const seen = new Map<string, SamplePlace & { count: number }>();
    for (const { request } of [...orders, ...testOrders]) {
      const { destination } = request;
      if (!destination) continue;
      const key = `${destination.country} ${destination.postalCode ?? ''}`;
      const known = seen.get(key);
      if (known) known.count += 1;
      else {
        const zone = findZone(compiled.zones, placeOf(destination))?.zone;
        seen.set(key, { destination, zone: zone?.name ?? null, zoneId: zone?.id ?? null, count: 1 });
      }
    }
    const order = new Map(compiled.book.zones.map(({ id }, at) => [id, at]));
    return [...seen.values()]
      .sort((a, b) => b.count - a.count)
      .slice(0, MOST_PLACES)
      .sort((a, b) => (order.get(a.zoneId ?? '') ?? 99) - (order.get(b.zoneId ?? '') ?? 99));
  },
);
