import { EDGES, oddText, oddValue, type Draw } from './odd.ts';

type Container = Record<string, unknown> | unknown[];

const isContainer = (value: unknown): value is Container => typeof value === 'object' && value !== null;

/** Some place within a value: what holds it, and under which key. */
const somePlace = (value: Container, draw: Draw): { within: Container; key: string } | null => {
  let within = value;
  for (let depth = 0; depth < 12; depth += 1) {
    const keys = Object.keys(within);
    if (keys.length === 0) return null;
    const key = draw.of(keys);
    const next = (within as Record<string, unknown>)[key];
    if (!isContainer(next) || draw.number() < 0.2) return { within, key };
    within = next;
  }
  return null;
};

const nudged = (value: unknown, draw: Draw): unknown => {
  if (typeof value === 'number')
    return draw.number() < 0.5 ? draw.of(EDGES) : value * draw.of([0, 0.5, 2, 10, -1]);
  if (typeof value === 'boolean') return !value;
  if (typeof value === 'string')
    return draw.number() < 0.5 ? value + oddText(draw) : value.slice(draw.below(3));
  if (Array.isArray(value)) return draw.number() < 0.5 ? [...value, ...value.slice(0, 1)] : value.slice(1);
  return oddValue(draw);
};

const removed = (within: Container, key: string): void => {
  if (Array.isArray(within)) within.splice(Number(key), 1);
  else delete within[key];
};

const MILD: readonly string[] = ['number', 'boolean'];

/** A place whose value can be changed and stay what it is, more often than not. */
const mildPlace = (value: Container, draw: Draw): ReturnType<typeof somePlace> => {
  for (let time = 0; time < 8; time += 1) {
    const place = somePlace(value, draw);
    const held = place && (place.within as Record<string, unknown>)[place.key];
    if (MILD.includes(typeof held)) return place;
  }
  return somePlace(value, draw);
};

/** Changes one place of a value: mostly a little, so that much of it is still taken; at times to something odd. */
const mutateOnce = (value: Container, draw: Draw): void => {
  const isMild = draw.number() < 0.6;
  const place = isMild ? mildPlace(value, draw) : somePlace(value, draw);
  if (!place) return;
  const { within, key } = place;
  const record = within as Record<string, unknown>;
  const choice = draw.number();
  if (isMild || choice < 0.5) record[key] = nudged(record[key], draw);
  else if (choice < 0.7) removed(within, key);
  else if (choice < 0.9) {
    const other = somePlace(value, draw);
    record[key] = structuredClone(other ? (other.within as Record<string, unknown>)[other.key] : null);
  } else record[key] = oddValue(draw);
};

/** A copy of a value with a few places changed. */
export const mutated = <T extends object>(value: T, draw: Draw): unknown => {
  const copy = structuredClone(value) as Container;
  const times = draw.number() < 0.6 ? 1 : 2 + draw.below(3);
  for (let time = 0; time < times; time += 1) mutateOnce(copy, draw);
  return copy;
};

/** A text with a few pieces put in, taken out, or written twice. */
export const mutatedText = (text: string, draw: Draw): string => {
  let changed = text;
  const times = 1 + draw.below(4);
  for (let time = 0; time < times; time += 1) {
    const at = draw.below(changed.length + 1);
    const length = draw.below(20);
    const choice = draw.number();
    if (choice < 0.5) changed = changed.slice(0, at) + oddText(draw) + changed.slice(at);
    else if (choice < 0.8) changed = changed.slice(0, at) + changed.slice(at + length);
    else changed = changed.slice(0, at) + changed.slice(at, at + length) + changed.slice(at);
  }
  return changed;
};
