import { t } from '../translate/translate.ts';
import type { Fault, Result } from '../model/fault.ts';
import { isFields } from './fields.ts';

type Step = string | number;

/** What was wrong in a value and what was done about it. */
export interface Repair {
  fault: Fault;
  /** The field was given another value, cut to what it may hold, or left out; with an entry, or the field alone. */
  did: 'set' | 'cut' | 'left-out';
  /** The place that was changed, by names: 'book, rates, parcel-north'. */
  place: string;
}

/** What a reader makes of a value: nothing, when it is sound. */
export type FaultsOf = (value: unknown) => readonly Fault[];

const child = (value: unknown, step: Step): unknown => {
  if (Array.isArray(value)) return value[Number(step)] as unknown;
  return isFields(value) && Object.hasOwn(value, step) ? value[step] : undefined;
};

/** The steps of a fault's path, as far as the value has them: `rates[3].price` is rates, 3, price. */
const stepsOf = (path: string): Step[] =>
  [...path.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map(([, place, name]) =>
    place === undefined ? String(name) : Number(place),
  );

/** What stands at a path; undefined where there is nothing. */
export const valueAt = (value: unknown, path: string): unknown =>
  stepsOf(path).reduce<unknown>((at, step) => child(at, step), value);

const NAMES = ['name', 'sku', 'number', 'id'];

const nameOf = (entry: unknown, at: number): string => {
  const named = NAMES.map((field) => child(entry, field)).find((name) => typeof name === 'string');
  return typeof named === 'string' && named !== '' ? named : t('entry {count}', { count: at + 1 });
};

const namesOf = (value: unknown, steps: readonly Step[]): string =>
  steps
    .map((step, at) => {
      if (typeof step === 'string') return step;
      const entry = steps.slice(0, at + 1).reduce<unknown>((inner, next) => child(inner, next), value);
      return nameOf(entry, step);
    })
    .join(', ');

/** Where a fault is, by the names of the entries that lead to it: 'book, rates, parcel-north, limits'. */
export const placeOf = (value: unknown, { path }: Fault): string => namesOf(value, stepsOf(path));

const ABSENT = Symbol('absent');

/** The value with something else at the steps; nothing of what it was given is changed. */
const changed = (value: unknown, [step, ...rest]: readonly Step[], to: unknown): unknown => {
  if (step === undefined) return to;
  const inner = rest.length === 0 ? to : changed(child(value, step), rest, to);
  if (Array.isArray(value)) {
    const list = [...(value as unknown[])];
    if (inner === ABSENT) list.splice(Number(step), 1);
    else list[Number(step)] = inner;
    return list;
  }
  const { [step]: _, ...others } = isFields(value) ? value : {};
  return inner === ABSENT ? others : { ...(isFields(value) ? value : {}), [step]: inner };
};

/** The value with what a person gave in place of what was faulty. */
export const withValueAt = (value: unknown, { path }: Fault, to: unknown): unknown =>
  changed(value, stepsOf(path), to);

const cutTo = ({ code, detail }: Fault, present: unknown): unknown => {
  if (code !== 'too-long' || !(Array.isArray(present) || typeof present === 'string')) return null;
  return present.slice(0, Number(detail.limit));
};

/** Whether leaving out what is at the steps was refused: it is needed, or its list may not be that short. */
const isNeeded = (steps: readonly Step[], faults: readonly Fault[]): boolean => {
  const path = (typeof steps.at(-1) === 'number' ? steps.slice(0, -1) : steps).join('.');
  return faults.some((found) => stepsOf(found.path).join('.') === path);
};

/** The steps that a value really has, and one more: a fault may speak of a field that is not there. */
const presentSteps = (value: unknown, steps: readonly Step[]): readonly Step[] => {
  let at = value;
  for (const [index, step] of steps.entries()) {
    at = child(at, step);
    if (at === undefined) return steps.slice(0, index);
  }
  return steps;
};

/**
 * The value without what is faulty: a text or list that is too long is cut, else the field goes, or, where it is
 * needed, the smallest entry around it that may go. Null where nothing may: then only a right value mends it.
 */
export const withoutFault = (
  value: unknown,
  found: Fault,
  faultsOf: FaultsOf,
): { value: unknown; repair: Repair } | null => {
  const steps = stepsOf(found.path);
  const cut = cutTo(found, valueAt(value, found.path));
  if (cut !== null) {
    const repair: Repair = { fault: found, did: 'cut', place: namesOf(value, steps) };
    return { value: changed(value, steps, cut), repair };
  }
  const present = presentSteps(value, steps);
  for (let length = present.length; length > 0; length -= 1) {
    const candidate = present.slice(0, length);
    const rest = changed(value, candidate, ABSENT);
    if (isNeeded(candidate, faultsOf(rest))) continue;
    return { value: rest, repair: { fault: found, did: 'left-out', place: namesOf(value, candidate) } };
  }
  return null;
};

/** The value without the first of its faults that can be left out; null where none can. */
export const firstWithout = (
  value: unknown,
  faults: readonly Fault[],
  faultsOf: FaultsOf,
): ReturnType<typeof withoutFault> => {
  for (const found of faults) {
    const next = withoutFault(value, found, faultsOf);
    if (next) return next;
  }
  return null;
};

export interface Repaired<T> {
  value: T;
  repairs: Repair[];
}

/** So often is a value read again at most. */
const MOST_REPAIRS = 1_000;

/**
 * The value as far as it can be read: fault by fault, what is faulty is left out until a reader takes the rest.
 * Refused with what is left where a fault cannot be left out, or where there are more than a thousand.
 */
export const repaired = <T>(given: unknown, read: (value: unknown) => Result<T>): Result<Repaired<T>> => {
  const faultsOf: FaultsOf = (value) => {
    const result = read(value);
    return result.ok ? [] : result.faults;
  };
  const repairs: Repair[] = [];
  let value = given;
  for (;;) {
    const result = read(value);
    if (result.ok) return { ok: true, value: { value: result.value, repairs } };
    const next = firstWithout(value, result.faults, faultsOf);
    if (!next || repairs.length >= MOST_REPAIRS) return result;
    repairs.push(next.repair);
    value = next.value;
  }
};

const kindExpected = ({ detail }: Fault): string => String(detail.expected ?? '');
const isNumber = (kind: string): boolean => kind === 'int' || kind === 'number';

/** The text a person gave for a value, in the kind that stood there or that the fault asks for. */
export const givenValue = (text: string, present: unknown, found: Fault): unknown => {
  const kind = present === undefined || found.code === 'wrong-type' ? kindExpected(found) : typeof present;
  const number = Number(text.trim());
  if (isNumber(kind) && text.trim() !== '' && Number.isFinite(number)) return number;
  if (kind === 'boolean' && /^(true|false)$/.test(text.trim())) return text.trim() === 'true';
  return text;
};

/** Whether a person can type the right value: one text, number, or yes or no. */
export const canBeGiven = (present: unknown, found: Fault): boolean => {
  if (found.code === 'unknown-field') return false;
  const kind = present === undefined || found.code === 'wrong-type' ? kindExpected(found) : typeof present;
  return kind === 'string' || kind === 'boolean' || isNumber(kind);
};
