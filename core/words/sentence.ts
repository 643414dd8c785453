import type { CarrierFailure } from '../model/carrier.ts';
import {
  countFigure,
  distanceFigure,
  measureFigure,
  moneyFigure,
  percentFigure,
  sizeFigure,
  weightFigure,
  type MeasureName,
  type DisplayFormat,
} from './figure.ts';
import { momentFigure } from './moment-figure.ts';
import type { Message, MessageCode } from './message.ts';
import { placePhrase } from './place-phrase.ts';

const MEASURES: Record<MeasureName, string> = {
  weight: 'Weight',
  subtotal: 'Subtotal',
  units: 'Basket',
  volume: 'Volume',
  distance: 'Distance',
  longestSide: 'Longest side',
};

const FAILURES: Record<CarrierFailure, string> = {
  unreachable: 'could not be reached',
  'timed-out': 'did not answer in time',
  refused: 'refused the question',
  malformed: 'answered what cannot be read',
};

type Words = { [C in MessageCode]: (say: Extract<Message, { code: C }>, display: DisplayFormat) => string };

const list = (names: readonly string[]): string =>
  names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', ');

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
  const size = `${each.count === 'started' ? 'started ' : ''}${measureFigure(measure, each.size, display)}`;
  return `; ${above} above it at ${moneyFigure(each.amount, display.decimals)} for each ${size}: ${moneyFigure(added, display.decimals)}`;
};

const tableRow: Words['table-row'] = (say, display) => {
  const { table, row, measure, from, to, place, amount } = say;
  const start = measureFigure(measure, from, display);
  const range =
    to === undefined ? `from ${start}` : `${start} to less than ${measureFigure(measure, to, display)}`;
  return `${table}, row ${row}, ${place}, ${range}: ${moneyFigure(amount, display.decimals)}${aboveIt(say, display)}`;
};

const tier: Words['tier'] = (say, display) => {
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const start = `${measured(say.measure, say.value, display)}, from ${measureFigure(say.measure, say.from, display)}: ${money(say.amount)}`;
  const each = aboveIt(say, display);
  const percent =
    say.percent === undefined ? '' : `; ${percentFigure(say.percent)} of the subtotal: ${money(say.share)}`;
  return start + each + percent;
};

const handling: Words['handling'] = (say, display) => {
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const name = say.whose === 'rate' ? 'Handling' : 'The store’s handling';
  const share = say.points > 0 ? `${percentFigure(say.points)} of ${money(say.of)}: ${money(say.share)}` : '';
  const counted =
    say.per === 'order'
      ? `${money(say.amount)} an order`
      : `${countFigure(say.count, say.per)} at ${money(say.amount)}`;
  const amount = say.amount > 0 && say.count > 0 ? counted : '';
  return `${name}, ${[share, amount].filter(Boolean).join(', and ')}`;
};

const adjusted: Words['adjusted'] = ({ name, effect, change, count, of }, { decimals }) => {
  const money = (amount: number): string => moneyFigure(Math.abs(amount), decimals);
  const way = change < 0 ? ' off' : ' more';
  switch (effect.do) {
    case 'free':
      return `${name}: free`;
    case 'set':
      return `${name}: set to ${money(effect.amount)}`;
    case 'bounds':
      return change === 0
        ? `${name}: within its bounds`
        : `${name}: ${change > 0 ? `raised to ${money(effect.min ?? 0)}` : `cut to ${money(effect.max ?? 0)}`}`;
    case 'percent':
      return `${name}: ${percentFigure(Math.abs(effect.points))} of ${effect.of === 'charge' ? '' : 'the subtotal '}${moneyFigure(of, decimals)}${effect.points < 0 ? ' off' : ' more'}`;
    case 'add':
      return effect.per === 'order'
        ? `${name}: ${money(change)}${way}`
        : `${name}: ${countFigure(count, effect.per)} at ${money(effect.amount)}${effect.amount < 0 ? ' off' : ''}`;
    default:
      return name;
  }
};

const BARRIERS: Record<Extract<Message, { code: 'goods-not-allowed' }>['by'], (to: string) => string> = {
  service: (to) => `are not carried by ${to}`,
  zone: (to) => `do not go to ${to}`,
  delivery: () => 'are not delivered locally',
  pickup: () => 'cannot be collected',
};

const outsideArea: Words['outside-area'] = ({ area, beyond, instead, pointless }, { units }) => {
  if (instead !== null) return `${instead} takes this address, not ${area}.`;
  if (pointless) return `Whether the address is inside ${area} is not known: it has no point on the map.`;
  return beyond === null
    ? `The address is outside ${area}.`
    : `The address is outside ${area}, ${distanceFigure(beyond, units)} past its edge.`;
};

const WORDS: Words = {
  adjusted,
  'table-row': tableRow,
  'no-table-row': ({ table, measure, value, place }, display) =>
    place === null
      ? `${table} has no row for this place.`
      : `${table} has no row for ${placePhrase(place, display)} and ${measureFigure(measure, value, display)}.`,
  'postal-not-served': ({ place, line }, display) =>
    line === null
      ? `${placePhrase(place, display)} is not on the postal list, and codes not listed are not served.`
      : `The postal list does not serve ${placePhrase(place, display)}, by its line ${line}.`,
  adjustment: ({ name, message }) =>
    message === '' ? `Withheld by “${name}”.` : `Withheld by “${name}”: ${message}`,
  'carrier-price': ({ account, service, amount, sandbox }, { decimals }) =>
    `${account}${sandbox ? ', sandbox' : ''}, ${service}: ${moneyFigure(amount, decimals)}`,
  'carrier-points': ({ points, of }, { decimals }) =>
    `${percentFigure(Math.abs(points))} of ${moneyFigure(of, decimals)} ${points < 0 ? 'off' : 'more'}`,
  'carrier-amount': ({ amount }, { decimals }) =>
    `${moneyFigure(Math.abs(amount), decimals)} ${amount < 0 ? 'off' : 'more'}`,
  'carrier-override': ({ asked, amount }, { decimals }) =>
    `Price set to ${moneyFigure(amount, decimals)}, whatever the carrier asks (${moneyFigure(asked, decimals)})`,
  fallback: ({ why, account, amount, per, count }, { decimals }) => {
    const reason = why === 'error' ? `${account} gave no answer` : `${account} offers none of the services`;
    const times = per === 'parcel' ? `${countFigure(count, 'parcel')} at ` : '';
    return `Fallback, as ${reason}: ${times}${moneyFigure(amount, decimals)}`;
  },
  'carrier-error': ({ account, error, text }) =>
    `${account} ${FAILURES[error]}${text === '' ? '.' : `: ${text}`}`,
  'carrier-none': ({ account, services }) => `${account} does not offer ${list(services)} for this order.`,
  'duty-unknown': ({ country, goods }, display) =>
    `The import charges in ${placePhrase(country, display)} are not known for ${list(goods)}, so they cannot be prepaid.`,
  'fallback-used': ({ services }) => `Charged by the fallback, not by the carrier: ${list(services)}.`,
  'sandbox-rates': ({ accounts }) => `Sandbox prices, for trying out only: ${list(accounts)}.`,
  'prices-exclude-duty': ({ country }, display) =>
    `Import charges in ${placePhrase(country, display)} are not part of these charges; they are paid on arrival.`,
  'distance-unknown': () =>
    'The distance is not known: the location and the address both need a point on the map.',
  'not-below-zero': () => 'A charge is never below 0',
  flat: ({ amount }, { decimals }) =>
    amount === 0
      ? `Price set to ${moneyFigure(0, decimals)}`
      : `Flat price: ${moneyFigure(amount, decimals)}`,
  'flat-count': ({ per, count, amount, first }, { decimals }) => {
    const money = (sum: number): string => moneyFigure(sum, decimals);
    if (first === undefined) return `${countFigure(count, per)} at ${money(amount)}`;
    const more = count > 1 ? `, ${count - 1} more at ${money(amount)}` : '';
    return `First ${per}: ${money(first)}${more}`;
  },
  'percent-price': ({ points, subtotal, min, max }, { decimals }) => {
    const money = (sum: number): string => moneyFigure(sum, decimals);
    const least = min === undefined ? '' : `, at least ${money(min)}`;
    const most = max === undefined ? '' : `, at most ${money(max)}`;
    return `${percentFigure(points)} of the subtotal ${money(subtotal)}${least}${most}`;
  },
  'good-price': ({ good, per, count, each, own }, { decimals }) => {
    const whose = own ? 'its own price' : 'the price of other products';
    const times = per === 'unit' && count > 1 ? `${count} at ` : '';
    return `${good}, ${whose}: ${times}${moneyFigure(each, decimals)}`;
  },
  'parcels-tier': ({ count, tier: each }, display) =>
    `${count === 1 ? 'A parcel' : `${count} parcels alike, each`}: ${tier(each, display)}`,
  'goes-free': () => 'All products shipped here ship free',
  'nothing-travels': () => 'Nothing in the basket is shipped, so nothing is charged',
  tier,
  'once-fee': ({ good, amount }, { decimals }) =>
    `${good}, extra fee per order line: ${moneyFigure(amount, decimals)}`,
  handling,
  'free-reached': ({ subtotal, from }, { decimals }) =>
    `Subtotal ${moneyFigure(subtotal, decimals)} reaches ${moneyFigure(from, decimals)}: free`,
  rounded: ({ to, mode }, { decimals }) =>
    `Rounded ${mode === 'up' ? 'up ' : ''}to the ${mode === 'up' ? 'next' : 'nearest'} ${moneyFigure(to, decimals)}`,
  raised: ({ min }, { decimals }) => `Raised to the minimum charge, ${moneyFigure(min, decimals)}`,
  cut: ({ max }, { decimals }) => `Cut to the maximum charge, ${moneyFigure(max, decimals)}`,
  'store-paused': ({ message }) =>
    message === '' ? 'The store is paused on that day.' : `The store is paused on that day: ${message}`,
  'address-needed': () => 'Needs to know where the order goes.',
  'not-sold-there': ({ place }, display) => `The shop does not sell to ${placePhrase(place, display)}.`,
  'no-zone': ({ place }, display) => `No zone takes ${placePhrase(place, display)}.`,
  'no-rate': ({ service, zone, meant }) =>
    meant ? `${service} is deliberately not offered in ${zone}.` : `${service} has no rate in ${zone}.`,
  'rate-off': ({ service, zone }) => `${service} in ${zone} is switched off.`,
  channel: ({ channel, channels }) =>
    `Offered only on ${list(channels)}; the order comes ${channel === null ? 'from no channel' : `from ${channel}`}.`,
  'below-limit': ({ measure, value, limit }, display) =>
    `${measured(measure, value, display)} is below the minimum of ${measureFigure(measure, limit, display)}.`,
  'above-limit': ({ measure, value, limit }, display) =>
    `${measured(measure, value, display)} is above the maximum of ${measureFigure(measure, limit, display)}.`,
  'below-first-step': ({ measure, value, first }, display) =>
    `${measured(measure, value, display)} is below the first step, ${measureFigure(measure, first, display)}.`,
  'above-last-step': ({ measure, value, until }, display) =>
    `${measured(measure, value, display)}: the steps end before ${measureFigure(measure, until, display)}.`,
  'weight-unknown': ({ goods }) => `The weight of ${list(goods)} is not known.`,
  'size-unknown': ({ goods }) => `The size of ${list(goods)} is not known.`,
  'goods-not-allowed': (say) => `${say.group} ${BARRIERS[say.by](say.to)}: ${list(say.goods)}.`,
  method: ({ method, amount }, { decimals }) => `By ${method}: ${moneyFigure(amount, decimals)} more`,
  'service-fee': ({ name, amount }, { decimals }) => `${name}: ${moneyFigure(amount, decimals)}`,
  'area-free': ({ subtotal, from, taken, left }, { decimals }) =>
    `Subtotal ${moneyFigure(subtotal, decimals)} reaches ${moneyFigure(from, decimals)}: ${
      left === 0 ? 'the delivery is free' : `${moneyFigure(taken, decimals)} for the delivery taken off`
    }`,
  'pickup-charge': ({ amount }, { decimals }) =>
    amount === 0 ? 'Collecting is free' : `For collecting: ${moneyFigure(amount, decimals)}`,
  'area-off': ({ area }) => `Deliveries in ${area} are switched off.`,
  'area-by-carrier': ({ area }) =>
    `${area} is priced by a carrier, and a carrier does not price local delivery.`,
  'pickup-off': ({ point }) => `${point} is switched off.`,
  'outside-area': outsideArea,
  'below-minimum': ({ subtotal, least }, { decimals }) =>
    `Minimum order ${moneyFigure(least, decimals)}; ${moneyFigure(least - subtotal, decimals)} is missing.`,
  'too-far': ({ distance, most }, { units }) =>
    `For customers up to ${distanceFigure(most, units)} away; this address is ${distanceFigure(distance, units)} away.`,
  'no-time-left': ({ next }) =>
    next === null
      ? 'No time is left to choose, now or later.'
      : `No time is left to choose; the next would be ${momentFigure(next)}.`,
  'does-not-pack': ({ good, weight, most }, { units }) =>
    `${good} weighs ${weightFigure(weight, units)}; a parcel may weigh ${weightFigure(most, units)}.`,
  'fits-no-box': ({ good, size, weight }, { units }) =>
    `${good}, ${sizeFigure(size, units)} and ${weightFigure(weight, units)}, goes into none of the boxes.`,
  'price-unknown': ({ goods }) => `No price for sending: ${list(goods)}.`,
  'weight-assumed': ({ weight, goods }, { units }) =>
    `Weight assumed to be ${weightFigure(weight, units)} each: ${list(goods)}.`,
};

/** Every code that has words, for the test that none lacks them. */
export const spokenCodes = Object.keys(WORDS) as MessageCode[];

/** A plain English sentence for a code and its figures. */
export const sentence = (say: Message, display: DisplayFormat): string =>
  (WORDS[say.code] as (say: Message, display: DisplayFormat) => string)(say, display);
