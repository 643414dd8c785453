import type { Adjustment } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import type { Rate } from '../model/rate.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { basketsFor, thresholdsOf, type Basket, type Ruled, type Thresholds } from './baskets.ts';
import { cellsOf, oneEach } from './cells.ts';
import type { RuleRef } from './finding.ts';
import type { Findings } from './findings.ts';
import { isAreaForAll, isForAll, isPickupForAll } from './for-all.ts';
import { Judge } from './judge.ts';
import type { AuditContext, KeyedBasket, KeyedContext } from './audit-context.ts';
import type { Outcome } from './memory.ts';
import { areasOf, isNear } from './nearby-places.ts';
import { placeWords, type PlaceClass } from './place-classes.ts';
import { relevantTo } from './relevant.ts';
import type { Stops } from './stops.ts';

/** What judging finds: orders without a choice, and charges that leak. */
export interface Found {
  findings: Findings;
  stops: Stops;
}

const zoneOf = ({ served, zone }: PlaceClass): string | null => (served && zone ? zone.zone.id : null);

const ratesIn = ({ services }: CompiledBook, zone: string | null): Rate[] =>
  services.flatMap(({ byZone }) => {
    const rate = zone === null ? undefined : byZone.get(zone)?.rate;
    return rate?.active ? [rate] : [];
  });

/** In how many contexts every mix of a small catalogue is judged. */
const MOST_MIXED = 4;

/** How many orders of one class are judged in every context; beyond it only the plainest context has all. */
const MOST_EACH = 300;

/** One of each probe, and the first and the last of them in every quantity and with every discount. */
export const representativeBaskets = (baskets: readonly Basket[], probes: readonly Good[]): Basket[] => {
  const whole = new Set([probes[0]?.sku, probes.at(-1)?.sku]);
  const skus = new Set(probes.map(({ sku }) => sku));
  return baskets.filter(({ lines: [first, ...more], discount }) => {
    if (!first || more.length > 0) return false;
    return whole.has(first.sku) || (skus.has(first.sku) && first.quantity === 1 && discount === undefined);
  });
};

const isOneUnit = ({ lines, discount }: Basket): boolean =>
  discount === undefined && lines.length === 1 && lines[0]?.quantity === 1;

const judgeAll = (
  judge: Judge,
  baskets: readonly KeyedBasket[],
  few: readonly KeyedBasket[],
  contexts: readonly KeyedContext[],
): void => {
  const inAll = baskets.length * contexts.length <= MOST_EACH ? baskets : few;
  contexts.forEach((context, at) => {
    const isPlain = at === 0;
    for (const keyed of isPlain ? baskets : inAll)
      judge.judge(keyed, context, { isPlain, asksCarriers: isPlain && isOneUnit(keyed.basket) });
  });
};

/** What the areas that cover a class and the pickup points have that changes its mind at some value. */
const nearbyRules = (compiled: CompiledBook, place: PlaceClass): Ruled[] => [
  ...areasOf(compiled, place).flatMap(({ area: { price, freeFrom, minSubtotal, limits, methods } }) => [
    { price, freeFrom, minSubtotal, limits },
    ...methods.map((method) => ({ limits: method.limits })),
  ]),
  ...compiled.pickups.map(({ point: { minSubtotal, limits } }) => ({ minSubtotal, limits })),
];

/** Whether some choice of a class is offered for every order to it. */
const isSettled = ({ compiled, steady }: AuditContext, place: PlaceClass): boolean =>
  ratesIn(compiled, zoneOf(place)).some((rate) => isForAll(compiled, rate, place)) ||
  compiled.pickups.some(
    (pickup) => isPickupForAll(compiled, pickup, steady) && isNear(pickup, place.destination.country),
  ) ||
  (place.served && areasOf(compiled, place).some((area) => isAreaForAll(compiled, area, steady, place)));

/** One unit of each good, and of the rest one order for each way in which the thresholds are passed. */
const distinct = (
  { compiled, memory }: AuditContext,
  baskets: readonly Basket[],
  thresholds: Thresholds,
  adjustments: readonly Adjustment[],
): KeyedBasket[] => {
  const ones = baskets.filter(isOneUnit);
  const more = baskets.filter((basket) => !isOneUnit(basket));
  const each = [...ones, ...oneEach(more, cellsOf(compiled, thresholds, adjustments))];
  return each.map((basket) => ({ basket, key: memory.keyOf(basket) }));
};

const judged = (shop: AuditContext, place: PlaceClass, judge: Judge): Outcome => {
  const { compiled, probes, mixes } = shop;
  const adjustments = relevantTo(compiled, place);
  const contexts = shop.contextsFor(adjustments);
  const rules = [...ratesIn(compiled, zoneOf(place)), ...nearbyRules(compiled, place)];
  const thresholds = thresholdsOf(compiled, rules, adjustments);
  const whole = basketsFor(compiled, probes, thresholds);
  const few = distinct(shop, representativeBaskets(whole, probes), thresholds, adjustments);
  judgeAll(judge, distinct(shop, whole, thresholds, adjustments), few, contexts);
  for (const [at, context] of (mixes ? contexts.slice(0, MOST_MIXED) : []).entries())
    for (const mix of mixes ?? []) judge.judge(mix, context, { isPlain: at === 0, asksCarriers: at === 0 });
  return judge.outcome;
};

/** What judging every order that the rules tell apart to a class of places tells; as it is known, where it is. */
const outcomeOf = (shop: AuditContext, place: PlaceClass): Outcome => {
  const { compiled, memory } = shop;
  const known = memory.of(compiled, place);
  const of = `${memory.goodsKey}|${shop
    .contextsFor(relevantTo(compiled, place))
    .map(({ key }) => key)
    .join()}`;
  if (known.whole?.of === of) return known.whole.outcome;
  const hasCarriers = ratesIn(compiled, zoneOf(place)).some(({ price }) => price.kind === 'carrier');
  const judge = new Judge(shop, place, hasCarriers, known.verdicts);
  const outcome = judged(shop, place, judge);
  Object.assign(known, { whole: { of, outcome }, verdicts: judge.verdicts });
  return outcome;
};

/** Judges every order that the rules tell apart, for one class of places. */
export const judgeClass = (shop: AuditContext, place: PlaceClass, { findings, stops }: Found): void => {
  const outcome = outcomeOf(shop, place);
  for (const leak of outcome.leaks) findings.add(leak);
  for (const stopped of outcome.stops) stops.add({ ...stopped, place });
  if (outcome.stops.length > 0 || isSettled(shop, place)) return;
  const zone = zoneOf(place);
  const where: RuleRef = zone === null ? { kind: 'store', id: 'store' } : { kind: 'zone', id: zone };
  const reach = placeWords(place, shop.compiled.display);
  findings.add({ code: 'not-settled', where: [where], detail: {}, reach });
};
