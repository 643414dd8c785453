import type { FindingCode } from '../audit/finding.ts';
import { freeId } from '../model/ids.ts';
import type { Size } from '../model/good.ts';
import type { CarrierPrice, Price } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import { ruleName } from '../audit/problem-sentence.ts';
import type { Change } from './change.ts';
import { areaWithEnd, brokenLimit, refusalsOf, withEnd, withLimits } from './limits.ts';
import { byId, causeName, namedBy, partOf, rateOf, rateTo, type AskedValue, type Broken } from './repair.ts';
import { kindOf } from '../price/kinds.ts';

const amountOf = (value: unknown): number => Number(value);

/** What a product weighs or measures. */
const figure =
  (code: 'weight' | 'size') =>
  (broken: Broken): AskedValue | null => {
    const [cause] = broken.problem.where;
    const good = cause?.kind === 'good' ? broken.compiled.goods.get(cause.id) : undefined;
    if (!good || good[code] !== undefined) return null;
    return {
      code,
      a: good.name,
      reads: code,
      give: (value) => [
        {
          list: 'goods',
          at: good.sku,
          entry: code === 'weight' ? { ...good, weight: amountOf(value) } : { ...good, size: value as Size },
        },
      ],
    };
  };

/** The price of a service in a zone where it has no rate. */
const newRate = ({ problem, compiled: { book } }: Broken): AskedValue | null => {
  const zone = byId(book.zones, namedBy(problem, 'zone')[0]);
  const hasRate = (id: string): boolean =>
    book.rates.some(({ serviceId, zoneId }) => serviceId === id && zoneId === zone?.id);
  const named = namedBy(problem, 'service')[0];
  const service = book.services.find(({ id }) => (named === undefined || id === named) && !hasRate(id));
  if (!zone || !service) return null;
  return {
    code: 'new-rate',
    a: service.name,
    b: zone.name,
    reads: 'money',
    give: (value) => {
      const rate: Rate = {
        id: freeId(`${service.id}-${zone.id}`, book.rates),
        serviceId: service.id,
        zoneId: zone.id,
        active: true,
        price: { kind: 'flat', amount: amountOf(value), per: 'order' },
        whenWithheld: 'hide',
        taxable: true,
      };
      return [rateTo(rate)];
    },
  };
};

/** The limit that keeps orders out. */
const limitValue = (broken: Broken): AskedValue | null => {
  const { problem, compiled } = broken;
  const limit = brokenLimit(broken);
  if (!limit) return minimumValue(broken);
  const { areas, pickups } = compiled.book;
  const rate = rateOf(broken);
  const area = byId(areas, namedBy(problem, 'area')[0]);
  const point = byId(pickups, namedBy(problem, 'pickup')[0]);
  if (!rate && !area && !point) return null;
  return {
    code: limit.end === 'max' ? 'limit-above' : 'limit-below',
    a: causeName(broken),
    reads: limit.measure,
    now: limit.limit,
    give: (value): Change[] => {
      const end = amountOf(value);
      if (rate) return [rateTo(withLimits(rate, withEnd(rate.limits, limit, end)))];
      if (area) return [{ list: 'areas', at: area.id, entry: areaWithEnd(area, limit, end) }];
      return point
        ? [{ list: 'pickups', at: point.id, entry: withLimits(point, withEnd(point.limits, limit, end)) }]
        : [];
    },
  };
};

/** The minimum order of an area or a pickup point. */
const minimumValue = (broken: Broken): AskedValue | null => {
  const { problem, compiled } = broken;
  const refusal = refusalsOf(broken).find(({ code }) => code === 'below-minimum');
  const area = byId(compiled.book.areas, namedBy(problem, 'area')[0]);
  const point = byId(compiled.book.pickups, namedBy(problem, 'pickup')[0]);
  if (!refusal || (!area && !point)) return null;
  return {
    code: 'minimum',
    a: causeName(broken),
    reads: 'money',
    now: Number(refusal.detail.least),
    give: (value): Change[] => {
      const minSubtotal = amountOf(value);
      if (area) return [{ list: 'areas', at: area.id, entry: { ...area, minSubtotal } }];
      return point ? [{ list: 'pickups', at: point.id, entry: { ...point, minSubtotal } }] : [];
    },
  };
};

type Otherwise = CarrierPrice['onError'];

/** Problems for want of a fallback; in the others the amount of one that is there is wrong. */
const LACKING: readonly string[] = ['carrier-serves-nothing', 'no-fallback'];

/** A fallback with an amount: one that is missing is made, one that is wrong keeps its name and note. */
const fallbackOf = (one: Otherwise, amount: number, isMissing: boolean): Otherwise => {
  if (one === 'withhold') return isMissing ? { amount, per: 'order' } : one;
  return isMissing ? one : { ...one, amount };
};

/** What the rates of a carrier charge where it gives no answer or serves nothing. */
const fallbackValue = (broken: Broken): AskedValue | null => {
  const { problem, compiled } = broken;
  const { book, goods } = compiled;
  const account = namedBy(problem, 'carrier')[0];
  const [ids, zones] = [namedBy(problem, 'rate'), namedBy(problem, 'zone')];
  const rates = book.rates.flatMap((rate) => {
    const { price } = rate;
    if (price.kind !== 'carrier') return [];
    const isMeant =
      account === undefined
        ? ids.includes(rate.id)
        : price.accountId === account && zones.includes(rate.zoneId);
    return isMeant ? [{ rate, price }] : [];
  });
  const [first] = rates;
  if (!first) return null;
  const isMissing = LACKING.includes(problem.code);
  return {
    code: 'fallback',
    a:
      account === undefined && rates.length === 1
        ? ruleName({ kind: 'rate', id: first.rate.id }, book, goods)
        : causeName(broken),
    reads: 'money',
    give: (value) =>
      rates.map(({ rate, price }) => {
        const onError = fallbackOf(price.onError, amountOf(value), isMissing);
        const onNone = fallbackOf(price.onNone, amountOf(value), isMissing);
        return rateTo({ ...rate, price: { ...price, onError, onNone } });
      }),
  };
};

/** What a rate charges for products without a price of their own. */
const otherwiseValue = (broken: Broken): AskedValue | null => {
  const rate = rateOf(broken);
  if (!rate || rate.price.kind !== 'per-product') return null;
  const { price } = rate;
  return {
    code: 'otherwise',
    a: causeName(broken),
    reads: 'money',
    give: (value) => [rateTo({ ...rate, price: { ...price, otherwise: amountOf(value) } })],
  };
};

const pricedAnew = (price: Price, part: string, amount: number): Price | null =>
  kindOf(price).withAmount(price, part, amount);

/** A price of 0 that no rule says is free. */
const priceValue = (broken: Broken): AskedValue | null => {
  const { areas } = broken.compiled.book;
  const rate = rateOf(broken);
  const area = byId(areas, namedBy(broken.problem, 'area')[0]);
  const priced = rate ?? area;
  const part = partOf(broken.problem);
  if (broken.problem.where[0]?.kind === 'table' || !priced || !pricedAnew(priced.price, part, 0)) return null;
  return {
    code: 'price',
    a: causeName(broken),
    reads: 'money',
    now: 0,
    give: (value): Change[] => {
      const price = pricedAnew(priced.price, part, amountOf(value));
      if (!price) return [];
      if (rate) return [rateTo({ ...rate, price })];
      return area ? [{ list: 'areas', at: area.id, entry: { ...area, price } }] : [];
    },
  };
};

/** From which subtotal a rate or an area is free. */
const freeFromValue = (broken: Broken): AskedValue | null => {
  const rate = rateOf(broken);
  const area = byId(broken.compiled.book.areas, namedBy(broken.problem, 'area')[0]);
  const now = (rate ?? area)?.freeFrom;
  if (now === undefined) return null;
  return {
    code: 'free-from',
    a: causeName(broken),
    reads: 'money',
    now,
    give: (value): Change[] => {
      const freeFrom = amountOf(value);
      if (rate) return [rateTo({ ...rate, freeFrom })];
      return area ? [{ list: 'areas', at: area.id, entry: { ...area, freeFrom } }] : [];
    },
  };
};

const BY_CODE: Partial<Record<FindingCode, (broken: Broken) => AskedValue | null>> = {
  'weight-missing': figure('weight'),
  'size-missing': figure('size'),
  'zone-without-rate': newRate,
  'service-without-rate': newRate,
  'no-choice': limitValue,
  'measure-gap': (broken) => otherwiseValue(broken) ?? limitValue(broken),
  'takes-no-good': limitValue,
  'carrier-serves-nothing': fallbackValue,
  'no-fallback': fallbackValue,
  'free-fallback': fallbackValue,
  'fallback-below-usual': fallbackValue,
  'free-price': priceValue,
  'always-free': freeFromValue,
  'minimum-above-free': freeFromValue,
  'free-out-of-reach': freeFromValue,
};

/** Where one value mends a fault: what is asked for; null where more than a value is needed. */
export const askedValue = (broken: Broken): AskedValue | null =>
  BY_CODE[broken.problem.code as FindingCode]?.(broken) ?? null;
