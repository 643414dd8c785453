import { t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import type { Came, Expectation, Outcome } from './check-test-order.ts';
import { moneyFigure, type DisplayFormat } from '../words/figure.ts';

/** What the ids of choices are called. */
export type ChoiceNames = ReadonlyMap<string, string>;

/** The name of every choice that a book can give: 'Parcel to Maritimes' for a rate, 'Parcel' for a service. */
export const choiceNames = ({ rates, services, zones, areas, pickups }: Book): ChoiceNames => {
  const nameOf = (list: readonly { id: string; name: string }[], id: string): string =>
    list.find((one) => one.id === id)?.name ?? id;
  const shipped = rates.flatMap(({ id, serviceId, zoneId, price }): [string, string][] => {
    const zone = nameOf(zones, zoneId);
    const offers = price.kind === 'carrier' ? price.services : [];
    return [
      [id, t('{service} to {zone}', { service: nameOf(services, serviceId), zone })],
      ...offers.map(({ code, label }): [string, string] => [
        `${id}:${code}`,
        t('{label} to {zone}', { label: label ?? code, zone }),
      ]),
    ];
  });
  return new Map([
    ...services.map(({ id, name }) => [id, name] as const),
    ...shipped,
    ...shipped.flatMap(([id, name]) =>
      (['DAP', 'DDP'] as const).map((terms) => [`${id}:${terms}`, `${name}, ${terms}`] as const),
    ),
    ...areas.flatMap((area) =>
      area.methods.map((way) => [`${area.id}:${way.id}`, `${area.name}, ${way.name}`] as const),
    ),
    ...pickups.map(({ id, name }) => [id, name] as const),
    ['nothing-to-ship', t('Nothing to ship')] as const,
  ]);
};

const KINDS = {
  shipping: t('shipped choices'),
  delivery: t('delivered choices'),
  pickup: t('pickup points'),
  'nothing-to-ship': t('choices with nothing to ship'),
} as const;

const countWords = ({ min, max }: Extract<Expectation, { kind: 'how-many' }>): string => {
  if (max === 0) return 'no';
  if (min !== undefined && min === max) return String(min);
  if (min !== undefined && max !== undefined) return t('{least} to {most}', { least: min, most: max });
  if (max !== undefined) return t('at most {most}', { most: max });
  return min === undefined ? t('any number of') : t('at least {least}', { least: min });
};

/** What a test order expects, in a sentence without its full stop. */
export const expectationWords = (
  expects: Expectation,
  names: ChoiceNames,
  { decimals }: DisplayFormat,
): string => {
  const name = (id: string): string => names.get(id) ?? id;
  const money = (amount: number): string => moneyFigure(amount, decimals);
  switch (expects.kind) {
    case 'offered': {
      const { charge, choiceId } = expects;
      if (charge === undefined) return t('{choice} is offered', { choice: name(choiceId) });
      return typeof charge === 'number'
        ? t('{choice} costs {amount}', { choice: name(choiceId), amount: money(charge) })
        : t('{choice} costs {least} to {most}', {
            choice: name(choiceId),
            least: money(charge.min),
            most: money(charge.max),
          });
    }
    case 'withheld':
      return t('{choice} is withheld{reason}', {
        choice: name(expects.id),
        reason: expects.code === undefined ? '' : ` (${expects.code})`,
      });
    case 'how-many':
      return `${countWords(expects)} ${KINDS[expects.of]}`;
    case 'cheapest':
      return t('{choice} is the cheapest', { choice: name(expects.choiceId) });
  }
};

const cameWords = (came: Came, { decimals }: DisplayFormat): string => {
  switch (came.kind) {
    case 'charge':
      return t('costs {amount}', { amount: moneyFigure(came.charge, decimals) });
    case 'offered':
      return t('offered for {amount}', { amount: moneyFigure(came.charge, decimals) });
    case 'withheld':
      return t('withheld: {reason}', { reason: came.text });
    case 'absent':
      return t('the book has no such choice here');
    case 'count':
      return t('{count} came', { count: came.count });
    case 'cheapest':
      return t('{choice} is cheaper, {amount}', {
        choice: came.name,
        amount: moneyFigure(came.charge, decimals),
      });
    case 'no-choice':
      return t('no choice at all');
  }
};

/** A broken expectation: what was expected, and what came. */
export const outcomeSentence = (
  { expects, came }: Outcome,
  names: ChoiceNames,
  display: DisplayFormat,
): string => {
  const wanted = expectationWords(expects, names, display);
  return came === null
    ? `${wanted}.`
    : t('Expected: {wanted}. Got: {came}.', {
        wanted,
        came: cameWords(came, display).replace(/\.$/, ''),
      });
};
