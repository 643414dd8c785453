import type { Book } from '../model/book.ts';
import type { Quote } from '../model/quote.ts';
import { obstacles } from '../order/obstacles.ts';
import { dateOf, dayOf, weekdayOf } from '../time/calendar.ts';
import { moneyFigure, type Speech } from './figure.ts';

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

const soonestLatest = ({ choices }: Quote): string | null =>
  choices.reduce<string | null>((soonest, { arrives }) => {
    if (!arrives || 'words' in arrives) return soonest;
    return soonest === null || arrives.latest < soonest ? arrives.latest : soonest;
  }, null);

const cheapest = ({ choices }: Quote): number => Math.min(...choices.map(({ charge }) => charge));

/**
 * In one sentence whether goods reach a customer, by when, for how much and whether they can be paid at the
 * door: 'Reaches you by Friday, from 8.50; you can pay at the door.' Where nothing is offered, why.
 */
export const promiseSentence = (
  quoted: Quote,
  { payments }: Pick<Book, 'payments'>,
  today: string,
  speech: Speech,
): string => {
  if (quoted.choices.length === 0) {
    const [first] = obstacles(quoted, speech);
    return first ? [first.why, first.help].filter(Boolean).join(' ') : 'We cannot send this to you.';
  }
  const latest = soonestLatest(quoted);
  const least = cheapest(quoted);
  const price = least === 0 ? 'free' : `from ${moneyFigure(least, speech.decimals)}`;
  const reaches = latest === null ? 'We bring it to you' : `Reaches you by ${spokenDate(latest, today)}`;
  const atDoor = new Set(payments.filter(({ kind }) => kind === 'on-delivery').map(({ id }) => id));
  const canPay = quoted.choices.some(({ payments: ids }) => ids.some((id) => atDoor.has(id)));
  return `${reaches}, ${price}${canPay ? '; you can pay at the door' : ''}.`;
};
