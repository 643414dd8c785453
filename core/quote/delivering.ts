import { metresOutside, type AreaFound } from '../place/area-index.ts';
import { limitRefusal, type Refusal } from '../price/limits.ts';
import { adjust, type Adjusted } from './adjust.ts';
import type { Answers } from './answers.ts';
import { distanceFrom } from './order-context.ts';
import { addGoodsFees, addNotBelowZero, addRounding } from './charge.ts';
import type { LocatedOrder } from './conditions.ts';
import { nearbyRefusal } from './groups.ts';
import { Ledger } from './ledger.ts';
import {
  minimumRefusal,
  nearbyChoice,
  timeRefusal,
  type CompiledArea,
  type CompiledMethod,
} from './nearby.ts';
import { addPrice } from './pricing.ts';
import { fromThere, type Shipment } from './shipment.ts';
import { addByTerms } from './terms.ts';
import { WithheldChoice } from './withheld.ts';

const TOLD: readonly string[] = ['below-minimum', 'no-time-left'];

const withhold = (
  { compiled }: Shipment,
  { source }: CompiledArea,
  { id, name }: { id: string; name: string },
  { code, say, from = source }: Refusal,
  answers: Answers,
): void => {
  const tell = TOLD.includes(code);
  answers.withheld.push(new WithheldChoice(id, 'delivery', name, code, from, say, compiled.display, tell));
};

/** The refusal for a destination that an area does not take: outside it, or another of its location's takes it. */
const outsideRefusal = (
  { request: { destination } }: Shipment,
  { area, location }: CompiledArea,
  found: AreaFound | undefined,
): Refusal | null => {
  if (found?.area === area) return null;
  const point = destination?.point;
  const beyond = metresOutside(area, location.address.point, point);
  const say = {
    code: 'outside-area',
    area: area.name,
    beyond: beyond !== null && beyond > 0 ? beyond : null,
    instead: found?.area.name ?? null,
    pointless: area.covers.kind !== 'postal' && beyond === null,
  } as const;
  return { code: 'outside-area', say };
};

/** Why none of an area's methods is offered, or null. */
const areaRefusal = (
  shipment: Shipment,
  compiled: CompiledArea,
  found: ReadonlyMap<string, AreaFound>,
): Refusal | null => {
  const { area, limits } = compiled;
  const { stop } = shipment.reach;
  const { basket } = shipment;
  if (stop && stop.code !== 'no-zone') return stop;
  if (!area.active) return { code: 'rate-off', say: { code: 'area-off', area: area.name } };
  return (
    outsideRefusal(shipment, compiled, found.get(area.locationId)) ??
    nearbyRefusal(shipment.compiled.groups, basket.physical, 'delivery', area) ??
    limitRefusal(limits, basket.travels, basket.subtotal)
  );
};

type Charged =
  | ({ ok: true; ledger: Ledger; short: number } & Pick<Extract<Adjusted, { ok: true }>, 'terms'>)
  | { ok: false; refusal: Refusal };

/** A subtotal that reaches the free threshold takes what the delivery itself costs off, not below 0. */
const addFreeFrom = (
  ledger: Ledger,
  { area, source }: CompiledArea,
  subtotal: number,
  price: number,
): void => {
  const { freeFrom } = area;
  if (freeFrom === undefined || subtotal < freeFrom) return;
  const taken = Math.min(price, Math.max(0, ledger.running));
  const left = ledger.running - taken;
  ledger.add('free-from', -taken, source, { code: 'area-free', subtotal, from: freeFrom, taken, left });
};

/** How much more in the basket would reach the free threshold, where the customer pays something; else 0. */
const shortOf = ({ running }: Ledger, freeFrom: number | undefined, subtotal: number): number =>
  freeFrom !== undefined && running > 0 ? Math.max(0, freeFrom - subtotal) : 0;

/**
 * The charge of one method in minor units: the area's price and what the method adds, goods' fees, adjustments,
 * free-from, the service fee, the store's rounding. `short` is how much more in the basket would make it free.
 */
const chargeOf = (compiled: CompiledArea, { method }: CompiledMethod, order: LocatedOrder): Charged => {
  const { area, tiers, source } = compiled;
  const { basket } = order;
  const { adjustments, book, display } = order.compiled;
  const ledger = new Ledger(display);
  if (area.price.kind === 'carrier' && basket.chargeable.length > 0)
    return {
      ok: false,
      refusal: { code: 'carrier-none', say: { code: 'area-by-carrier', area: area.name } },
    };
  const unpriced = addPrice(ledger, { rate: area, tiers }, order, source);
  if (unpriced) return { ok: false, refusal: unpriced };
  const { name, add, addStays = false } = method;
  if (add > 0) ledger.add('method', add, source, { code: 'method', method: name, amount: add });
  const price = ledger.running - (addStays ? add : 0);
  addGoodsFees(ledger, basket);
  const adjusted = adjust(
    ledger,
    adjustments,
    { kind: 'delivery', areaId: area.id, methodId: method.id },
    order,
  );
  if (!adjusted.ok) return adjusted;
  addFreeFrom(ledger, compiled, basket.subtotal, price);
  addNotBelowZero(ledger, source);
  const { serviceFee: fee } = area;
  if (fee && fee.amount > 0)
    ledger.add('service-fee', fee.amount, source, {
      code: 'service-fee',
      name: fee.name,
      amount: fee.amount,
    });
  addRounding(ledger, book.store.rounding);
  const short = shortOf(ledger, area.freeFrom, basket.subtotal);
  return { ok: true, ledger, short, terms: adjusted.terms };
};

const offer = (shipment: Shipment, compiled: CompiledArea, one: CompiledMethod, answers: Answers): void => {
  const { area, location } = compiled;
  const { basket, request, taken } = shipment;
  const { method, id, limits } = one;
  const refuse = (refusal: Refusal, as = id): void =>
    withhold(shipment, compiled, { id: as, name: method.name }, refusal, answers);
  const early =
    limitRefusal(limits, basket.travels, basket.subtotal) ??
    minimumRefusal(area.minSubtotal, basket.subtotal);
  if (early) return refuse(early);
  const order = fromThere(shipment, distanceFrom(location, request));
  const charged = chargeOf(compiled, one, order);
  if (!charged.ok) return refuse(charged.refusal);
  const times = one.times.at(request.placedAt, taken?.get(id) ?? null);
  if (!times.ok) return refuse(timeRefusal(times));
  const { pricesIncludeTax } = shipment.compiled.book.store;
  const of = { areaId: area.id, methodId: method.id };
  const named = { id, kind: 'delivery', of, name: method.name, note: area.instructions } as const;
  const taxes = area.taxable ? shipment.taxes : [];
  const choice = nearbyChoice(named, charged.ledger, taxes, pricesIncludeTax, times);
  if (charged.short > 0) choice.hint = { kind: 'free-from', short: charged.short };
  addByTerms(shipment, choice, charged.terms, answers, (as, refusal) => refuse(refusal, as));
};

/** One delivery area for one order, put among the answers: each of its methods as a choice, or why it is withheld. */
export const deliverBy = (
  shipment: Shipment,
  compiled: CompiledArea,
  found: ReadonlyMap<string, AreaFound>,
  answers: Answers,
): void => {
  const refusal = areaRefusal(shipment, compiled, found);
  for (const one of compiled.methods) {
    if (refusal) withhold(shipment, compiled, { id: one.id, name: one.method.name }, refusal, answers);
    else offer(shipment, compiled, one, answers);
  }
};
