import { t } from '../translate/translate.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { offeredUnasked, splitBasket, type SplitPart } from '../quote/split.ts';
import { countsFrom } from './nearby-places.ts';

const MOST_NAMED = 3;

const tell = ({ goods }: CompiledBook, { request, choice }: SplitPart): string => {
  const names = request.lines.slice(0, MOST_NAMED).map(({ sku }) => goods.get(sku)?.name ?? sku);
  return t('{list} by “{choice}”', { list: names.join(', '), choice: choice.name });
};

/**
 * How an order that no one choice takes can be had in parts, each by its own choice: 'Sea thrift by “Electric cart”;
 * Canes by “Pallet”'. Null where some of it cannot be had at all.
 */
export const inParts = (compiled: CompiledBook, request: QuoteRequest): string | null => {
  const country = request.destination?.country;
  if (request.lines.length < 2 || country === undefined) return null;
  const offered = offeredUnasked(compiled);
  const split = splitBasket(compiled, request, (part) =>
    offered(part).filter((choice) => countsFrom(compiled, choice, country)),
  );
  return split && split.parts.map((part) => tell(compiled, part)).join('; ');
};
