import type { Finding, FindingCode, RuleRef } from './finding.ts';
import type { Book } from '../model/book.ts';
import type { Measure } from '../model/price.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { entryName } from '../place/region-phrase.ts';
import { measureFigure, moneyFigure } from '../words/figure.ts';
import { listed } from '../words/names.ts';
import { placeNames } from '../words/place-phrase.ts';

/** The rules that a finding is about, by name, and its figures as people read them. */
interface Told {
  /** The name of the first rule, and of the others. */
  a: string;
  b: string;
  reach: string;
  detail: Finding['detail'];
  money: (amount: string | number | undefined) => string;
  figure: (value: string | number | undefined) => string;
}

type Words = Record<FindingCode, (told: Told) => string>;

const STEP_WHY: Record<string, string> = {
  again: 'another step begins there',
  until: 'the steps end before it',
  limit: 'the rate’s limit ends before it',
  least: 'the rate’s limit begins after it',
  free: 'the rate is free from there',
};

/** When and for whom it holds, where that is not always. */
const when = ({ detail }: Told): string => (detail.when ? ` when ${String(detail.when)}` : '');

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Who cannot be bought where, as far as it holds for each good in each place. */
const stopped = (told: Told): string => {
  const { goods, places, each, one } = told.detail;
  const who = `${goods ? goods : told.a}${one ? ', one alone,' : ''}`;
  return each
    ? `${who} cannot be bought in ${places}${when(told)}`
    : `${who} cannot be bought in some places of ${places}${when(told)}`;
};

const groupRule = ({ a, detail: { rule, goods } }: Told): string => {
  if (!rule) return `products in ${a} may not go there`;
  return goods === a ? `they are ${rule}` : `products in ${a} are ${rule}`;
};

/** A rule, or the method of it that is meant. */
const methodOf = ({ a, detail: { method } }: Told): string => (method ? `${method} of ${a}` : a);

const WORDS: Words = {
  'no-zone': ({ detail: { places } }) =>
    `No zone takes ${places}, although the shop sells there: nothing can be bought.`,
  'postal-not-served': ({ detail: { places } }) =>
    `The postal list does not serve ${places}, although the shop sells there.`,
  'zone-without-rate': ({ a }) => `${a} has no rate that is switched on: nothing can be bought there.`,
  'goods-not-sent': (told) => `${stopped(told)}: more than one rule keeps them out.`,
  'group-not-sent': (told) =>
    told.detail.goods
      ? `${stopped(told)}: ${groupRule(told)}.`
      : `Some orders with products in ${told.a} cannot be bought in ${told.detail.places}: ${groupRule(told)}.`,
  'service-without-rate': ({ a, detail: { zones } }) =>
    `${a} has no rate in ${zones}: it is not offered there. Set a rate, or leave it out on purpose.`,
  'zone-not-sold': ({ a }) => `The shop sells to no place of ${a}: its rates are never used.`,
  'rows-elsewhere': ({ a, detail: { rows, of } }) =>
    `${rows} of the ${of} rows of ${a} are for places that no zone using it takes.`,
  'free-out-of-reach': ({ a, detail: { freeFrom, max }, money }) =>
    `${a} is never free: it takes orders up to ${money(max)}, and is free from ${money(freeFrom)}.`,
  'takes-no-good': (told) =>
    `${methodOf(told)} takes no product: each one alone is above its limit of ${told.detail.limit}.`,
  'measure-gap': (told) =>
    told.detail.goods
      ? `${stopped(told)}: ${told.a} has no price for that.`
      : `${told.a} has a gap in its price that no other choice in ${told.detail.places} covers.`,
  'withheld-by-adjustment': (told) =>
    told.detail.goods
      ? `“${told.a}”: ${stopped(told)}.`
      : `“${told.a}” leaves some orders of ${told.detail.places} without any choice${when(told)}.`,
  'no-choice': (told) => {
    const { goods, limit, limited, places, delivered } = told.detail;
    if (goods)
      return `${stopped(told)}: ${told.a} ${limit ? `takes nothing ${limit}` : 'does not take that'}.`;
    return limited
      ? `${capital(String(limit))}, nothing can be bought in ${places}${when(told)}: ${told.a} ends there.`
      : limit
        ? delivered
          ? `Some orders ${limit} cannot be delivered in ${places}, and nothing else takes them.`
          : `Some orders ${limit} cannot be bought in ${places}${when(told)}: ${told.a} ends there.`
        : `Some orders cannot be bought in ${places}${when(told)}: ${told.a} does not take them.`;
  },
  'only-in-parts': ({ a, detail: { parts, places } }) =>
    `Some baskets of ${a} to ${places} fit no single choice: they can only be bought in parts, as ${parts}.`,
  'carrier-serves-nothing': (told) =>
    `${told.detail.goods ? stopped(told) : `Some orders to ${told.detail.places} have no choice${when(told)}`}: ${told.a} offers nothing there or does not answer, and there is no fallback.`,
  'free-fallback': ({ a }) => `${a} charges nothing where its carrier does not answer.`,
  'no-fallback': ({ a, b, detail: { account } }) =>
    `If ${account} does not answer, nothing is offered in ${a}: ${b} has no fallback.`,
  'fallback-below-usual': ({ a, detail: { fallback, usual }, money }) =>
    `The fallback of ${a}, ${money(fallback)}, is below what its carrier usually asks, ${money(usual)}.`,
  'sandbox-account': ({ a }) => `${a} prices rates from its sandbox: what customers are charged is made up.`,
  'room-above-weight': ({ a, detail: { dearer, asked } }) =>
    `${a} charges by volume rather than by weight for ${dearer} of ${asked} products: smaller boxes would cost less.`,
  'fits-no-box': ({ a, detail: { plans } }) => `${a} goes into none of the boxes of ${plans}.`,
  'box-unused': ({ a }) => `No plan packs into ${a}.`,
  'free-price': ({ a }) => `${a} charges nothing, although no rule makes it free.`,
  'free-by-adjustment': ({ a, b }) => `“${a}” brings the charge of ${b} down to 0 without making it free.`,
  'free-by-rounding': ({ b }) => `Rounding brings a small charge of ${b} down to 0.`,
  'below-handling': ({ a }) => `${a} can charge less than its handling costs.`,
  'always-free': ({ a, detail: { price }, money }) =>
    `${a} is free for every order: its free threshold is not above the cheapest order, ${money(price)}.`,
  'discount-meets-free': ({ a, b }) => `“${a}” takes money off ${b}, which can be free as well.`,
  'not-settled': ({ a }) =>
    `It is not certain that every order of ${a} has a choice: no order without one was found, but it could not be proved.`,
  'never-in-time': (told) =>
    `${methodOf(told)} is never offered: no time can be chosen, whenever an order is placed.`,
  'areas-contest': ({ detail: { entry, winner, loser } }) =>
    `${winner} and ${loser} both list ${entry}; ${winner} gets it, because it comes first.`,
  'area-covers-nothing': ({ a }) => `${a} has no postal codes, so it covers nothing.`,
  'location-without-point': ({ a, b }) =>
    `${a} goes by distance, but ${b} has no point on the map: the distance is never known.`,
  'price-falls': ({ a, detail: { at, by, row, more }, money, figure }) =>
    `${a} costs ${money(by)} less from ${figure(at)}${row ? ` in row ${row}` : ''}, although the order is larger${
      more ? `, and in ${more} more ${more === 1 ? 'row' : 'rows'}` : ''
    }.`,
  'step-never-acts': ({ a, detail: { from, why, more }, figure }) =>
    more
      ? `The step of ${a} from ${figure(from)} and ${more} more are never used: ${STEP_WHY[String(why)] ?? ''}.`
      : `The step of ${a} from ${figure(from)} is never used: ${STEP_WHY[String(why)] ?? ''}.`,
  'row-never-acts': ({ detail: { table, row } }) => `Row ${row} of ${table} is never used.`,
  'rows-overlap': ({ detail: { table, row, with: other } }) =>
    `Rows ${other} and ${row} of ${table} overlap; the first applies.`,
  'table-gap': ({ detail: { table, row, from, to: end }, figure }) =>
    `${table} has no row from ${figure(from)} to ${figure(end)} for the place of row ${row}.`,
  'zone-never-decides': ({ a }) => `${a} gets no orders: other zones take all its places.`,
  'entry-never-decides': ({ detail: { entry, zone } }) =>
    `${entry} in ${zone} is never used: other entries take all its places.`,
  'zones-contest': ({ detail: { entry, winner, loser } }) =>
    `${winner} and ${loser} both list ${entry}; ${winner} gets it, because it comes first.`,
  'zone-off': ({ detail: { zone, rest } }) => `${zone} is switched off, and its customers go to ${rest}.`,
  'wide-pattern': ({ detail: { entry, zone, other } }) =>
    `${entry} in ${zone} takes precedence over the provinces or states of ${other}.`,
  'adjustment-never-acts': ({ a, detail: { why } }) => `“${a}”: ${lower(String(why))}`,
  'minimum-above-free': ({ a, detail: { min, freeFrom }, money }) =>
    `${a} never costs less than ${money(min)}, more than the ${money(freeFrom)} from which it is free.`,
  'minimum-decides': ({ a, detail: { min }, money }) =>
    `${a} always costs its minimum, ${money(min)}: no price of it is higher.`,
  'maximum-below-first': ({ a, detail: { max }, money }) =>
    `${a} always costs its maximum, ${money(max)}: every price of it is higher.`,
  'bounds-contradict': ({ a, detail: { min, max }, money }) =>
    `${a} has a minimum of ${money(min)} and a maximum of ${money(max)}: the maximum applies.`,
  'limits-contradict': (told) =>
    `The ${told.detail.measure} limits of ${methodOf(told)} contradict each other: no basket meets them.`,
  'weight-missing': (told) =>
    told.detail.places
      ? `${stopped(told)}: the weight is not known.`
      : `${told.a} has no weight, and some rate needs it.`,
  'size-missing': (told) =>
    told.detail.places
      ? `${stopped(told)}: the size is not known.`
      : `${told.a} has no size, and some rate needs it.`,
  'figures-improbable': ({ a }) =>
    `The weight of ${a} does not go with its size: was a kilogram typed as a gram?`,
  'group-unused': ({ a }) => `No product is in the group ${a}.`,
  'location-unused': ({ a }) => `Nothing leaves from ${a}.`,
};

const nameIn = (list: readonly { id: string; name: string }[], id: string): string =>
  list.find((one) => one.id === id)?.name ?? id;

/** What a rule is called: a rate by its service and zone. */
export const ruleName = ({ kind, id: whole }: RuleRef, book: Book, goods: CompiledBook['goods']): string => {
  if (kind === 'good') return goods.get(whole)?.name ?? whole;
  if (kind === 'store') return 'the store';
  if (kind === 'postal') return `the line ${whole.slice(whole.indexOf(':') + 1)} of the postal list`;
  const [id = ''] = whole.split(':');
  if (kind === 'rate') {
    const rate = book.rates.find((one) => one.id === id);
    return rate ? `${nameIn(book.services, rate.serviceId)} to ${nameIn(book.zones, rate.zoneId)}` : id;
  }
  const lists: Partial<Record<RuleRef['kind'], readonly { id: string; name: string }[]>> = {
    zone: book.zones,
    service: book.services,
    table: book.rateTables,
    adjustment: book.adjustments,
    group: book.groups,
    location: book.locations,
    box: book.boxes,
    carrier: book.carriers,
    area: book.areas,
    pickup: book.pickups,
  };
  return nameIn(lists[kind] ?? [], id);
};

/** A finding in a plain sentence. */
export const problemSentence = (
  { code, where, detail, reach = '' }: Finding,
  compiled: CompiledBook,
): string => {
  const { book, goods, display } = compiled;
  const [first, ...others] = where;
  return WORDS[code]({
    a: ruleName(first, book, goods),
    b: listed(
      others.map((one) => ruleName(one, book, goods)),
      'and',
    ),
    reach,
    detail:
      detail.entry === undefined
        ? detail
        : { ...detail, entry: entryName(String(detail.entry), placeNames(display)) },
    money: (amount) => moneyFigure(Number(amount ?? 0), display.decimals),
    figure: (value) => measureFigure((detail.basis ?? 'weight') as Measure, Number(value ?? 0), display),
  });
};
