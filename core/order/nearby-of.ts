import type { Book } from '../model/book.ts';
import type { DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { PastOrder } from '../model/order.ts';
import { timedId } from './slots-taken.ts';

/** The area or the pickup point that an order goes by, and the location it leaves from, as far as the book has them. */
export const nearbyOf = (
  { areas, pickups, locations, carriers, rates }: Book,
  { chosen }: Pick<PastOrder, 'chosen'>,
): { pickup: PickupPoint | undefined; area: DeliveryArea | undefined; location: Location | undefined } => {
  const id = timedId(chosen.id);
  const pickup = chosen.kind === 'pickup' ? pickups.find((point) => point.id === id) : undefined;
  const area =
    chosen.kind === 'delivery' ? areas.find((one) => one.id === (id.split(':')[0] ?? id)) : undefined;
  const price = rates.find((rate) => rate.id === (id.split(':')[0] ?? id))?.price;
  const account = price?.kind === 'carrier' ? carriers.find((one) => one.id === price.accountId) : undefined;
  const from = pickup?.locationId ?? area?.locationId ?? account?.locationId;
  return { pickup, area, location: locations.find((one) => one.id === from) ?? locations[0] };
};
