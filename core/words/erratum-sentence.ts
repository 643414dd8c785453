import type { Finding, FindingCode, Where } from '../audit/finding.ts';
import type { Book } from '../model/book.ts';
import type { Measure } from '../model/price.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureFigure, moneyFigure } from './figure.ts';

/** The rules that a finding is about, by name, and its figures as people read them. */
interface Told {
  /** The name of the first rule, of the second. */
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
};

const WORDS: Words = {
  'no-zone': ({ reach }) => `The shop sells to ${reach}, and no zone takes it: nothing can be bought there.`,
  'postal-not-served': ({ reach }) => `The shop sells to ${reach}, and the postal list does not serve it.`,
  'zone-without-rate': ({ a }) => `${a} has no rate that is switched on: nothing can be bought there.`,
  'goods-not-sent': ({ a, detail: { goods, count } }) =>
    `In ${a} nothing takes ${goods}${Number(count) > 3 ? ` and ${Number(count) - 3} more` : ''}, even one alone.`,
  'service-without-rate': ({ a, detail: { zones } }) =>
    `${a} has no rate in ${zones}: it is not offered there. Set a rate, or leave it out on purpose.`,
  'measure-gap': ({ a, b }) => `${a} has a gap that no other choice of ${b} fills.`,
  'withheld-by-adjustment': ({ a, b }) => `“${a}” leaves some orders of ${b} without any choice.`,
  'no-choice': ({ a, detail: { limit, place } }) =>
    place
      ? `The shop sells to ${place}; only ${a} might take orders there, and leaves some without a choice.`
      : limit
        ? `${limit}, nothing takes an order to ${a}.`
        : `Nothing takes some orders to ${a}.`,
  'only-in-parts': ({ reach, detail: { parts } }) =>
    `No one choice takes some baskets to ${reach}: they can be had only in parts, as ${parts}.`,
  'carrier-serves-nothing': ({ a, b }) =>
    `In ${a} some orders have no choice: ${b} serves nothing there, or does not answer, and there is nothing to fall back on.`,
  'free-fallback': ({ a }) => `${a} charges nothing where its carrier does not answer.`,
  'no-fallback': ({ a, b, detail: { account } }) =>
    `If ${account} does not answer, nothing is offered in ${a}: ${b} has no fallback.`,
  'fallback-below-usual': ({ a, detail: { fallback, usual }, money }) =>
    `The fallback of ${a}, ${money(fallback)}, is below what its carrier usually asks, ${money(usual)}.`,
  'sandbox-account': ({ a }) => `${a} prices rates from its sandbox: what customers are charged is made up.`,
  'room-above-weight': ({ a, detail: { dearer, asked } }) =>
    `${a} charges for the room they take, not their weight, for ${dearer} of ${asked} goods: smaller boxes would cost less.`,
  'fits-no-box': ({ a, detail: { plans } }) => `${a} goes into none of the boxes of ${plans}.`,
  'box-unused': ({ a }) => `No plan packs into ${a}.`,
  'free-price': ({ a }) => `${a} charges nothing, and no rule says that it is free.`,
  'free-by-adjustment': ({ a, b }) => `“${a}” takes the charge of ${b} down to nothing without saying free.`,
  'free-by-rounding': ({ b }) => `Rounding takes a small charge of ${b} down to nothing.`,
  'below-handling': ({ a }) => `${a} can charge less than its handling costs.`,
  'always-free': ({ a, detail: { price }, money }) =>
    `${a} is free for every order: its threshold is not above the cheapest good, ${money(price)}.`,
  'discount-meets-free': ({ a, b }) => `“${a}” takes money off ${b}, which can be free as well.`,
  'not-settled': ({ a }) =>
    `Whether every order of ${a} has a choice is not settled: no order without one was found, and nothing proves that there is none.`,
  'never-in-time': ({ a, detail: { method } }) =>
    `${method ? `${method} of ${a}` : a} is never offered: no time can be chosen, whenever an order is placed.`,
  'areas-contest': ({ detail: { entry, winner, loser } }) =>
    `${winner} and ${loser} both name ${entry}; ${winner} has it, for it is listed first.`,
  'area-covers-nothing': ({ a }) => `${a} names no postal code, so it covers nothing.`,
  'location-without-point': ({ a, b }) =>
    `${a} goes by distance, and the point of ${b} is not known: the distance never is.`,
  'price-falls': ({ a, detail: { at, by }, money, figure }) =>
    `${a} falls by ${money(by)} at ${figure(at)}, where more is sent.`,
  'step-never-acts': ({ a, detail: { from, why }, figure }) =>
    `The step of ${a} from ${figure(from)} never acts: ${STEP_WHY[String(why)] ?? ''}.`,
  'row-never-acts': ({ detail: { table, row } }) => `Row ${row} of ${table} never acts.`,
  'rows-overlap': ({ detail: { table, row, with: other } }) =>
    `Rows ${other} and ${row} of ${table} hold one value; the first stands.`,
  'table-gap': ({ detail: { table, row, from, to: end }, figure }) =>
    `${table} has no row from ${figure(from)} to ${figure(end)} for the place of row ${row}.`,
  'zone-never-decides': ({ a }) => `${a} takes no place: other zones take all that it names.`,
  'entry-never-decides': ({ detail: { entry, zone } }) =>
    `${entry} in ${zone} never decides: other entries take all its places.`,
  'zones-contest': ({ detail: { entry, winner, loser } }) =>
    `${winner} and ${loser} both name ${entry}; ${winner} has it, for it is listed first.`,
  'zone-off': ({ detail: { zone, rest } }) => `${zone} is switched off, and its customers fall to ${rest}.`,
  'wide-pattern': ({ detail: { entry, zone, other } }) =>
    `${entry} in ${zone} outranks the provinces or states that ${other} names.`,
  'adjustment-never-acts': ({ a, detail: { why } }) => `“${a}” never acts. ${why}`,
  'minimum-above-free': ({ a, detail: { min, freeFrom }, money }) =>
    `${a} never costs less than ${money(min)}, more than the ${money(freeFrom)} from which it is free.`,
  'minimum-decides': ({ a, detail: { min }, money }) =>
    `${a} always costs its least, ${money(min)}: no price of it is above that.`,
  'maximum-below-first': ({ a, detail: { max }, money }) =>
    `${a} always costs its greatest, ${money(max)}: every price of it is above that.`,
  'bounds-contradict': ({ a, detail: { min, max }, money }) =>
    `${a} is to cost at least ${money(min)} and at most ${money(max)}; the greatest stands.`,
  'limits-contradict': ({ a, detail: { measure } }) =>
    `The ${measure} limits of ${a} contradict themselves: no basket meets them.`,
  'weight-missing': ({ a }) => `${a} has no weight, and some rate needs it.`,
  'size-missing': ({ a }) => `${a} has no size, and some rate needs it.`,
  'figures-improbable': ({ a }) =>
    `The weight of ${a} does not go with its size: was a kilogram typed as a gram?`,
  'group-unused': ({ a }) => `No good is in the group ${a}.`,
  'location-unused': ({ a }) => `Nothing leaves from ${a}.`,
};

const nameIn = (list: readonly { id: string; name: string }[], id: string): string =>
  list.find((one) => one.id === id)?.name ?? id;

/** What a rule is called: a rate by its service and zone. */
export const ruleName = ({ kind, id: whole }: Where, book: Book, goods: CompiledBook['goods']): string => {
  if (kind === 'good') return goods.get(whole)?.name ?? whole;
  if (kind === 'store') return 'the store';
  if (kind === 'postal') return `the line ${whole.slice(whole.indexOf(':') + 1)} of the postal list`;
  const [id = ''] = whole.split(':');
  if (kind === 'rate') {
    const rate = book.rates.find((one) => one.id === id);
    return rate ? `${nameIn(book.services, rate.serviceId)} to ${nameIn(book.zones, rate.zoneId)}` : id;
  }
  const lists: Partial<Record<Where['kind'], readonly { id: string; name: string }[]>> = {
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
export const erratumSentence = (
  { code, where, detail, reach = '' }: Finding,
  compiled: CompiledBook,
): string => {
  const { book, goods, speech } = compiled;
  const [first, second] = where;
  return WORDS[code]({
    a: ruleName(first, book, goods),
    b: second ? ruleName(second, book, goods) : '',
    reach,
    detail,
    money: (amount) => moneyFigure(Number(amount ?? 0), speech.decimals),
    figure: (value) => measureFigure((detail.basis ?? 'weight') as Measure, Number(value ?? 0), speech),
  });
};
