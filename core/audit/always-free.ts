import type { CompiledBook } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import type { Findings } from './findings.ts';
import type { Context } from './moments.ts';
import { placeWords, type PlaceClass } from './place-classes.ts';

/** A threshold that the least order that can be placed reaches, so that nothing is ever charged. */
export const addAlwaysFree = (
  compiled: CompiledBook,
  classes: readonly PlaceClass[],
  context: Context,
  findings: Findings,
): void => {
  const cheapest = [...compiled.goods.values()]
    .filter(({ fulfilment, chargeFree }) => fulfilment === 'physical' && chargeFree !== true)
    .sort((a, b) => a.price - b.price)[0];
  if (!cheapest) return;
  const least = new Map(
    [...compiled.book.rates, ...compiled.book.areas].flatMap((one): [string, number][] => {
      const floor = 'minSubtotal' in one ? (one.minSubtotal ?? 0) : 0;
      const price = Math.max(cheapest.price, one.limits?.subtotal?.min ?? 0, floor);
      return one.freeFrom !== undefined && one.freeFrom <= price ? [[one.id, price]] : [];
    }),
  );
  if (least.size === 0) return;
  for (const place of classes)
    for (const [id, price] of least)
      for (const good of compiled.goods.values()) {
        const quantity = Math.max(1, Math.ceil(price / Math.max(good.price, 1)));
        const lines = [{ sku: good.sku, quantity }];
        const example = { destination: place.destination, lines, ...context };
        if (requestFaults(compiled, example).length > 0) continue;
        const free = quote(compiled, example, []).choices.find(
          ({ of, charge }) => charge === 0 && (of.rateId ?? of.areaId) === id,
        );
        if (!free) continue;
        findings.add({
          code: 'always-free',
          where: [{ kind: free.kind === 'delivery' ? 'area' : 'rate', id }],
          detail: { name: free.name, price },
          example,
          reach: placeWords(place, compiled.display),
        });
        break;
      }
};
