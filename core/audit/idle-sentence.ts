import { t } from '../translate/translate.ts';
import type { Idle } from './never-acts.ts';

type Words = { [W in Idle['why']]: (idle: Extract<Idle, { why: W }>) => string };

const WORDS: Words = {
  off: () => t('It is switched off.'),
  'names-nothing': ({ what }) =>
    t('Its list of {list} is empty, so it never applies.', { list: what === 'goods' ? t('products') : what }),
  'no-rate': () => t('No rate that is switched on is among those it is for, so it never applies.'),
  'no-such-kind': () => t('The book has no choice of the kind it is for, so it never applies.'),
  'range-empty': () => t('Its minimum is not below its maximum, so it never applies.'),
  'dates-empty': () => t('It ends before it begins, so it never applies.'),
  'dates-over': ({ to }) => t('It ended on {to}, so it never applies again.', { to }),
  'no-effect': () => t('It changes nothing: give it an amount.'),
  'after-last': ({ name }) =>
    t('“{name}” above it skips it for everything it is for, so it never applies.', { name }),
  excludes: ({ of }) =>
    t('Two of its conditions on the {subject} exclude each other, so it never applies.', { subject: of }),
  overruled: ({ name }) =>
    t('“{name}” below it sets the charge wherever this one applies, so it changes nothing.', { name }),
};

/** Why an adjustment can never act, in a sentence. */
export const idleSentence = (idle: Idle): string => (WORDS[idle.why] as (idle: Idle) => string)(idle);
