import { t } from '../../../../core/translate/translate.ts';
import { listedCarrier } from '../../../../carriers/directory.ts';
import { priceOfAccount, switchedRates, type Switch } from '../../../../core/costs/switch.ts';
import type { Book } from '../../../../core/model/book.ts';
import { edit } from '../../../state/draft.ts';
import { rateName } from './lever-words.ts';

/** A switch with its id and what it is called. */
export interface NamedSwitch {
  id: string;
  name: string;
  switched: Switch;
}

const named = (name: string, switched: Switch): NamedSwitch => ({
  id: JSON.stringify(switched),
  name,
  switched,
});

/** Every rate that a carrier prices, priced by each of the other accounts. */
const otherAccounts = (book: Book): NamedSwitch[] =>
  book.rates.flatMap(({ id: rateId, price }) =>
    price.kind === 'carrier'
      ? book.carriers
          .filter(({ id }) => id !== price.accountId)
          .map(({ id, name, carrier }) =>
            named(t('{rateName}, by the cheapest of {name}', { rateName: rateName(book, rateId), name }), {
              kind: 'account',
              rateId,
              accountId: id,
              codes: listedCarrier(carrier)?.services.map(({ code }) => code) ?? [],
            }),
          )
      : [],
  );

/** Every account that prices some rate, packing as the shop or another account does, or into one parcel. */
const otherPackings = (book: Book): NamedSwitch[] => {
  const ways = [
    { name: t('the shop'), plan: book.store.packing },
    ...book.carriers.map(({ name, packing }) => ({ name, plan: packing })),
    { name: t('one parcel'), plan: { kind: 'single' } as const },
  ];
  return book.carriers.flatMap(({ id, name, packing }) => {
    const seen = new Set([JSON.stringify(packing)]);
    return ways.flatMap(({ name: way, plan }) => {
      const key = JSON.stringify(plan);
      const switched: Switch = { kind: 'packing', accountId: id, plan };
      if (seen.has(key) || switchedRates(book, switched).length === 0) return [];
      seen.add(key);
      return [
        named(
          plan.kind === 'single'
            ? t('{name} in one parcel', { name })
            : t('{name} packs as {way} does', { name, way }),
          switched,
        ),
      ];
    });
  });
};

/** What a merchant may switch to: other accounts for rates, other ways of packing for accounts. */
export const switchesOf = (book: Book): NamedSwitch[] => [...otherAccounts(book), ...otherPackings(book)];

/** The change to the draft that a switch is; null where its rate is gone. */
export const switchEdit = (book: Book, { switched, name }: NamedSwitch): ReturnType<typeof edit> | null => {
  if (switched.kind === 'packing')
    return edit('setAccount', { id: switched.accountId, changes: { packing: switched.plan } }, name);
  const price = book.rates.find(({ id }) => id === switched.rateId)?.price;
  return price?.kind === 'carrier'
    ? edit('setRate', { id: switched.rateId, changes: { price: priceOfAccount(price, switched) } }, name)
    : null;
};
