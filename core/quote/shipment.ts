import type { CarrierAnswer } from '../model/carrier.ts';
import type { Rate } from '../model/rate.ts';
import type { TaxRate } from '../model/tax.ts';
import type { Refusal } from '../price/limits.ts';
import type { BookedCount } from '../time/booked.ts';
import type { Departure, HandOver } from '../time/arrival.ts';
import type { Answers } from './answers.ts';
import type { CompiledRate, CompiledService } from './compile.ts';
import type { LocatedOrder } from './conditions.ts';
import { WithheldChoice } from './withheld.ts';

/** What one quote's services share, and where the order leaves from. */
export interface Shipment extends LocatedOrder {
  taxes: readonly TaxRate[];
  departures: Departure | null;
  handOver: HandOver | null;
  /** What the carriers said, by account. */
  answers: ReadonlyMap<string, CarrierAnswer>;
  /** The slots that other orders took, by pickup point or 'area:method'; null where none are said to be. */
  taken: ReadonlyMap<string, BookedCount> | null;
}

/** The same order as it is asked from another location, so many metres away; null where that is not known. */
export const fromThere = (shipment: Shipment, distance: number | null): Shipment =>
  distance === shipment.distance ? shipment : { ...shipment, distance };

/** A way of shipping that an order may go by: a rate's, or one of a carrier's services under it. */
export interface Way {
  id: string;
  name: string;
  service: CompiledService;
  rate: CompiledRate;
  transit: Rate['transit'];
  /** The carrier's service, where it is one. */
  serviceCode?: string;
  cost?: number;
  /** Said to customers in place of the service's note; a fallback of its own name has only its own. */
  note?: string | null;
}

/** A way that is not offered, and why. */
export const withhold = (
  { compiled }: Shipment,
  { id, name, rate: { rate, source } }: Pick<Way, 'id' | 'name' | 'rate'>,
  { code, say, from = source, message }: Refusal,
  answers: Answers,
): void => {
  const tell = rate.whenWithheld === 'tell';
  answers.withheld.push(
    new WithheldChoice(
      id,
      'shipping',
      name,
      code,
      from,
      say,
      compiled.display,
      tell,
      tell ? (message ?? rate.message) : undefined,
    ),
  );
};
