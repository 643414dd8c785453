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
      [id, `${nameOf(services, serviceId)} to ${zone}`],
      ...offers.map(({ code, label }): [string, string] => [`${id}:${code}`, `${label ?? code} to ${zone}`]),
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
    ['nothing-to-ship', 'Nothing to ship'] as const,
  ]);
};

const KINDS = {
  shipping: 'shipped choices',
  delivery: 'delivered choices',
  pickup: 'pickup points',
  'nothing-to-ship': 'choices with nothing to ship',
} as const;

const countWords = ({ min, max }: Extract<Expectation, { kind: 'how-many' }>): string => {
  if (max === 0) return 'no';
  if (min !== undefined && min === max) return String(min);
  if (min !== undefined && max !== undefined) return `${min} to ${max}`;
  if (max !== undefined) return `at most ${max}`;
  return min === undefined ? 'any number of' : `at least ${min}`;
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
      if (charge === undefined) return `${name(choiceId)} is offered`;
      return typeof charge === 'number'
        ? `${name(choiceId)} costs ${money(charge)}`
        : `${name(choiceId)} costs ${money(charge.min)} to ${money(charge.max)}`;
    }
    case 'withheld':
      return `${name(expects.id)} is withheld${expects.code === undefined ? '' : ` (${expects.code})`}`;
    case 'how-many':
      return `${countWords(expects)} ${KINDS[expects.of]}`;
    case 'cheapest':
      return `${name(expects.choiceId)} is the cheapest`;
  }
};

const cameWords = (came: Came, { decimals }: DisplayFormat): string => {
  switch (came.kind) {
    case 'charge':
      return `costs ${moneyFigure(came.charge, decimals)}`;
    case 'offered':
      return `offered for ${moneyFigure(came.charge, decimals)}`;
    case 'withheld':
      return `withheld: ${came.text}`;
    case 'absent':
      return 'the book has no such choice here';
    case 'count':
      return `${came.count} came`;
    case 'cheapest':
      return `${came.name} is cheaper, ${moneyFigure(came.charge, decimals)}`;
    case 'no-choice':
      return 'no choice at all';
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
    : `Expected: ${wanted}. Got: ${cameWords(came, display).replace(/\.$/, '')}.`;
};
