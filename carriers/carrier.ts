import type { CarrierAnswer, CarrierQuestion } from '../core/model/carrier.ts';
import type { OnePriceBox } from './tariff.ts';
import type { Booked, Booking, CarrierShipment, TrackedStep } from './shipment.ts';

/**
 * What a carrier is to this program. A real one is one more file with this interface: it turns the question
 * into the carrier's own request, and the reply into an answer; nothing else in the program changes.
 */
export interface Carrier {
  id: string;
  name: string;
  about: string;
  /** The services it may answer with, and its own boxes. */
  services: readonly { code: string; name: string; dimensional?: number }[];
  boxes: readonly OnePriceBox[];
  rate: (question: CarrierQuestion) => CarrierAnswer | Promise<CarrierAnswer>;
  book: (booking: Booking) => Booked | Promise<Booked>;
  cancel: (shipment: CarrierShipment, at: string) => Booked | Promise<Booked>;
  track: (shipment: CarrierShipment, on: string) => TrackedStep[] | Promise<TrackedStep[]>;
}
