import type { DeliveryArea, DeliveryMethod, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Store } from '../model/store.ts';
import { placeOf, type Place } from '../place/place.ts';
import { activeLimits, type Refusal, type ActiveLimit } from '../basket/limits.ts';
import type { Clock } from '../time/clock.ts';
import { timePlan, type TimePlan } from '../time/times.ts';
import type { ChargeStep } from './charge.ts';
import { deliverySteps, methodWay, pickupSteps, pickupWay } from './nearby-charges.ts';
import type { OrderContext } from './order-context.ts';
import type { Way } from './outcome.ts';
import type { TimesFound } from './settle.ts';

/** One method of an area, with its times. */
export interface CompiledMethod {
  method: DeliveryMethod;
  /** 'area:method'. */
  id: string;
  limits: readonly ActiveLimit[];
  way: Way;
  steps: readonly ChargeStep[];
  times: TimePlan;
}

/** A delivery area with what is made ready of it. */
export interface CompiledArea {
  area: DeliveryArea;
  /** Where it leaves from, closed on the area's own dates too. */
  location: Location;
  limits: readonly ActiveLimit[];
  methods: readonly CompiledMethod[];
}

/** A pickup point with what is made ready of it. */
export interface CompiledPickup {
  point: PickupPoint;
  /** Where it is collected, closed on the point's own dates too. */
  location: Location;
  /** Where orders are collected, for the taxes on what collecting costs. */
  place: Place;
  limits: readonly ActiveLimit[];
  way: Way;
  steps: readonly ChargeStep[];
  times: TimePlan;
}

/** A location that is closed on further dates too. */
const closedToo = (location: Location, dates: readonly string[] | undefined): Location =>
  dates === undefined || dates.length === 0
    ? location
    : { ...location, closedDates: [...location.closedDates, ...dates] };

/** An area made ready for many orders. */
export const compileArea = (area: DeliveryArea, at: Location, clock: Clock, store: Store): CompiledArea => {
  const location = closedToo(at, area.closedDates);
  return {
    area,
    location,
    limits: activeLimits(area.limits),
    methods: area.methods.map((method) => ({
      method,
      id: `${area.id}:${method.id}`,
      limits: activeLimits(method.limits),
      way: methodWay(area, method),
      steps: deliverySteps(store, area, method),
      times: timePlan(location, area.preparation, method.timing, clock, method.withinDays),
    })),
  };
};

/** A pickup point made ready for many orders. */
export const compilePickup = (
  point: PickupPoint,
  at: Location,
  clock: Clock,
  store: Store,
): CompiledPickup => {
  const location = closedToo(at, point.closedDates);
  return {
    point,
    location,
    place: placeOf(location.address),
    limits: activeLimits(point.limits),
    way: pickupWay(point, at),
    steps: pickupSteps(store, point),
    times: timePlan(location, point.preparation, point.timing, clock),
  };
};

/** The refusal for a subtotal below the least one an area or a point takes, or null. */
export const minimumRefusal = (least: number | undefined, subtotal: number): Refusal | null =>
  least === undefined || subtotal >= least
    ? null
    : { code: 'below-minimum', say: { code: 'below-minimum', subtotal, least } };

/** The times of a plan that may be chosen for an order, or the refusal where none is left. */
export const timesFor = (
  plan: TimePlan,
  { request, booked }: Pick<OrderContext, 'request' | 'booked'>,
  id: string,
): TimesFound => {
  const times = plan.at(request.placedAt, booked?.get(id) ?? null);
  return times.ok
    ? times
    : { ok: false, refusal: { code: 'no-time-left', say: { code: 'no-time-left', next: times.next } } };
};
