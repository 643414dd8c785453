import type { Book } from '../model/book.ts';
import type { DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { PastOrder } from '../model/order.ts';

/** The area or the pickup point that an order goes by, and the location it leaves from, as far as the book has them. */
export const nearbyOf = (
  { areas, pickups, locations, carriers, rates }: Book,
  { chosen }: Pick<PastOrder, 'chosen'>,
): { pickup: PickupPoint | undefined; area: DeliveryArea | undefined; location: Location | undefined } => {
  const { areaId, pickupId, rateId } = chosen.of ?? {};
  const pickup = pickups.find((point) => point.id === pickupId);
  const area = areas.find((one) => one.id === areaId);
  const price = rates.find((rate) => rate.id === rateId)?.price;
  const account = price?.kind === 'carrier' ? carriers.find((one) => one.id === price.accountId) : undefined;
  const from = pickup?.locationId ?? area?.locationId ?? account?.locationId;
  return { pickup, area, location: locations.find((one) => one.id === from) ?? locations[0] };
};
