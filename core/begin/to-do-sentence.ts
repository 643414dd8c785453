import { t } from '../translate/translate.ts';
import type { ToDo } from './still-to-do.ts';

type Words = { [C in ToDo['code']]: (todo: Extract<ToDo, { code: C }>) => { what: string; why: string } };

/** One by its name, several by their number. */
const named = (names: readonly string[]): string =>
  names.length === 1
    ? (names[0] ?? '')
    : t('{count, plural, one {# product} other {# products}}', { count: names.length });

const WORDS: Words = {
  'no-products': () => ({
    what: t('Add your products'),
    why: t('Their weights and sizes decide what an order costs to send.'),
  }),
  'no-weight': ({ names }) => ({
    what: t('Give {products} a weight', { products: named(names) }),
    why: t('What is charged or limited by weight is not offered without it.'),
  }),
  'no-size': ({ names }) => ({
    what: t('Give {products} a size', { products: named(names) }),
    why: t('What is limited by size is not offered without it.'),
  }),
  'no-hours': ({ name }) => ({
    what: t('Give {name} opening hours', { name }),
    why: t('Without them no day or time can be promised from there.'),
  }),
  'no-point': ({ name }) => ({
    what: t('Put {name} on the map', { name }),
    why: t('Distances are measured from it. Its coordinates put it there.'),
  }),
  'nothing-expected': () => ({
    what: t('Say what a test order should get'),
    why: t('It warns you when a change breaks it.'),
  }),
  'tests-fail': ({ count }) => ({
    what: t(
      'Look at {count, plural, one {# test order} other {# test orders}} that {count, plural, one {does} other {do}} not get what {count, plural, one {it} other {they}} should',
      { count },
    ),
    why: t('Either the rules or the expectations are wrong.'),
  }),
  'not-published': () => ({
    what: t('Publish the shop'),
    why: t('Nothing is published yet: the shopfront shows the draft, with every change at once.'),
  }),
};

/** What is to do, in a few words, and why. */
export const toDoSentence = (todo: ToDo): { what: string; why: string } => WORDS[todo.code](todo as never);
