import { toThousandth } from '../model/measured.ts';
import { taxesAt } from '../duty/tax.ts';
import { limitRefusal, type Refusal } from '../price/limits.ts';
import { adjust } from './adjust.ts';
import type { Answers } from './answers.ts';
import { distanceFrom } from './order-context.ts';
import { addNotBelowZero, addRounding } from './charge.ts';
import type { LocatedOrder } from './conditions.ts';
import { nearbyRefusal } from './groups.ts';
import { Ledger } from './ledger.ts';
import { notSoldThere } from './destination.ts';
import { minimumRefusal, nearbyChoice, timeRefusal, type CompiledPickup } from './nearby.ts';
import { fromThere, type Shipment } from './shipment.ts';
import { WithheldChoice } from './withheld.ts';

const TOLD: readonly string[] = ['below-minimum', 'too-far', 'distance-unknown', 'no-time-left'];

const withhold = (
  { compiled }: Shipment,
  { point, source }: CompiledPickup,
  { code, say, from = source }: Refusal,
  answers: Answers,
): void => {
  const tell = TOLD.includes(code);
  answers.withheld.push(
    new WithheldChoice(point.id, 'pickup', point.name, code, from, say, compiled.display, tell),
  );
};

/** A greatest distance holds off an address that is further, or of which it is not known; who gives none may collect. */
const farRefusal = (
  most: number | undefined,
  distance: number | null,
  hasAddress: boolean,
): Refusal | null => {
  if (most === undefined || !hasAddress) return null;
  if (distance === null) return { code: 'distance-unknown', say: { code: 'distance-unknown' } };
  return distance <= toThousandth(most)
    ? null
    : { code: 'too-far', say: { code: 'too-far', distance, most } };
};

const pointRefusal = (
  { compiled, reach: { stop, place, closed }, basket }: Shipment,
  { point, limits }: CompiledPickup,
  distance: number | null,
): Refusal | null => {
  const { store } = compiled.book;
  if (stop?.code === 'store-paused' && !store.pause?.keepPickup) return stop;
  if (!point.active) return { code: 'rate-off', say: { code: 'pickup-off', point: point.name } };
  if (place && closed) return notSoldThere(place);
  return (
    nearbyRefusal(compiled.groups, basket.physical, 'pickup', point) ??
    limitRefusal(limits, basket.travels, basket.subtotal) ??
    minimumRefusal(point.minSubtotal, basket.subtotal) ??
    farRefusal(point.maxDistance, distance, place !== null)
  );
};

/** What collecting costs: the point's charge, adjustments, the store's rounding; not below 0. */
const chargeOf = (
  { point, source }: CompiledPickup,
  order: LocatedOrder,
): { ok: true; ledger: Ledger } | { ok: false; refusal: Refusal } => {
  const { adjustments, book, display } = order.compiled;
  const ledger = new Ledger(display);
  if (order.basket.chargeable.length === 0) ledger.add('price', 0, source, { code: 'goes-free' });
  else ledger.add('price', point.charge, source, { code: 'pickup-charge', amount: point.charge });
  const adjusted = adjust(ledger, adjustments, { kind: 'pickup', pickupId: point.id }, order);
  if (!adjusted.ok) return adjusted;
  addNotBelowZero(ledger, source);
  addRounding(ledger, book.store.rounding);
  return { ok: true, ledger };
};

/** One pickup point for one order, put among the answers: as a choice, or why it is withheld. */
export const collectAt = (shipment: Shipment, pickup: CompiledPickup, answers: Answers): void => {
  const { point, location, place, times: plan } = pickup;
  const { compiled, request, taken } = shipment;
  const distance = distanceFrom(location, request);
  const refuse = (refusal: Refusal): void => withhold(shipment, pickup, refusal, answers);
  const early = pointRefusal(shipment, pickup, distance);
  if (early) return refuse(early);
  const charged = chargeOf(pickup, fromThere(shipment, distance));
  if (!charged.ok) return refuse(charged.refusal);
  const times = plan.at(request.placedAt, taken?.get(point.id) ?? null);
  if (!times.ok) return refuse(timeRefusal(times));
  const taxes = point.taxable ? taxesAt(compiled.taxes.charges, place) : [];
  const of = { pickupId: point.id };
  const named = { id: point.id, kind: 'pickup', of, name: point.name, note: point.instructions } as const;
  answers.choices.push(
    nearbyChoice(named, charged.ledger, taxes, compiled.book.store.pricesIncludeTax, times),
  );
};
