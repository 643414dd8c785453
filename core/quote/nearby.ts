import { taxOn } from '../duty/tax.ts';
import type { DeliveryArea, DeliveryMethod, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Choice, Source } from '../model/quote.ts';
import type { TaxRate } from '../model/tax.ts';
import { placeOf, type Place } from '../place/place.ts';
import { activeLimits, type Refusal, type ActiveLimit } from '../price/limits.ts';
import { sortTiers, type SortedTiers } from '../price/tiers.ts';
import type { Clock } from '../time/clock.ts';
import { timePlan, type TimePlan, type Times } from '../time/times.ts';
import type { Ledger } from './ledger.ts';

/** One method of an area, with its times. */
export interface CompiledMethod {
  method: DeliveryMethod;
  /** 'area:method'. */
  id: string;
  limits: readonly ActiveLimit[];
  times: TimePlan;
}

/** A delivery area with what is made ready of it. */
export interface CompiledArea {
  area: DeliveryArea;
  /** Where it leaves from, closed on the area's own dates too. */
  location: Location;
  source: Source;
  limits: readonly ActiveLimit[];
  tiers: SortedTiers | null;
  methods: readonly CompiledMethod[];
}

/** A pickup point with what is made ready of it. */
export interface CompiledPickup {
  point: PickupPoint;
  /** Where it is collected, closed on the point's own dates too. */
  location: Location;
  /** Where orders are collected, for the taxes on what collecting costs. */
  place: Place;
  source: Source;
  limits: readonly ActiveLimit[];
  times: TimePlan;
}

/** A location that is closed on further dates too. */
const closedToo = (location: Location, dates: readonly string[] | undefined): Location =>
  dates === undefined || dates.length === 0
    ? location
    : { ...location, closedDates: [...location.closedDates, ...dates] };

/** An area made ready for many orders. */
export const compileArea = (area: DeliveryArea, at: Location, clock: Clock): CompiledArea => {
  const location = closedToo(at, area.closedDates);
  return {
    area,
    location,
    source: { kind: 'area', id: area.id },
    limits: activeLimits(area.limits),
    tiers: area.price.kind === 'steps' ? sortTiers(area.price) : null,
    methods: area.methods.map((method) => ({
      method,
      id: `${area.id}:${method.id}`,
      limits: activeLimits(method.limits),
      times: timePlan(location, area.preparation, method.timing, clock, method.withinDays),
    })),
  };
};

/** A pickup point made ready for many orders. */
export const compilePickup = (point: PickupPoint, at: Location, clock: Clock): CompiledPickup => {
  const location = closedToo(at, point.closedDates);
  return {
    point,
    location,
    place: placeOf(location.address),
    source: { kind: 'pickup', id: point.id },
    limits: activeLimits(point.limits),
    times: timePlan(location, point.preparation, point.timing, clock),
  };
};

/** The refusal for a subtotal below the least one an area or a point takes, or null. */
export const minimumRefusal = (least: number | undefined, subtotal: number): Refusal | null =>
  least === undefined || subtotal >= least
    ? null
    : { code: 'below-minimum', say: { code: 'below-minimum', subtotal, least } };

/** The refusal for an order that no time is left for. */
export const timeRefusal = ({ next }: Extract<Times, { ok: false }>): Refusal => ({
  code: 'no-time-left',
  say: { code: 'no-time-left', next },
});

/** The choice that a delivery or a collection with its charge comes to, before import charges. */
export const nearbyChoice = (
  {
    id,
    kind,
    of,
    name,
    note,
  }: { id: string; kind: 'delivery' | 'pickup'; of: Choice['of']; name: string; note: string | undefined },
  ledger: Ledger,
  taxes: readonly TaxRate[],
  taxIncluded: boolean,
  { ready, arrives, slots }: Pick<Choice, 'ready' | 'arrives' | 'slots'>,
): Choice => {
  const charge = ledger.running;
  const tax = taxOn(charge, taxes, taxIncluded);
  const choice: Choice = {
    id,
    kind,
    of,
    name,
    charge,
    tax,
    taxIncluded,
    total: taxIncluded ? charge : charge + tax,
    payments: [],
    working: ledger.lines,
  };
  if (note) choice.note = note;
  if (ready !== undefined) choice.ready = ready;
  if (arrives) choice.arrives = arrives;
  if (slots) choice.slots = slots;
  return choice;
};
