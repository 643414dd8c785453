import type { Idle } from './never-acts.ts';

type Words = { [W in Idle['why']]: (idle: Extract<Idle, { why: W }>) => string };

const WORDS: Words = {
  off: () => 'It is switched off.',
  'names-nothing': ({ what }) =>
    `Its list of ${what === 'goods' ? 'products' : what} is empty, so it can never act.`,
  'no-rate': () => 'No rate that is switched on is one it is for, so it can never act.',
  'no-such-kind': () => 'The book has no choice of the kind it is for, so it can never act.',
  'range-empty': () => 'Its minimum is not below its maximum, so it can never act.',
  'dates-empty': () => 'It ends before it begins, so it can never act.',
  'dates-over': ({ to }) => `It ended on ${to}, so it can never act again.`,
  'no-effect': () => 'It changes nothing: give it an amount.',
  'after-last': ({ name }) => `“${name}” above it ends the list for all that it is for, so it can never act.`,
  excludes: ({ of }) => `Two of its conditions on the ${of} exclude each other, so it can never act.`,
  overruled: ({ name }) => `“${name}” below it sets the charge whenever it has acted, so it changes nothing.`,
};

/** Why an adjustment can never act, in a sentence. */
export const idleSentence = (idle: Idle): string => (WORDS[idle.why] as (idle: Idle) => string)(idle);
