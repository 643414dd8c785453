/**
 * What a way to get an order costs over the orders that were tried, in minor units, each the charge of some quote: the
 * least and the most of those that are charged, or 0 where it is always free.
 */
export interface PriceSpan {
  least: number;
  most: number;
}

/** By what a price is known: a service in a zone, a method of an area, or a pickup point. */
export const priceKey = {
  service: (zoneId: string, serviceId: string): string => `zone/${zoneId}/${serviceId}`,
  method: (areaId: string, methodId: string): string => `area/${areaId}/${methodId}`,
  pickup: (pickupId: string): string => `pickup/${pickupId}`,
};
