import type { RoundStop } from '../formats/round-files.ts';
import type { PastOrder } from '../model/order.ts';
import type { Destination } from '../model/place.ts';
import { metresBetween } from '../place/distance.ts';
import { sensibleRound } from './round.ts';

/** The stops of a round, how long it is there and back, and how many orders have no point and are left out. */
export interface RoundStops {
  stops: RoundStop[];
  metres: number;
  missing: number;
}

/** The round of some orders from a point and back to it, each stop with its metres from the one before. */
export const roundStops = (
  orders: readonly PastOrder[],
  start: NonNullable<Destination['point']> | undefined,
): RoundStops => {
  const known = orders.flatMap((order) => {
    const point = order.request.destination?.point;
    return point ? [{ order, point }] : [];
  });
  if (!start) return { stops: [], metres: 0, missing: orders.length };
  const round = sensibleRound(
    start,
    known.map(({ point }) => point),
  );
  let here = start;
  const stops = round.order.flatMap((at): RoundStop[] => {
    const stop = known[at];
    if (!stop) return [];
    const metres = metresBetween(here, stop.point);
    here = stop.point;
    return [{ ...stop, metres }];
  });
  return { stops, metres: round.metres, missing: orders.length - stops.length };
};
