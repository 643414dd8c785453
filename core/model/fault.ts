/** What is wrong with a file or a request, as data; its sentence is in `words/fault.ts`. */
export type FaultCode =
  | 'not-json'
  | 'later-version'
  | 'missing'
  | 'wrong-type'
  | 'too-small'
  | 'too-big'
  | 'too-short'
  | 'too-long'
  | 'malformed'
  | 'not-one-of'
  | 'unknown-field'
  | 'no-shape-fits'
  | 'region-both'
  | 'subdivision-elsewhere'
  | 'hours-reversed'
  | 'time-zone'
  | 'far-from-now'
  | 'priced-at-nothing'
  | 'duplicate-id'
  | 'duplicate-rate'
  | 'second-remainder'
  | 'dangling'
  | 'bad-pattern'
  | 'bad-region'
  | 'good-unknown'
  | 'subtotal-too-big'
  | 'basket-too-big'
  | 'column-missing'
  | 'column-twice'
  | 'cell-missing'
  | 'cell-unread'
  | 'cell-duplicate'
  | 'row-too-long'
  | 'text-unknown'
  | 'rate-rows'
  | 'rate-kind-chosen'
  | 'quotes-open'
  | 'sides-incomplete'
  | 'order-without-goods'
  | 'choice-gone'
  | 'charge-changed'
  | 'payment-gone'
  | 'duplicate-number'
  | 'no-shape'
  | 'slot-needed'
  | 'slot-gone'
  | 'status-not-next'
  | 'digest-differs'
  | 'no-calendar'
  | 'calendar-entry'
  | 'calendar-repeats'
  | 'no-calendar-dates';

export interface Fault {
  code: FaultCode;
  /** Where, within what was read: `rates[3].price.steps[0].from`; empty for the whole. */
  path: string;
  /** The figures and names its sentence needs. */
  detail: Readonly<Record<string, string | number>>;
}

export type Result<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/** A fault located by the steps that lead to it. */
export const fault = (
  code: FaultCode,
  path: readonly (string | number)[] | string,
  detail: Fault['detail'] = {},
): Fault => ({ code, path: typeof path === 'string' ? path : pathText(path), detail });

/** `['rates', 3, 'price']` as `rates[3].price`. */
export const pathText = (steps: readonly PropertyKey[]): string =>
  steps.reduce<string>((text, step) => {
    if (typeof step === 'number') return `${text}[${step}]`;
    return text === '' ? String(step) : `${text}.${String(step)}`;
  }, '');
