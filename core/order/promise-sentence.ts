import type { Book } from '../model/book.ts';
import type { Quote } from '../model/quote.ts';
import type { CustomerWords } from '../words/customer/customer-words.ts';
import { obstacles } from './obstacles.ts';

type Choice = Quote['choices'][number];

/** By when a choice is there at the latest, or can be where a time is chosen; null where that is not set. */
const latestOf = ({ arrives, slots }: Choice): string | null => {
  const [first] = slots ?? [];
  if (first) return first.start.slice(0, 10);
  return arrives && !('words' in arrives) ? arrives.latest : null;
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

/** What a choice costs, as the messages ask for it. */
const costOf = ({ charge }: Choice, words: CustomerWords) => ({
  free: charge === 0 ? 'yes' : 'no',
  price: words.money(charge),
});

/** From when it can be collected somewhere, and for how much; '' where it cannot. */
const collectWords = (points: readonly Choice[], today: string, words: CustomerWords): string => {
  const cheapest = cheapestOf(points);
  if (!cheapest) return '';
  const from = cheapest.slots?.[0]?.start ?? cheapest.ready;
  return words.say('promise.collect', {
    when: from === undefined ? 'open' : 'dated',
    day: from === undefined ? '' : words.spokenDay(from.slice(0, 10), today),
    ...costOf(cheapest, words),
  });
};

/** Whether some choice can be paid at the door. */
const canPayAtDoor = ({ choices }: Quote, { payments }: Pick<Book, 'payments'>): boolean => {
  const atDoor = new Set(payments.filter(({ kind }) => kind === 'on-delivery').map(({ id }) => id));
  return choices.some(({ payments: ids }) => ids.some((id) => atDoor.has(id)));
};

/**
 * In one sentence whether goods reach a customer, by when and for how much at the least, for how much sooner,
 * and whether they can be paid at the door: 'Reaches you by Friday for 8.50, sooner for 14.50; you can pay at the
 * door.' Where nothing is offered, why.
 */
export const promiseSentence = (
  quoted: Quote,
  book: Pick<Book, 'payments'>,
  today: string,
  words: CustomerWords,
): string => {
  const brought = quoted.choices.filter(({ kind }) => kind !== 'pickup');
  const cheapest = cheapestOf(brought);
  if (quoted.choices.length === 0) {
    const [first] = obstacles(quoted, words);
    return first ? [first.why, first.help].filter(Boolean).join(' ') : words.say('promise.none');
  }
  const collect = collectWords(
    quoted.choices.filter(({ kind }) => kind === 'pickup'),
    today,
    words,
  );
  if (!cheapest) return `${collect.charAt(0).toUpperCase()}${collect.slice(1)}.`;
  const latest = latestOf(cheapest);
  const sooner = latest === null ? undefined : soonerThan(brought, latest);
  return [
    words.say('promise.reaches', {
      when: latest === null ? 'open' : 'dated',
      day: latest === null ? '' : words.spokenDay(latest, today),
      ...costOf(cheapest, words),
    }),
    sooner ? words.say('promise.sooner', costOf(sooner, words)) : '',
    canPayAtDoor(quoted, book) ? words.say('promise.at-door') : '',
    collect === '' ? '' : words.say('promise.and-collect', { collect }),
    '.',
  ].join('');
};
