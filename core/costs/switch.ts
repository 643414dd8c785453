import type { Book } from '../model/book.ts';
import type { PackPlan } from '../model/pack.ts';
import type { CarrierPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';

/**
 * A change of the book that is no figure: another account prices a rate, by the cheapest of the named services of its
 * carrier; or an account's parcels are packed another way.
 */
export type Switch =
  | { kind: 'account'; rateId: string; accountId: string; codes: readonly string[] }
  | { kind: 'packing'; accountId: string; plan: PackPlan };

/** The price of a rate as another account would give it; services that both name keep what was set for them. */
export const priceOfAccount = (
  price: CarrierPrice,
  { accountId, codes }: Pick<Extract<Switch, { kind: 'account' }>, 'accountId' | 'codes'>,
): CarrierPrice => ({
  ...price,
  accountId,
  services: codes.map((code) => price.services.find((one) => one.code === code) ?? { code }),
  show: 'cheapest',
});

/** The rates that a carrier's account prices. */
const isPricedBy = (accountId: string, { price }: Rate): boolean =>
  price.kind === 'carrier' && price.accountId === accountId;

/** The rates that a switch is about. */
export const switchedRates = ({ rates }: Book, switched: Switch): Rate[] =>
  rates.filter((rate) =>
    switched.kind === 'account'
      ? rate.id === switched.rateId && rate.price.kind === 'carrier'
      : isPricedBy(switched.accountId, rate),
  );

/** The book with a switch made. */
export const withSwitch = (book: Book, switched: Switch): Book => {
  if (switched.kind === 'packing')
    return {
      ...book,
      carriers: book.carriers.map((account) =>
        account.id === switched.accountId ? { ...account, packing: switched.plan } : account,
      ),
    };
  return {
    ...book,
    rates: book.rates.map((rate) =>
      rate.id === switched.rateId && rate.price.kind === 'carrier'
        ? { ...rate, price: priceOfAccount(rate.price, switched) }
        : rate,
    ),
  };
};
