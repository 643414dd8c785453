import { inQuotes } from '../words/in-quotes.ts';
import { t } from '../translate/translate.ts';
import { labelled } from '../words/labelled.ts';
import type { Finding, FindingCode, RuleRef } from './finding.ts';
import type { Book } from '../model/book.ts';
import type { Measure } from '../model/price.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { countryOfPattern, entryName, type PlaceNames } from '../place/region-phrase.ts';
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
  again: t('another step begins there'),
  until: t('the steps end before it'),
  limit: t('the rate’s limit ends before it'),
  least: t('the rate’s limit begins after it'),
  free: t('the rate is free from there'),
};

/** When and for whom it holds, where that is not always. */
const when = ({ detail }: Told): string =>
  detail.when ? t(' when {circumstances}', { circumstances: String(detail.when) }) : '';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Who cannot be bought where, as far as it holds for each good in each place. */
const stopped = (told: Told): string => {
  const { goods, places, each, one } = told.detail;
  const who = `${goods ? goods : told.a}${one ? t(', one alone,') : ''}`;
  return each
    ? t('{who} cannot be bought in {places}{when}', { who, places, when: when(told) })
    : t('{who} cannot be bought in some places of {places}{when}', { who, places, when: when(told) });
};

const groupRule = ({ a, detail: { rule, goods } }: Told): string => {
  if (!rule) return t('products in {a} may not go there', { a });
  return goods === a ? t('they are {rule}', { rule }) : t('products in {a} are {rule}', { a, rule });
};

/** A rule, or the method of it that is meant. */
const methodOf = ({ a, detail: { method } }: Told): string =>
  method ? t('{method} of {a}', { method, a }) : a;

const WORDS: Words = {
  'no-zone': ({ detail: { places } }) =>
    t('No zone takes {places}, although the shop sells there: nothing can be bought.', { places }),
  'postal-not-served': ({ detail: { places } }) =>
    t('The postal list does not serve {places}, although the shop sells there.', { places }),
  'zone-without-rate': ({ a }) =>
    t('{a} has no rate that is switched on: nothing can be bought there.', { a }),
  'goods-not-sent': (told) => t('{stopped}: more than one rule keeps them out.', { stopped: stopped(told) }),
  'group-not-sent': (told) =>
    told.detail.goods
      ? `${labelled(stopped(told), groupRule(told))}.`
      : t('Some orders with products in {a} cannot be bought in {places}: {groupRule}.', {
          a: told.a,
          places: told.detail.places,
          groupRule: groupRule(told),
        }),
  'service-without-rate': ({ a, detail: { zones } }) =>
    t('{a} has no rate in {zones}: it is not offered there. Set a rate, or leave it out on purpose.', {
      a,
      zones,
    }),
  'zone-not-sold': ({ a }) => t('The shop sells to no place of {a}: its rates are never used.', { a }),
  'rows-elsewhere': ({ a, detail: { rows, of } }) =>
    t('{rows} of the {all} rows of {a} are for places that no zone using it takes.', {
      rows,
      all: of,
      a,
    }),
  'free-out-of-reach': ({ a, detail: { freeFrom, max }, money }) =>
    t('{a} is never free: it takes orders up to {amount}, and is free from {amount2}.', {
      a,
      amount: money(max),
      amount2: money(freeFrom),
    }),
  'takes-no-good': (told) =>
    t('{method} takes no product: each one alone is above its limit of {limit}.', {
      method: methodOf(told),
      limit: told.detail.limit,
    }),
  'measure-gap': (told) =>
    told.detail.goods
      ? t('{stopped}: {a} has no price for that.', { stopped: stopped(told), a: told.a })
      : t('{a} has a gap in its price that no other choice in {places} covers.', {
          a: told.a,
          places: told.detail.places,
        }),
  'withheld-by-adjustment': (told) =>
    told.detail.goods
      ? `${labelled(inQuotes(String(told.a)), stopped(told))}.`
      : t('“{a}” leaves some orders of {places} without any choice{when}.', {
          a: told.a,
          places: told.detail.places,
          when: when(told),
        }),
  'no-choice': (told) => {
    const { goods, limit, limited, places, delivered } = told.detail;
    if (goods)
      return `${labelled(stopped(told), `${told.a} ${limit ? t('takes nothing {limit}', { limit }) : t('does not take that')}`)}.`;
    return limited
      ? t('{capital}, nothing can be bought in {places}{when}: {a} ends there.', {
          capital: capital(String(limit)),
          places,
          when: when(told),
          a: told.a,
        })
      : limit
        ? delivered
          ? t('Some orders {limit} cannot be delivered in {places}, and nothing else takes them.', {
              limit,
              places,
            })
          : t('Some orders {limit} cannot be bought in {places}{when}: {a} ends there.', {
              limit,
              places,
              when: when(told),
              a: told.a,
            })
        : t('Some orders cannot be bought in {places}{when}: {a} does not take them.', {
            places,
            when: when(told),
            a: told.a,
          });
  },
  'only-in-parts': ({ a, detail: { parts, places } }) =>
    t('Some baskets of {a} to {places} fit no single choice: they can only be bought in parts, as {parts}.', {
      a,
      places,
      parts,
    }),
  'carrier-serves-nothing': (told) =>
    t('{orders}: {a} offers nothing there or does not answer, and there is no fallback.', {
      orders: told.detail.goods
        ? stopped(told)
        : t('Some orders to {places} have no choice{when}', { places: told.detail.places, when: when(told) }),
      a: told.a,
    }),
  'free-fallback': ({ a }) => t('{a} charges nothing where its carrier does not answer.', { a }),
  'no-fallback': ({ a, b, detail: { account } }) =>
    t('If {account} does not answer, nothing is offered in {a}: {b} has no fallback.', { account, a, b }),
  'fallback-below-usual': ({ a, detail: { fallback, usual }, money }) =>
    t('The fallback of {a}, {amount}, is below what its carrier usually asks, {amount2}.', {
      a,
      amount: money(fallback),
      amount2: money(usual),
    }),
  'sandbox-account': ({ a }) =>
    t('{a} prices rates from its sandbox: what customers are charged is made up.', { a }),
  'room-above-weight': ({ a, detail: { dearer, asked } }) =>
    t(
      '{a} charges by volume rather than by weight for {dearer} of {asked} products: smaller boxes would cost less.',
      { a, dearer, asked },
    ),
  'fits-no-box': ({ a, detail: { plans } }) => t('{a} goes into none of the boxes of {plans}.', { a, plans }),
  'box-unused': ({ a }) => t('No plan packs into {a}.', { a }),
  'free-price': ({ a }) => t('{a} charges nothing, although no rule makes it free.', { a }),
  'free-by-adjustment': ({ a, b }) =>
    t('“{a}” brings the charge of {b} down to 0 without making it free.', { a, b }),
  'free-by-rounding': ({ b }) => t('Rounding brings a small charge of {b} down to 0.', { b }),
  'below-handling': ({ a }) => t('{a} can charge less than its handling costs.', { a }),
  'always-free': ({ a, detail: { price }, money }) =>
    t('{a} is free for every order: its free threshold is not above the cheapest order, {amount}.', {
      a,
      amount: money(price),
    }),
  'discount-meets-free': ({ a, b }) => t('“{a}” takes money off {b}, which can be free as well.', { a, b }),
  'not-settled': ({ a }) =>
    t(
      'It is not certain that every order of {a} has a choice: no order without one was found, but it could not be proved.',
      { a },
    ),
  'never-in-time': (told) =>
    t('{method} is never offered: no time can be chosen, whenever an order is placed.', {
      method: methodOf(told),
    }),
  'areas-contest': ({ detail: { entry, winner, loser } }) =>
    t('{winner} and {loser} both list {entry}; {winner} gets it, because it comes first.', {
      winner,
      loser,
      entry,
    }),
  'area-covers-nothing': ({ a }) => t('{a} has no postal codes, so it covers nothing.', { a }),
  'location-without-point': ({ a, b }) =>
    t('{a} goes by distance, but {b} has no point on the map: the distance is never known.', { a, b }),
  'price-falls': ({ a, detail: { at, by, row, more }, money, figure }) =>
    t('{a} costs {amount} less from {figure}{row}, although the order is larger{rows}.', {
      a,
      amount: money(by),
      figure: figure(at),
      row: row ? t(' in row {row}', { row }) : '',
      rows: more ? t(', and in {more} more {more, plural, one {row} other {rows}}', { more }) : '',
    }),
  'step-never-acts': ({ a, detail: { from, why, more }, figure }) =>
    more
      ? t('The step of {a} from {figure} and {more} more are never used: {why}.', {
          a,
          figure: figure(from),
          more,
          why: STEP_WHY[String(why)] ?? '',
        })
      : t('The step of {a} from {figure} is never used: {why}.', {
          a,
          figure: figure(from),
          why: STEP_WHY[String(why)] ?? '',
        }),
  'row-never-acts': ({ detail: { table, row } }) => t('Row {row} of {table} is never used.', { row, table }),
  'rows-overlap': ({ detail: { table, row, with: other } }) =>
    t('Rows {other} and {row} of {table} overlap; the first applies.', { other, row, table }),
  'table-gap': ({ detail: { table, row, from, to: end }, figure }) =>
    t('{table} has no row from {figure} to {figure2} for the place of row {row}.', {
      table,
      figure: figure(from),
      figure2: figure(end),
      row,
    }),
  'zone-never-decides': ({ a }) => t('{a} gets no orders: other zones take all its places.', { a }),
  'entry-never-decides': ({ detail: { entry, zone } }) =>
    t('{entry} in {zone} is never used: other entries take all its places.', { entry, zone }),
  'zones-contest': ({ detail: { entry, winner, loser } }) =>
    t('{winner} and {loser} both list {entry}; {winner} gets it, because it comes first.', {
      winner,
      loser,
      entry,
    }),
  'zone-off': ({ detail: { zone, rest } }) =>
    t('{zone} is switched off, and its customers go to {rest}.', { zone, rest }),
  'wide-pattern': ({ detail: { entry, zone, other } }) =>
    t('{entry} in {zone} takes precedence over the provinces or states of {other}.', { entry, zone, other }),
  'adjustment-never-acts': ({ a, detail: { why } }) => labelled(inQuotes(String(a)), lower(String(why))),
  'minimum-above-free': ({ a, detail: { min, freeFrom }, money }) =>
    t('{a} never costs less than {amount}, more than the {amount2} from which it is free.', {
      a,
      amount: money(min),
      amount2: money(freeFrom),
    }),
  'minimum-decides': ({ a, detail: { min }, money }) =>
    t('{a} always costs its minimum, {amount}: no price of it is higher.', { a, amount: money(min) }),
  'maximum-below-first': ({ a, detail: { max }, money }) =>
    t('{a} always costs its maximum, {amount}: every price of it is higher.', { a, amount: money(max) }),
  'bounds-contradict': ({ a, detail: { min, max }, money }) =>
    t('{a} has a minimum of {amount} and a maximum of {amount2}: the maximum applies.', {
      a,
      amount: money(min),
      amount2: money(max),
    }),
  'limits-contradict': (told) =>
    t('The {measure} limits of {method} contradict each other: no basket meets them.', {
      measure: told.detail.measure,
      method: methodOf(told),
    }),
  'weight-missing': (told) =>
    told.detail.places
      ? t('{stopped}: the weight is not known.', { stopped: stopped(told) })
      : t('{a} has no weight, and some rate needs it.', { a: told.a }),
  'size-missing': (told) =>
    told.detail.places
      ? t('{stopped}: the size is not known.', { stopped: stopped(told) })
      : t('{a} has no size, and some rate needs it.', { a: told.a }),
  'figures-improbable': ({ a }) =>
    t('The weight of {a} does not go with its size: was a kilogram typed as a gram?', { a }),
  'group-unused': ({ a }) => t('No product is in the group {a}.', { a }),
  'location-unused': ({ a }) => t('Nothing leaves from {a}.', { a }),
};

const nameIn = (list: readonly { id: string; name: string }[], id: string): string =>
  list.find((one) => one.id === id)?.name ?? id;

/** What a rule is called: a rate by its service and zone. */
export const ruleName = ({ kind, id: whole }: RuleRef, book: Book, goods: CompiledBook['goods']): string => {
  if (kind === 'good') return goods.get(whole)?.name ?? whole;
  if (kind === 'store') return t('the store');
  if (kind === 'postal')
    return t('the line {line} of the postal list', { line: whole.slice(whole.indexOf(':') + 1) });
  const [id = ''] = whole.split(':');
  if (kind === 'rate') {
    const rate = book.rates.find((one) => one.id === id);
    return rate
      ? t('{service} to {zone}', {
          service: nameIn(book.services, rate.serviceId),
          zone: nameIn(book.zones, rate.zoneId),
        })
      : id;
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

/** The entry of a zone's or an area's list, as it is read. */
const entryOf = (entry: string, { id }: RuleRef, { zones, areas }: Book, names: PlaceNames): string => {
  const [owner] = id.split(':');
  const listed = zones.find((zone) => zone.id === owner)?.includes ?? [];
  const covers = areas.find((area) => area.id === owner)?.covers;
  const country = covers?.kind === 'postal' ? covers.country : countryOfPattern(listed, entry);
  return entryName(entry, names, country);
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
        : { ...detail, entry: entryOf(String(detail.entry), first, book, placeNames(display)) },
    money: (amount) => moneyFigure(Number(amount ?? 0), display.decimals),
    figure: (value) => measureFigure((detail.basis ?? 'weight') as Measure, Number(value ?? 0), display),
  });
};
