import type { Destination } from '../model/place.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { CompiledArea } from '../quote/nearby.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { basketsFor, thresholdsOf } from './baskets.ts';
import { cellsOf, oneEach } from './cells.ts';
import { leaksIn } from './causes.ts';
import type { Finding } from './finding.ts';
import { Findings } from './findings.ts';
import { representativeBaskets } from './judge-class.ts';
import { isCharged } from './judge.ts';
import type { AuditContext } from './audit-context.ts';
import { addressesIn } from './nearby-places.ts';

/** A shop that only delivers, so that nothing else is worked out. */
const deliveriesOf = (compiled: CompiledBook): CompiledBook => ({ ...compiled, services: [], pickups: [] });

/** What deliveries of an area cost on one order: whether any of them leaks. */
const leaksOf = (compiled: CompiledBook, { area }: CompiledArea, example: QuoteRequest): Finding[] => {
  if (requestFaults(compiled, example).length > 0) return [];
  return quote(compiled, example, [])
    .choices.filter(({ kind, id }) => kind === 'delivery' && id.startsWith(`${area.id}:`))
    .flatMap((choice) =>
      leaksIn(choice, isCharged(compiled, example)).map(({ code, where }) => ({
        code,
        where,
        detail: { name: choice.name },
        example,
        reach: area.name,
      })),
    );
};

const judged = (shop: AuditContext, area: CompiledArea, destination: Destination): readonly Finding[] => {
  const { compiled, probes } = shop;
  const { price, freeFrom, minSubtotal, limits } = area.area;
  const adjustments = compiled.adjustments.map(({ adjustment }) => adjustment);
  const thresholds = thresholdsOf(compiled, [{ price, freeFrom, minSubtotal, limits }], adjustments);
  const cellOf = cellsOf(compiled, thresholds, adjustments);
  const few = oneEach(representativeBaskets(basketsFor(compiled, probes, thresholds), probes), cellOf);
  const leaks = new Findings();
  const delivering = deliveriesOf(compiled);
  for (const { context } of shop.contextsFor(adjustments))
    for (const basket of few)
      for (const leak of leaksOf(delivering, area, { destination, ...basket, ...context })) leaks.add(leak);
  return leaks.all;
};

/** Judges what deliveries to addresses inside an area that is drawn cost; as it is known, where it is. */
export const judgeDrawn = (shop: AuditContext, area: CompiledArea, findings: Findings): void => {
  const { compiled, memory } = shop;
  for (const address of addressesIn(area)) {
    const known = memory.ofAddress(compiled, area.area.id, address);
    const of = memory.goodsKey;
    known.whole =
      known.whole?.of === of
        ? known.whole
        : { of, outcome: { stops: [], leaks: judged(shop, area, address) } };
    for (const leak of known.whole.outcome.leaks) findings.add(leak);
  }
};
