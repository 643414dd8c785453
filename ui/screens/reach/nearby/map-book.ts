import type { Book } from '../../../../core/model/book.ts';
import type { DeliveryArea } from '../../../../core/model/delivery.ts';

/** What of the book the map of the neighbourhood shows. */
export interface MapBook extends Pick<Book, 'locations' | 'pickups'> {
  areas: Pick<DeliveryArea, 'id' | 'name' | 'active' | 'locationId' | 'covers' | 'price'>[];
}
