import type { CarrierAnswer, CarrierQuestion } from '../core/model/carrier.ts';
import type { CarrierShipment } from '../core/model/shipment.ts';
import type { Booked, Booking, TrackedStep } from './shipment.ts';

/**
 * What a carrier is to this program. A real one is one more file with this interface: it turns the question
 * into the carrier's own request, and the reply into an answer; what can be said of it without asking stands in `directory.ts`.
 */
export interface Carrier {
  id: string;
  name: string;
  rate: (question: CarrierQuestion) => CarrierAnswer | Promise<CarrierAnswer>;
  book: (booking: Booking) => Booked | Promise<Booked>;
  cancel: (shipment: CarrierShipment, at: string) => Booked | Promise<Booked>;
  track: (shipment: CarrierShipment, on: string) => TrackedStep[] | Promise<TrackedStep[]>;
}
