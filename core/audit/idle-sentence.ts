import type { Idle } from './never-acts.ts';

type Words = { [W in Idle['why']]: (idle: Extract<Idle, { why: W }>) => string };

const WORDS: Words = {
  off: () => 'It is switched off.',
  'names-nothing': ({ what }) =>
    `Its list of ${what === 'goods' ? 'products' : what} is empty, so it never applies.`,
  'no-rate': () => 'No rate that is switched on is among those it is for, so it never applies.',
  'no-such-kind': () => 'The book has no choice of the kind it is for, so it never applies.',
  'range-empty': () => 'Its minimum is not below its maximum, so it never applies.',
  'dates-empty': () => 'It ends before it begins, so it never applies.',
  'dates-over': ({ to }) => `It ended on ${to}, so it never applies again.`,
  'no-effect': () => 'It changes nothing: give it an amount.',
  'after-last': ({ name }) => `“${name}” above it skips it for everything it is for, so it never applies.`,
  excludes: ({ of }) => `Two of its conditions on the ${of} exclude each other, so it never applies.`,
  overruled: ({ name }) =>
    `“${name}” below it sets the charge wherever this one applies, so it changes nothing.`,
};

/** Why an adjustment can never act, in a sentence. */
export const idleSentence = (idle: Idle): string => (WORDS[idle.why] as (idle: Idle) => string)(idle);
