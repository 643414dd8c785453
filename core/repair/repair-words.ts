import { t } from '../translate/translate.ts';
import { countryName } from '../words/country-name.ts';
import type { AskedCode, AskedValue, Repair, RepairCode } from './repair.ts';

type Named = Pick<Repair, 'a' | 'b'>;

const MEASURES: Record<string, string> = {
  weight: t('weight'),
  subtotal: t('order value'),
  units: t('number of items'),
  volume: t('volume'),
  longestSide: t('longest side'),
};

/** 'limit on weight'; 'minimum weight' where one of two ends is meant. */
const limitWords = (measure = ''): string => {
  const [first = '', of] = measure.split(' ');
  return of === undefined
    ? t('limit on {measure}', { measure: MEASURES[first] ?? first })
    : `${first} ${MEASURES[of] ?? of}`;
};

const REPAIRS: Record<RepairCode, (named: Named) => string> = {
  'switch-off': ({ a }) => t('Switch off {a}', { a }),
  'switch-on': ({ a }) => t('Switch on {a}', { a }),
  'spare-zones': ({ a, b }) => t('Keep {a} out of {b}', { a, b }),
  'let-group': ({ a, b }) => t('Allow {a} to be shipped to {b}', { a, b }),
  'no-limit': ({ a, b }) => t('Remove the {limit} of {a}', { limit: limitWords(b), a }),
  'no-limits': ({ a }) => t('Remove all limits of {a}', { a }),
  'no-minimum': ({ a }) => t('Remove the minimum order of {a}', { a }),
  'no-end': ({ a }) => t('Let the last step of {a} have no end', { a }),
  'from-zero': ({ a }) => t('Let the first step of {a} begin at 0', { a }),
  'serve-code': ({ a }) => (a ? t('Serve {a}', { a }) : t('Serve codes that are not on the list')),
  'add-country': ({ a, b }) => t('Add {country} to {b}', { country: countryName(a), b }),
  'stop-selling': ({ a }) => t('Stop selling to {country}', { country: countryName(a) }),
  'never-free': ({ a }) => t('Never make {a} free', { a }),
  'no-least': ({ a }) => t('Remove the minimum charge of {a}', { a }),
  'no-greatest': ({ a }) => t('Remove the maximum charge of {a}', { a }),
  'remove-step': ({ a, b }) =>
    b === '1' ? t('Remove that step of {a}', { a }) : t('Remove those {b} steps of {a}', { b, a }),
  'remove-row': ({ a, b }) => t('Remove row {b} of {a}', { b, a }),
  'remove-entry': ({ a, b }) => t('Remove {b} from {a}', { b, a }),
  'remove-adjustment': ({ a }) => t('Remove {a}', { a }),
  'leave-out': ({ a, b }) => t('Leave {a} out of {b} on purpose', { a, b }),
};

/** What a repair does, as the label of its button. */
export const repairLabel = ({ code, ...named }: Pick<Repair, 'code' | 'a' | 'b'>): string =>
  REPAIRS[code](named);

const ASKED: Record<AskedCode, (named: Named) => string> = {
  weight: ({ a }) => t('Weight of {a}', { a }),
  size: ({ a }) => t('Size of {a}', { a }),
  price: ({ a }) => t('Price of {a}', { a }),
  'new-rate': ({ a, b }) => t('Price of {a} to {b}', { a, b }),
  'limit-above': ({ a }) => t('{a} takes up to', { a }),
  'limit-below': ({ a }) => t('{a} takes from', { a }),
  minimum: ({ a }) => t('Minimum order of {a}', { a }),
  fallback: ({ a }) => t('Fallback charge of {a}', { a }),
  otherwise: ({ a }) => t('{a}, for products without a price of their own', { a }),
  'free-from': ({ a }) => t('{a} is free from', { a }),
};

/** What the field for a value that mends a fault is called. */
export const askedLabel = ({ code, ...named }: Pick<AskedValue, 'code' | 'a' | 'b'>): string =>
  ASKED[code](named);
