import type { Book } from '../../../../core/model/book.ts';
import type { DeliveryArea } from '../../../../core/model/delivery.ts';

/** What of the book the map of the neighbourhood shows. */
export interface MapBook extends Pick<Book, 'locations' | 'pickups'> {
  areas: Pick<DeliveryArea, 'id' | 'name' | 'active' | 'locationId' | 'covers' | 'price'>[];
}

/** Whether anything of it lies somewhere: a location whose point is known, or a shape. */
export const hasPlaces = ({ locations, areas }: MapBook): boolean =>
  locations.some(({ address }) => address.point !== undefined) ||
  areas.some(({ covers }) => covers.kind === 'shape');
