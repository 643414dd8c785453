import { t } from '../translate/translate.ts';
import { labelled } from './labelled.ts';
import type { CarrierFailure } from '../model/carrier.ts';
import {
  distanceFigure,
  measureFigure,
  moneyFigure,
  percentFigure,
  sizeFigure,
  weightFigure,
  type MeasureName,
  type DisplayFormat,
} from './figure.ts';
import { adjustedWords, changeFigure, countOf, wayOf } from './change-words.ts';
import { momentFigure } from './moment-figure.ts';
import type { Message, MessageCode } from './message.ts';
import { placePhrase } from './place-phrase.ts';

const MEASURES: Record<MeasureName, string> = {
  weight: t('Weight'),
  subtotal: t('Subtotal'),
  units: t('Basket'),
  volume: t('Volume'),
  distance: t('Distance'),
  longestSide: t('Longest side'),
};

const FAILURES: Record<CarrierFailure, string> = {
  unreachable: t('could not be reached'),
  'timed-out': t('did not answer in time'),
  refused: t('refused the question'),
  malformed: t('answered what cannot be read'),
};

type Words = { [C in MessageCode]: (say: Extract<Message, { code: C }>, display: DisplayFormat) => string };

const list = (names: readonly string[]): string =>
  names.length > 3
    ? t('{list} and {count} more', { list: names.slice(0, 3).join(', '), count: names.length - 3 })
    : names.join(', ');

const measured = (measure: MeasureName, value: number, display: DisplayFormat): string =>
  `${MEASURES[measure]} ${measureFigure(measure, value, display)}`;

/** What is added for what lies above a step or a row's beginning. */
const aboveIt = (
  {
    each,
    measure,
    value,
    from,
    added,
  }: Pick<Extract<Message, { code: 'tier' }>, 'each' | 'measure' | 'value' | 'from' | 'added'>,
  display: DisplayFormat,
): string => {
  if (!each) return '';
  const above = measureFigure(measure, value - from, display);
  return t(
    '; {above} above it at {amount} for each {count, select, started {started } other {}}{size}: {added}',
    {
      above,
      amount: moneyFigure(each.amount, display.decimals),
      count: each.count,
      size: measureFigure(measure, each.size, display),
      added: moneyFigure(added, display.decimals),
    },
  );
};

const tableRow: Words['table-row'] = (say, display) => {
  const { table, row, measure, from, to, place, amount } = say;
  const start = measureFigure(measure, from, display);
  const range =
    to === undefined
      ? t('from {start}', { start })
      : t('{start} to less than {figure}', { start, figure: measureFigure(measure, to, display) });
  const charge = moneyFigure(amount, display.decimals);
  const line = t('{table}, row {row}, {place}, {range}: {charge}', { table, row, place, range, charge });
  return line + aboveIt(say, display);
};

const tier: Words['tier'] = (say, display) => {
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const start = t('{measured}, from {figure}: {amount}', {
    measured: measured(say.measure, say.value, display),
    figure: measureFigure(say.measure, say.from, display),
    amount: money(say.amount),
  });
  const each = aboveIt(say, display);
  const percent =
    say.percent === undefined
      ? ''
      : t('; {percent} of the subtotal: {amount}', {
          percent: percentFigure(say.percent),
          amount: money(say.share),
        });
  return start + each + percent;
};

const handling: Words['handling'] = (say, display) => {
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const name = say.whose === 'rate' ? t('Handling') : t('The store’s handling');
  const share =
    say.points > 0
      ? t('{percent} of {amount}: {share}', {
          percent: percentFigure(say.points),
          amount: money(say.of),
          share: money(say.share),
        })
      : '';
  const counted =
    say.per === 'order'
      ? t('{amount} an order', { amount: money(say.amount) })
      : t('{counted} at {amount}', { counted: countOf(say.count, say.per), amount: money(say.amount) });
  const amount = say.amount > 0 && say.count > 0 ? counted : '';
  return `${name}, ${[share, amount].filter(Boolean).join(t(', and '))}`;
};

const BARRIERS: Record<Extract<Message, { code: 'goods-not-allowed' }>['by'], (to: string) => string> = {
  service: (to) => t('are not carried by {to}', { to }),
  zone: (to) => t('do not go to {to}', { to }),
  delivery: () => t('are not delivered locally'),
  pickup: () => t('cannot be collected'),
};

const outsideArea: Words['outside-area'] = ({ area, beyond, instead, pointless }, { units }) => {
  if (instead !== null) return t('{instead} takes this address, not {area}.', { instead, area });
  if (pointless)
    return t('Whether the address is inside {area} is not known: it has no point on the map.', { area });
  return beyond === null
    ? t('The address is outside {area}.', { area })
    : t('The address is outside {area}, {distance} past its edge.', {
        area,
        distance: distanceFigure(beyond, units),
      });
};

const WORDS: Words = {
  adjusted: adjustedWords,
  'table-row': tableRow,
  'no-table-row': ({ table, measure, value, place }, display) =>
    place === null
      ? t('{table} has no row for this place.', { table })
      : t('{table} has no row for {place} and {figure}.', {
          table,
          place: placePhrase(place, display),
          figure: measureFigure(measure, value, display),
        }),
  'postal-not-served': ({ place, line }, display) =>
    line === null
      ? t('{place} is not on the postal list, and codes not listed are not served.', {
          place: placePhrase(place, display),
        })
      : t('The postal list does not serve {place}, by its line {line}.', {
          place: placePhrase(place, display),
          line,
        }),
  adjustment: ({ name, message }) =>
    message === ''
      ? t('Withheld by “{name}”.', { name })
      : t('Withheld by “{name}”: {message}', { name, message }),
  'carrier-price': ({ account, service, amount, sandbox }, { decimals }) =>
    t('{account}{sandbox, select, true {, sandbox} other {}}, {service}: {amount}', {
      account,
      sandbox: String(sandbox),
      service,
      amount: moneyFigure(amount, decimals),
    }),
  'carrier-points': ({ points, of }, { decimals }) =>
    t('{percent} of {amount} {way, select, off {off} other {more}}', {
      percent: percentFigure(Math.abs(points)),
      amount: moneyFigure(of, decimals),
      way: wayOf(points),
    }),
  'carrier-amount': ({ amount }, { decimals }) => changeFigure(amount, decimals),
  'carrier-override': ({ asked, amount }, { decimals }) =>
    t('Price set to {amount}, whatever the carrier asks ({asked})', {
      amount: moneyFigure(amount, decimals),
      asked: moneyFigure(asked, decimals),
    }),
  fallback: ({ why, account, amount, per, count }, { decimals }) => {
    const reason =
      why === 'error'
        ? t('{account} gave no answer', { account })
        : t('{account} offers none of the services', { account });
    const charge = moneyFigure(amount, decimals);
    return per === 'parcel'
      ? t('Fallback, as {reason}: {counted} at {charge}', { reason, counted: countOf(count, per), charge })
      : t('Fallback, as {reason}: {charge}', { reason, charge });
  },
  'carrier-error': ({ account, error, text }) =>
    `${account} ${FAILURES[error]}${text === '' ? '.' : `: ${text}`}`,
  'carrier-none': ({ account, services }) =>
    t('{account} does not offer {list} for this order.', { account, list: list(services) }),
  'duty-unknown': ({ country, goods }, display) =>
    t('The import charges in {place} are not known for {list}, so they cannot be prepaid.', {
      place: placePhrase(country, display),
      list: list(goods),
    }),
  'fallback-used': ({ services }) =>
    t('Charged by the fallback, not by the carrier: {list}.', { list: list(services) }),
  'sandbox-rates': ({ accounts }) =>
    t('Sandbox prices, for trying out only: {list}.', { list: list(accounts) }),
  'prices-exclude-duty': ({ country }, display) =>
    t('Import charges in {place} are not part of these charges; they are paid on arrival.', {
      place: placePhrase(country, display),
    }),
  'distance-unknown': () =>
    t('The distance is not known: the location and the address both need a point on the map.'),
  'not-below-zero': () => t('A charge is never below 0'),
  flat: ({ amount }, { decimals }) =>
    amount === 0
      ? t('Price set to {amount}', { amount: moneyFigure(0, decimals) })
      : t('Flat price: {amount}', { amount: moneyFigure(amount, decimals) }),
  'flat-count': ({ per, count, amount, first }, { decimals }) => {
    const money = (sum: number): string => moneyFigure(sum, decimals);
    if (first === undefined)
      return t('{counted} at {amount}', { counted: countOf(count, per), amount: money(amount) });
    const one = t('First {per, select, parcel {parcel} unit {unit} other {line}}: {amount}', {
      per,
      amount: money(first),
    });
    return count > 1
      ? t('{first}, {count} more at {amount}', { first: one, count: count - 1, amount: money(amount) })
      : one;
  },
  'percent-price': ({ points, subtotal, min, max }, { decimals }) => {
    const money = (sum: number): string => moneyFigure(sum, decimals);
    const least = min === undefined ? '' : t(', at least {amount}', { amount: money(min) });
    const most = max === undefined ? '' : t(', at most {amount}', { amount: money(max) });
    return t('{percent} of the subtotal {amount}{least}{most}', {
      percent: percentFigure(points),
      amount: money(subtotal),
      least,
      most,
    });
  },
  'good-price': ({ good, per, count, each, own }, { decimals }) => {
    const whose = own ? t('its own price') : t('the price of other products');
    const amount = moneyFigure(each, decimals);
    return per === 'unit' && count > 1
      ? t('{good}, {whose}: {count} at {amount}', { good, whose, count, amount })
      : `${good}, ${whose}: ${amount}`;
  },
  'parcels-tier': ({ count, tier: each }, display) =>
    labelled(count === 1 ? t('A parcel') : t('{count} parcels alike, each', { count }), tier(each, display)),
  'goes-free': () => t('All products shipped here ship free'),
  'nothing-travels': () => t('Nothing in the basket is shipped, so nothing is charged'),
  tier,
  'once-fee': ({ good, amount }, { decimals }) =>
    t('{good}, extra fee per order line: {amount}', { good, amount: moneyFigure(amount, decimals) }),
  handling,
  'free-reached': ({ subtotal, from }, { decimals }) =>
    t('Subtotal {amount} reaches {threshold}: free', {
      amount: moneyFigure(subtotal, decimals),
      threshold: moneyFigure(from, decimals),
    }),
  rounded: ({ to, mode }, { decimals }) =>
    mode === 'up'
      ? t('Rounded up to the next {amount}', { amount: moneyFigure(to, decimals) })
      : t('Rounded to the nearest {amount}', { amount: moneyFigure(to, decimals) }),
  raised: ({ min }, { decimals }) =>
    t('Raised to the minimum charge, {amount}', { amount: moneyFigure(min, decimals) }),
  cut: ({ max }, { decimals }) =>
    t('Cut to the maximum charge, {amount}', { amount: moneyFigure(max, decimals) }),
  'store-paused': ({ message }) =>
    message === ''
      ? t('The store is paused on that day.')
      : t('The store is paused on that day: {message}', { message }),
  'address-needed': () => t('Needs to know where the order goes.'),
  'not-sold-there': ({ place }, display) =>
    t('The shop does not sell to {place}.', { place: placePhrase(place, display) }),
  'no-zone': ({ place }, display) => t('No zone takes {place}.', { place: placePhrase(place, display) }),
  'no-rate': ({ service, zone, meant }) =>
    meant
      ? t('{service} is deliberately not offered in {zone}.', { service, zone })
      : t('{service} has no rate in {zone}.', { service, zone }),
  'rate-off': ({ service, zone }) => t('{service} in {zone} is switched off.', { service, zone }),
  channel: ({ channel, channels }) =>
    channel === null
      ? t('Offered only on {list}; the order comes from no channel.', { list: list(channels) })
      : t('Offered only on {list}; the order comes from {channel}.', { list: list(channels), channel }),
  'below-limit': ({ measure, value, limit }, display) =>
    t('{measured} is below the minimum of {figure}.', {
      measured: measured(measure, value, display),
      figure: measureFigure(measure, limit, display),
    }),
  'above-limit': ({ measure, value, limit }, display) =>
    t('{measured} is above the maximum of {figure}.', {
      measured: measured(measure, value, display),
      figure: measureFigure(measure, limit, display),
    }),
  'below-first-step': ({ measure, value, first }, display) =>
    t('{measured} is below the first step, {figure}.', {
      measured: measured(measure, value, display),
      figure: measureFigure(measure, first, display),
    }),
  'above-last-step': ({ measure, value, until }, display) =>
    t('{measured}: the steps end before {figure}.', {
      measured: measured(measure, value, display),
      figure: measureFigure(measure, until, display),
    }),
  'weight-unknown': ({ goods }) => t('The weight of {list} is not known.', { list: list(goods) }),
  'size-unknown': ({ goods }) => t('The size of {list} is not known.', { list: list(goods) }),
  'goods-not-allowed': (say) => `${say.group} ${BARRIERS[say.by](say.to)}: ${list(say.goods)}.`,
  method: ({ method, amount }, { decimals }) =>
    t('By {method}: {amount} more', { method, amount: moneyFigure(amount, decimals) }),
  'service-fee': ({ name, amount }, { decimals }) => labelled(name, moneyFigure(amount, decimals)),
  'area-free': ({ subtotal, from, taken, left }, { decimals }) => {
    const figures = { amount: moneyFigure(subtotal, decimals), threshold: moneyFigure(from, decimals) };
    return left === 0
      ? t('Subtotal {amount} reaches {threshold}: the delivery is free', figures)
      : t('Subtotal {amount} reaches {threshold}: {taken} for the delivery taken off', {
          ...figures,
          taken: moneyFigure(taken, decimals),
        });
  },
  'pickup-charge': ({ amount }, { decimals }) =>
    amount === 0
      ? t('Collecting is free')
      : t('For collecting: {amount}', { amount: moneyFigure(amount, decimals) }),
  'area-off': ({ area }) => t('Deliveries in {area} are switched off.', { area }),
  'area-by-carrier': ({ area }) =>
    t('{area} is priced by a carrier, and a carrier does not price local delivery.', { area }),
  'pickup-off': ({ point }) => t('{point} is switched off.', { point }),
  'outside-area': outsideArea,
  'below-minimum': ({ subtotal, least }, { decimals }) =>
    t('Minimum order {amount}; {amount2} is missing.', {
      amount: moneyFigure(least, decimals),
      amount2: moneyFigure(least - subtotal, decimals),
    }),
  'too-far': ({ distance, most }, { units }) =>
    t('For customers up to {distance} away; this address is {distance2} away.', {
      distance: distanceFigure(most, units),
      distance2: distanceFigure(distance, units),
    }),
  'no-time-left': ({ next }) =>
    next === null
      ? t('No time is left to choose, now or later.')
      : t('No time is left to choose; the next would be {moment}.', { moment: momentFigure(next) }),
  'does-not-pack': ({ good, weight, most }, { units }) =>
    t('{good} weighs {weight}; a parcel may weigh {weight2}.', {
      good,
      weight: weightFigure(weight, units),
      weight2: weightFigure(most, units),
    }),
  'fits-no-box': ({ good, size, weight }, { units }) =>
    t('{good}, {size} and {weight}, goes into none of the boxes.', {
      good,
      size: sizeFigure(size, units),
      weight: weightFigure(weight, units),
    }),
  'price-unknown': ({ goods }) => t('No price for sending: {list}.', { list: list(goods) }),
  'weight-assumed': ({ weight, goods }, { units }) =>
    t('Weight assumed to be {weight} each: {list}.', {
      weight: weightFigure(weight, units),
      list: list(goods),
    }),
};

/** Every code that has words, for the test that none lacks them. */
export const spokenCodes = Object.keys(WORDS) as MessageCode[];

/** A plain English sentence for a code and its figures. */
export const sentence = (say: Message, display: DisplayFormat): string =>
  (WORDS[say.code] as (say: Message, display: DisplayFormat) => string)(say, display);
