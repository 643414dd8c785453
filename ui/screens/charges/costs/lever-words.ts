import { t } from '../../../../core/translate/translate.ts';
import { isInPercent, leverValue, type Lever, type LeverValue } from '../../../../core/costs/lever.ts';
import { leversOf } from '../../../../core/costs/levers.ts';
import type { Book } from '../../../../core/model/book.ts';
import {
  measureFigure,
  moneyFigure,
  percentFigure,
  type DisplayFormat,
} from '../../../../core/words/figure.ts';

/** The kinds of change a merchant can try, each with the levers it is made of. */
export const LEVER_FAMILIES = [
  { value: 'free', label: t('Free from') },
  { value: 'raise', label: t('Raise prices') },
  { value: 'step', label: t('One step') },
  { value: 'least', label: t('Lowest charge') },
  { value: 'minimum', label: t('Minimum order') },
  { value: 'fallback', label: t('Fallback') },
  { value: 'carrier', label: t('Carriers ask more') },
  { value: 'switch', label: t('Carrier, packing') },
] as const;
export type WhatIfFamily = (typeof LEVER_FAMILIES)[number]['value'];
/** The families of levers that move a figure. */
export type LeverFamily = Exclude<WhatIfFamily, 'switch'>;

const FAMILY: Record<Lever['kind'], LeverFamily> = {
  'free-from': 'free',
  'adjustment-from': 'free',
  'raise-percent': 'raise',
  'raise-amount': 'raise',
  step: 'step',
  'least-charge': 'least',
  'minimum-order': 'minimum',
  fallback: 'fallback',
  'carrier-increase': 'carrier',
};

/** A lever with its id and what it is called. */
export interface NamedLever {
  id: string;
  name: string;
  lever: Lever;
}

/** 'Parcel to West'. */
export const rateName = ({ rates, services, zones }: Book, rateId: string): string => {
  const rate = rates.find(({ id }) => id === rateId);
  const service = services.find(({ id }) => id === rate?.serviceId)?.name ?? '';
  const zone = zones.find(({ id }) => id === rate?.zoneId)?.name ?? '';
  return t('{service} to {zone}', { service, zone });
};

const stepName = (book: Book, lever: Extract<Lever, { kind: 'step' }>, display: DisplayFormat): string => {
  const price = book.rates.find(({ id }) => id === lever.rateId)?.price;
  const from = price?.kind === 'steps' ? (price.steps[lever.at]?.from ?? 0) : 0;
  const basis = price?.kind === 'steps' ? price.basis : 'weight';
  return t('{rateName}, from {figure}', {
    rateName: rateName(book, lever.rateId),
    figure: measureFigure(basis, from, display),
  });
};

const nameOf = (book: Book, lever: Lever, display: DisplayFormat): string => {
  switch (lever.kind) {
    case 'step':
      return stepName(book, lever, display);
    case 'adjustment-from':
      return book.adjustments.find(({ id }) => id === lever.adjustmentId)?.name ?? '';
    case 'carrier-increase':
      return lever.accountId === null
        ? t('Every carrier')
        : (book.carriers.find(({ id }) => id === lever.accountId)?.name ?? '');
    case 'raise-percent':
    case 'raise-amount':
      return '';
    default:
      return rateName(book, lever.rateId);
  }
};

/** The raises a merchant thinks of: every rate, one service, one zone, by percent or by amount. */
const raises = ({ rates, services, zones }: Book): NamedLever[] => {
  const sets = [
    { id: 'all', name: t('Every rate'), rateIds: rates.map(({ id }) => id) },
    ...services.map(({ id, name }) => ({
      ...{ id: `service-${id}`, name },
      rateIds: rates.filter(({ serviceId }) => serviceId === id).map((rate) => rate.id),
    })),
    ...zones.map(({ id, name }) => ({
      ...{ id: `zone-${id}`, name: t('To {name}', { name }) },
      rateIds: rates.filter(({ zoneId }) => zoneId === id).map((rate) => rate.id),
    })),
  ].filter(({ rateIds }) => rateIds.length > 0);
  return [
    ...sets.map(({ id, name, rateIds }) => ({
      id: `raise-percent ${id}`,
      name: t('{name}, by percent', { name }),
      lever: { kind: 'raise-percent', rateIds } as const,
    })),
    ...sets.map(({ id, name, rateIds }) => ({
      id: `raise-amount ${id}`,
      name: t('{name}, by amount', { name }),
      lever: { kind: 'raise-amount', rateIds } as const,
    })),
  ];
};

/** What a lever of the book is known by. */
export const leverId = (lever: Lever): string => JSON.stringify(lever);

/** The levers of a family; those that already have a value come first. */
export const leversOfFamily = (book: Book, family: LeverFamily, display: DisplayFormat): NamedLever[] => {
  const named = leversOf(book).map((lever) => ({
    id: leverId(lever),
    name: nameOf(book, lever, display),
    lever,
  }));
  const all = [...named, ...raises(book)].filter(({ lever }) => FAMILY[lever.kind] === family);
  const isSet = ({ lever }: NamedLever): boolean => leverValue(book, lever) !== null;
  return [...all.filter(isSet), ...all.filter((one) => !isSet(one))];
};

/** A lever's value as it is written: '85.00', '6 %', 'none'. */
export const valueText = (lever: Lever, value: LeverValue, { decimals }: DisplayFormat): string =>
  value === null ? t('none') : isInPercent(lever) ? percentFigure(value) : moneyFigure(value, decimals);

const LABELS: Record<LeverFamily, string> = {
  free: t('Free delivery from'),
  raise: t('Raise by'),
  step: t('Charge of the step'),
  least: t('Lowest charge'),
  minimum: t('Minimum order'),
  fallback: t('Fallback charge'),
  carrier: t('Carriers ask more by'),
};

/** What the value of a lever is called in a sentence. */
export const valueName = (lever: Lever): string => LABELS[FAMILY[lever.kind]].toLowerCase();

/** What the field of a lever's value is called. */
export const valueLabel = (lever: Lever): string =>
  isInPercent(lever) ? `${LABELS[FAMILY[lever.kind]]}, %` : LABELS[FAMILY[lever.kind]];

/** Whether the book may go without the value: a threshold or a minimum there is none of. */
export const maybeNone = ({ kind }: Lever): boolean =>
  kind === 'free-from' || kind === 'minimum-order' || kind === 'least-charge';

/** Whether a value of the lever may bring more orders: a threshold from which delivery is free. */
export const isThreshold = ({ kind }: Lever): boolean => kind === 'free-from' || kind === 'adjustment-from';
