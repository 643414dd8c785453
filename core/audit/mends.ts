import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Quote, Withheld } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { FindingCode, RuleRef } from './finding.ts';
import { limitsThatContradict } from './odd-rates.ts';

/** The parts of a shop that a mend in thought changes. */
export interface Shop {
  book: Book;
  goods: readonly Good[];
}

/** A rule that a refusal names, and the shop as it would be with that rule mended. */
export interface Mend {
  code: FindingCode;
  cause: RuleRef;
  /** The order in which causes are looked for: a good's figure before an adjustment, and so on. */
  rank: number;
  /** How far the order is from being taken, as a ratio; of several limits the nearest is the cause. */
  distance: number;
  apply: (shop: Shop) => Shop;
}

/** What tells one mend from another. */
export const mendKey = ({ cause }: Pick<Mend, 'cause'>): string => `${cause.kind}:${cause.id}`;

const RANKS = ['good', 'adjustment', 'group', 'carrier', 'rate', 'area', 'pickup'];
const rankOf = ({ kind }: RuleRef): number => RANKS.indexOf(kind);

const changed = <T extends { id: string }>(list: readonly T[], id: string, change: (one: T) => T): T[] =>
  list.map((one) => (one.id === id ? change(one) : one));

const inBook =
  (change: (book: Book) => Partial<Book>): Mend['apply'] =>
  ({ book, goods }) => ({ book: { ...book, ...change(book) }, goods });

const mend = (code: FindingCode, cause: RuleRef, apply: Mend['apply'], distance = 1): Mend => ({
  code,
  cause,
  rank: rankOf(cause),
  distance,
  apply,
});

/** A good may weigh next to nothing, or measure a millimetre: some figure that restores a choice is enough. */
const LEAST = { weight: 1, size: { length: 1, width: 1, height: 1 } };

const figureMends = (
  { goods, book }: CompiledBook,
  { lines }: QuoteRequest,
  figure: 'weight' | 'size',
): Mend[] => {
  if (figure === 'weight' && book.store.defaultWeight !== undefined) return [];
  return lines.flatMap(({ sku }) => {
    const good = goods.get(sku);
    if (!good || good[figure] !== undefined || good.fulfilment !== 'physical') return [];
    return [
      mend(`${figure}-missing`, { kind: 'good', id: sku }, (shop) => ({
        ...shop,
        goods: shop.goods.map((one) => (one.sku === sku ? { ...one, [figure]: LEAST[figure] } : one)),
      })),
    ];
  });
};

const groupMend = (id: string): Mend =>
  mend(
    'group-not-sent',
    { kind: 'group', id },
    inBook(({ groups }) => ({
      groups: changed(groups, id, ({ onlyZones: _, neverZones: __, ...group }) => ({
        ...group,
        shipping: 'any',
        delivery: 'any',
        pickup: 'any',
      })),
    })),
  );

/** What an account would charge if it answered: some amount is enough. */
const ANY_AMOUNT = { amount: 1_000, per: 'order' as const };

const carrierMend = (accountId: string): Mend =>
  mend(
    'carrier-serves-nothing',
    { kind: 'carrier', id: accountId },
    inBook(({ rates }) => ({
      rates: rates.map((rate) =>
        rate.price.kind === 'carrier' && rate.price.accountId === accountId
          ? { ...rate, price: { ...rate.price, onError: ANY_AMOUNT, onNone: ANY_AMOUNT } }
          : rate,
      ),
    })),
  );

/** A price that has an amount for every order. */
const ANY_PRICE = { kind: 'flat' as const, amount: 1_000, per: 'order' as const };

/** A price has no amount for an order: it begins too late, ends too early, or lacks a row. */
const MISSING = ['below-first-step', 'no-table-row', 'price-unknown'];
const GAPS = [...MISSING, 'above-last-step'];

/** How far a value is from a limit, as a ratio of at least 1. */
const distanceOf = ({ detail }: Withheld): number => {
  const [value, limit] = [detail.value, detail.limit ?? detail.until ?? detail.first].map(Number);
  if (!value || !limit || !Number.isFinite(value / limit)) return Number.MAX_VALUE;
  return Math.max(value / limit, limit / value);
};

/** A price that lacks an amount is looked at before a limit that somebody set. */
const rateMend = (withheld: Withheld, id: string): Mend => ({
  ...limitlessRate(withheld, id),
  ...(MISSING.includes(withheld.code) ? { rank: rankOf({ kind: 'rate', id }) - 0.5 } : {}),
});

const limitlessRate = (withheld: Withheld, id: string): Mend =>
  mend(
    GAPS.includes(withheld.code) ? 'measure-gap' : 'no-choice',
    { kind: 'rate', id },
    inBook(({ rates }) => ({
      rates: changed(rates, id, ({ limits: _, price, ...rate }) => ({
        ...rate,
        price: price.kind === 'carrier' ? price : ANY_PRICE,
      })),
    })),
    distanceOf(withheld),
  );

const areaMend = (withheld: Withheld, id: string): Mend =>
  mend(
    'no-choice',
    { kind: 'area', id },
    inBook(({ areas }) => ({
      areas: changed(areas, id, ({ limits: _, minSubtotal: __, methods, ...area }) => ({
        ...area,
        price: ANY_PRICE,
        methods: methods.map(({ limits: ___, ...method }) => method),
      })),
    })),
    distanceOf(withheld),
  );

const pickupMend = (withheld: Withheld): Mend =>
  mend(
    'no-choice',
    { kind: 'pickup', id: withheld.id },
    inBook(({ pickups }) => ({
      pickups: changed(pickups, withheld.id, ({ limits: _, minSubtotal: __, ...point }) => point),
    })),
    distanceOf(withheld),
  );

const LIMITS = ['above-limit', 'below-limit', 'below-minimum', ...GAPS];

/** The rate of a refusal; of one carrier service the id says the rate before the colon. */
const rateIdOf = ({ id }: Withheld): string => id.split(':')[0] ?? id;

/** A rule whose limits contradict each other keeps out whatever comes: it is the cause before any other limit. */
const isContradictory = ({ book }: CompiledBook, id: string): boolean =>
  limitsThatContradict(() => ({ kind: 'rate', id }), book.rates.find((rate) => rate.id === id)?.limits)
    .length > 0;

const rateLimitMend = (compiled: CompiledBook, withheld: Withheld): Mend => {
  const id = rateIdOf(withheld);
  const made = rateMend(withheld, id);
  return isContradictory(compiled, id) ? { ...made, distance: 0 } : made;
};

const limitMend = (compiled: CompiledBook, withheld: Withheld): Mend => {
  if (withheld.kind === 'delivery') return areaMend(withheld, withheld.id.split(':')[0] ?? '');
  return withheld.kind === 'pickup' ? pickupMend(withheld) : rateLimitMend(compiled, withheld);
};

const accountOf = ({ book }: CompiledBook, rateId: string): string | undefined => {
  const price = book.rates.find(({ id }) => id === rateId)?.price;
  return price?.kind === 'carrier' ? price.accountId : undefined;
};

const mendsFor = (compiled: CompiledBook, request: QuoteRequest, withheld: Withheld): Mend[] => {
  const { code, from } = withheld;
  if (code === 'weight-unknown') return figureMends(compiled, request, 'weight');
  if (code === 'size-unknown') return figureMends(compiled, request, 'size');
  if (code === 'adjustment')
    return [
      mend(
        'withheld-by-adjustment',
        { kind: 'adjustment', id: from.id },
        inBook(({ adjustments }) => ({
          adjustments: changed(adjustments, from.id, (one) => ({ ...one, active: false })),
        })),
      ),
    ];
  if (code === 'goods-not-allowed') return [groupMend(from.id)];
  if (code === 'carrier-none' || code === 'carrier-error') {
    const account = accountOf(compiled, rateIdOf(withheld));
    return account === undefined ? [] : [carrierMend(account)];
  }
  return LIMITS.includes(code) ? [limitMend(compiled, withheld)] : [];
};

/** The rules that an order's refusals name, each once, in the order in which causes are looked for. */
export const mendsOf = (compiled: CompiledBook, request: QuoteRequest, quoted: Quote): Mend[] => {
  const found = new Map<string, Mend>();
  for (const withheld of quoted.withheld)
    for (const one of mendsFor(compiled, request, withheld)) {
      const known = found.get(mendKey(one));
      if (!known || one.distance < known.distance) found.set(mendKey(one), one);
    }
  return [...found.values()].sort((a, b) => a.rank - b.rank || a.distance - b.distance);
};
