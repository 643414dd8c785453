import { taxesAt, taxPart } from '../duty/tax.ts';
import type { Choice, Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { placeOf, type Place } from '../place/place.ts';
import type { CompiledBook } from './compile.ts';
import { reachOf } from './destination.ts';

/** One tax of an order, on the goods and on the charge together, in minor units. */
export interface TaxLine {
  id: string;
  name: string;
  points: number;
  amount: number;
}

/** Where a charge is taxed: a collection at the place of its location, all else at the destination. */
const placeTaxed = (
  { pickups }: CompiledBook,
  destination: Place | null,
  { kind, id }: Choice,
): Place | null => {
  if (kind !== 'pickup') return destination;
  const pickup = pickups.find(({ point }) => point.id === id);
  return pickup ? placeOf(pickup.location.address) : null;
};

/**
 * Every tax of an order on a line of its own, in the book's order; they add up to the quote's goods tax
 * and the choice's tax. A charge that bears no tax takes part in none.
 */
export const taxLines = (
  compiled: CompiledBook,
  request: QuoteRequest,
  { subtotal }: Pick<Quote, 'subtotal'>,
  choice: Choice | null,
): TaxLine[] => {
  const { place } = reachOf(compiled, request);
  const included = compiled.book.store.pricesIncludeTax;
  const onGoods = taxesAt(compiled.taxes.goods, place);
  const onCharge =
    choice && choice.tax > 0 ? taxesAt(compiled.taxes.charges, placeTaxed(compiled, place, choice)) : [];
  return compiled.book.taxes
    .filter((tax) => onGoods.includes(tax) || onCharge.includes(tax))
    .map((tax) => ({
      id: tax.id,
      name: tax.name,
      points: tax.points,
      amount:
        taxPart(subtotal, tax, onGoods, included) + taxPart(choice?.charge ?? 0, tax, onCharge, included),
    }));
};
