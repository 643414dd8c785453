import type { PastOrder } from '../model/order.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { shipmentQuestion } from '../quote/questions.ts';

/** What an account's carrier asks for the parcels of an order, by service; minor units. */
export interface AccountPrice {
  accountId: string;
  services: readonly { code: string; name: string; amount: number }[];
}

/** What the carriers of some accounts ask for the parcels of an order; an account that gives no price is left out. */
export const accountPrices = (
  compiled: CompiledBook,
  { request }: Pick<PastOrder, 'request'>,
  accountIds: Iterable<string>,
): AccountPrice[] =>
  [...accountIds].flatMap((accountId) => {
    const question = compiled.ask ? shipmentQuestion(compiled, request, accountId) : null;
    const [answer] = question && compiled.ask ? compiled.ask([question]) : [];
    return answer?.ok && answer.services.length > 0 ? [{ accountId, services: answer.services }] : [];
  });

/** What was sent, and by which choice. */
type SentOrder = Pick<PastOrder, 'request'> & { chosen: Pick<PastOrder['chosen'], 'of'> };

/** The account and the service that an order was sent by, where a carrier priced it. */
const sentBy = (
  { book }: CompiledBook,
  { chosen: { of = {} } }: SentOrder,
): { accountId: string; code: string | undefined } | null => {
  const price = book.rates.find(({ id }) => id === of.rateId)?.price;
  return price?.kind === 'carrier' ? { accountId: price.accountId, code: of.serviceCode } : null;
};

/** The cheapest of what accounts ask, of one service where it is named; null where there is none. Minor units. */
export const leastPrice = (prices: readonly AccountPrice[], code?: string): number | null => {
  const amounts = prices.flatMap(({ services }) =>
    services.filter((service) => code === undefined || service.code === code).map(({ amount }) => amount),
  );
  return amounts.length > 0 ? Math.min(...amounts) : null;
};

/**
 * What an order's parcels would cost now: by the service it was sent by, where a carrier priced it; else by the
 * cheapest service of any account. Null where no carrier gives a price, or none can be asked at once. Minor units.
 */
export const estimatedCost = (compiled: CompiledBook, order: SentOrder): number | null => {
  const sent = sentBy(compiled, order);
  if (!sent) return leastPrice(accountPrices(compiled, order, compiled.accounts.keys()));
  return leastPrice(accountPrices(compiled, order, [sent.accountId]), sent.code);
};
