import { z } from 'zod';
import { carrierQuestionSchema } from '../core/model/carrier.ts';
import type { CarrierShipment } from '../core/model/shipment.ts';
import { instantSchema, tokenSchema } from '../core/model/unit.ts';
import { ratesBy } from './rates.ts';
import type { Tariff } from './tariff.ts';
import { workingDaysAfter } from './working-days.ts';

/** What is booked: the question that was asked, the service chosen, and the merchant's own reference. */
export const bookingSchema = z.strictObject({
  question: carrierQuestionSchema,
  service: tokenSchema,
  reference: tokenSchema,
  bookedAt: instantSchema,
});
export type Booking = z.infer<typeof bookingSchema>;

export type Booked = { ok: true; shipment: CarrierShipment } | { ok: false; text: string };

/** A text as 32 bits, the same for the same text (FNV-1a). */
const hashOf = (text: string): number => {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return hash >>> 0;
};

/** Ten figures and the check figure that makes their weighted sum a multiple of eleven, X for ten (as ISO 2108 has it). */
const withCheck = (figures: string): string => {
  const sum = [...figures].reduce((all, figure, at) => all + Number(figure) * (at + 2), 0);
  const check = (11 - (sum % 11)) % 11;
  return figures + (check === 10 ? 'X' : String(check));
};

/** The tracking number: the same booking gets the same number, however often it is sent. */
const trackingOf = ({ id }: Tariff, { question, service, reference }: Booking): string => {
  const { credentials: _, ...asked } = question;
  const hash = hashOf(JSON.stringify([asked, service, reference]));
  return `${id.slice(0, 2).toUpperCase()}${withCheck(String(hash).padStart(10, '0'))}`;
};

/** Nothing leaves before it was booked. */
const laterOf = (a: string, b: string): string => (a > b ? a : b);

/** Books a service for parcels: the shipment with its tracking number, or why it is not taken. */
export const bookBy = (tariff: Tariff, booking: Booking): Booked => {
  const { question, service: code, reference, bookedAt } = booking;
  const answer = ratesBy(tariff, question);
  if (!answer.ok) return { ok: false, text: answer.text };
  const service = answer.services.find((one) => one.code === code);
  if (!service) return { ok: false, text: `the service ${code} does not take this shipment` };
  const { from, to, parcels, mode, currency } = question;
  const shipDate = laterOf(question.shipDate, bookedAt.slice(0, 10));
  return {
    ok: true,
    shipment: {
      carrier: tariff.id,
      tracking: trackingOf(tariff, booking),
      reference,
      service: { code, name: service.name },
      sandbox: mode === 'sandbox',
      amount: service.amount,
      currency,
      parcels: parcels.map(({ weight }) => weight),
      from,
      to,
      bookedAt,
      shipDate,
      due: workingDaysAfter(shipDate, service.days?.max ?? 0),
    },
  };
};

/** Cancels a shipment that is not yet on its way. */
export const cancelBy = (shipment: CarrierShipment, at: string): Booked => {
  if (shipment.cancelledAt !== undefined) return { ok: true, shipment };
  if (at.slice(0, 10) > shipment.shipDate) return { ok: false, text: 'the shipment is already on its way' };
  return { ok: true, shipment: { ...shipment, cancelledAt: at } };
};

export interface TrackedStep {
  date: string;
  text: string;
}

/** Where a shipment is on a day: each step so far, the latest last. */
export const trackBy = (shipment: CarrierShipment, on: string): TrackedStep[] => {
  const { bookedAt, shipDate, due, cancelledAt, service, to } = shipment;
  const booked = { date: bookedAt.slice(0, 10), text: `Booked: ${service.name}` };
  if (cancelledAt !== undefined) return [booked, { date: cancelledAt.slice(0, 10), text: 'Cancelled' }];
  const steps = [
    booked,
    { date: shipDate, text: 'Handed to the carrier' },
    { date: workingDaysAfter(shipDate, 1), text: 'On its way' },
    { date: due, text: `Delivered${to.city === undefined ? '' : ` in ${to.city}`}` },
  ];
  return steps.filter(({ date }, at) => date <= on && (at < 2 || date <= due));
};
