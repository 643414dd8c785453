import { countryName } from '../words/country-name.ts';
import type { AskedCode, AskedValue, Repair, RepairCode } from './repair.ts';

type Named = Pick<Repair, 'a' | 'b'>;

const MEASURES: Record<string, string> = {
  weight: 'weight',
  subtotal: 'order value',
  units: 'number of items',
  volume: 'volume',
  longestSide: 'longest side',
};

/** 'limit on weight'; 'minimum weight' where one of two ends is meant. */
const limitWords = (measure = ''): string => {
  const [first = '', of] = measure.split(' ');
  return of === undefined ? `limit on ${MEASURES[first] ?? first}` : `${first} ${MEASURES[of] ?? of}`;
};

const REPAIRS: Record<RepairCode, (named: Named) => string> = {
  'switch-off': ({ a }) => `Switch off ${a}`,
  'switch-on': ({ a }) => `Switch on ${a}`,
  'spare-zones': ({ a, b }) => `Keep ${a} out of ${b}`,
  'let-group': ({ a, b }) => `Allow ${a} to be shipped to ${b}`,
  'no-limit': ({ a, b }) => `Remove the ${limitWords(b)} of ${a}`,
  'no-limits': ({ a }) => `Remove all limits of ${a}`,
  'no-minimum': ({ a }) => `Remove the minimum order of ${a}`,
  'no-end': ({ a }) => `Let the last step of ${a} have no end`,
  'from-zero': ({ a }) => `Let the first step of ${a} begin at 0`,
  'serve-code': ({ a }) => (a ? `Serve ${a}` : 'Serve codes that are not on the list'),
  'add-country': ({ a, b }) => `Add ${countryName(a)} to ${b}`,
  'stop-selling': ({ a }) => `Stop selling to ${countryName(a)}`,
  'never-free': ({ a }) => `Never make ${a} free`,
  'no-least': ({ a }) => `Remove the minimum charge of ${a}`,
  'no-greatest': ({ a }) => `Remove the maximum charge of ${a}`,
  'remove-step': ({ a, b }) => (b === '1' ? `Remove that step of ${a}` : `Remove those ${b} steps of ${a}`),
  'remove-row': ({ a, b }) => `Remove row ${b} of ${a}`,
  'remove-entry': ({ a, b }) => `Remove ${b} from ${a}`,
  'remove-adjustment': ({ a }) => `Remove ${a}`,
  'leave-out': ({ a, b }) => `Leave ${a} out of ${b} on purpose`,
};

/** What a repair does, as the label of its button. */
export const repairLabel = ({ code, ...named }: Pick<Repair, 'code' | 'a' | 'b'>): string =>
  REPAIRS[code](named);

const ASKED: Record<AskedCode, (named: Named) => string> = {
  weight: ({ a }) => `Weight of ${a}`,
  size: ({ a }) => `Size of ${a}`,
  price: ({ a }) => `Price of ${a}`,
  'new-rate': ({ a, b }) => `Price of ${a} to ${b}`,
  'limit-above': ({ a }) => `${a} takes up to`,
  'limit-below': ({ a }) => `${a} takes from`,
  minimum: ({ a }) => `Minimum order of ${a}`,
  fallback: ({ a }) => `Fallback charge of ${a}`,
  otherwise: ({ a }) => `${a}, for products without a price of their own`,
  'free-from': ({ a }) => `${a} is free from`,
};

/** What the field for a value that mends a fault is called. */
export const askedLabel = ({ code, ...named }: Pick<AskedValue, 'code' | 'a' | 'b'>): string =>
  ASKED[code](named);
