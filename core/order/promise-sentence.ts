import type { Book } from '../model/book.ts';
import type { Quote } from '../model/quote.ts';
import { obstacles } from './obstacles.ts';
import { dateOf, dayOf, weekdayOf } from '../time/calendar.ts';
import { moneyFigure, type DisplayFormat } from '../words/figure.ts';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
);

/** A date as a customer says it: today, tomorrow, the day of the week within six days, else day and month. */
export const spokenDate = (date: string, today: string): string => {
  const ahead = dayOf(date) - dayOf(today);
  if (ahead === 0) return 'today';
  if (ahead === 1) return 'tomorrow';
  if (ahead > 1 && ahead < 7) return DAYS[weekdayOf(dayOf(date)) - 1] ?? date;
  const [, month = 1, day = 1] = dateOf(dayOf(date)).split('-').map(Number);
  return `${day} ${MONTHS[month - 1] ?? ''}`;
};

type Choice = Quote['choices'][number];

/** By when a choice is there at the latest, or can be where a time is chosen; null where that is not set. */
const latestOf = ({ arrives, slots }: Choice): string | null => {
  const [first] = slots ?? [];
  if (first) return first.start.slice(0, 10);
  return arrives && !('words' in arrives) ? arrives.latest : null;
};

/** From when it can be collected somewhere, and for how much; '' where it cannot. */
const collectWords = (
  points: readonly Choice[],
  today: string,
  price: (choice: Choice) => string,
): string => {
  const cheapest = cheapestOf(points);
  if (!cheapest) return '';
  const from = cheapest.slots?.[0]?.start ?? cheapest.ready;
  const day = from === undefined ? '' : ` from ${spokenDate(from.slice(0, 10), today)}`;
  return `you can collect it${day} ${price(cheapest)}`;
};

/** The cheapest choice; of equals the one that is there first. */
const cheapestOf = ([first, ...more]: readonly Choice[]): Choice | undefined =>
  more.reduce((best, choice) => {
    if (best === undefined || choice.charge !== best.charge)
      return best && best.charge < choice.charge ? best : choice;
    return (latestOf(choice) ?? '9999') < (latestOf(best) ?? '9999') ? choice : best;
  }, first);

/** The cheapest of the choices that are there before a date. */
const soonerThan = (choices: readonly Choice[], latest: string): Choice | undefined =>
  cheapestOf(choices.filter((choice) => (latestOf(choice) ?? latest) < latest));

/**
 * In one sentence whether goods reach a customer, by when and for how much at the least, for how much sooner,
 * and whether they can be paid at the door: 'Reaches you by Friday for 8.50, sooner for 14.50; you can pay at the
 * door.' Where nothing is offered, why.
 */
export const promiseSentence = (
  quoted: Quote,
  { payments }: Pick<Book, 'payments'>,
  today: string,
  display: DisplayFormat,
): string => {
  const points = quoted.choices.filter(({ kind }) => kind === 'pickup');
  const brought = quoted.choices.filter(({ kind }) => kind !== 'pickup');
  const cheapest = cheapestOf(brought);
  if (quoted.choices.length === 0) {
    const [first] = obstacles(quoted, display);
    return first ? [first.why, first.help].filter(Boolean).join(' ') : 'We cannot send this to you.';
  }
  const price = ({ charge }: Choice): string =>
    charge === 0 ? 'free' : `for ${moneyFigure(charge, display.decimals)}`;
  const collected = collectWords(points, today, price);
  if (!cheapest) return `${collected.charAt(0).toUpperCase()}${collected.slice(1)}.`;
  const latest = latestOf(cheapest);
  const reaches = latest === null ? 'We bring it to you' : `Reaches you by ${spokenDate(latest, today)}`;
  const sooner = latest === null ? undefined : soonerThan(brought, latest);
  const atDoor = new Set(payments.filter(({ kind }) => kind === 'on-delivery').map(({ id }) => id));
  const canPay = quoted.choices.some(({ payments: ids }) => ids.some((id) => atDoor.has(id)));
  return [
    `${reaches} ${price(cheapest)}`,
    sooner ? `, sooner ${price(sooner)}` : '',
    canPay ? '; you can pay at the door' : '',
    collected === '' ? '' : `; ${collected}`,
    '.',
  ].join('');
};
