import { countFigure } from '../words/figure.ts';
import type { ToDo } from './still-to-do.ts';

type Words = { [C in ToDo['code']]: (todo: Extract<ToDo, { code: C }>) => { what: string; why: string } };

/** One by its name, several by their number. */
const named = (names: readonly string[]): string =>
  names.length === 1 ? (names[0] ?? '') : countFigure(names.length, 'product');
const has = (names: readonly string[]): string => (names.length === 1 ? 'has' : 'have');

const WORDS: Words = {
  'no-products': () => ({
    what: 'Add your products',
    why: 'Weights and sizes decide what an order costs to send.',
  }),
  'no-weight': ({ names }) => ({
    what: `${named(names)} ${has(names)} no weight`,
    why: 'What is charged or limited by weight is not offered with it.',
  }),
  'no-size': ({ names }) => ({
    what: `${named(names)} ${has(names)} no size`,
    why: 'What is limited by size is not offered with it.',
  }),
  'no-hours': ({ name }) => ({
    what: `${name} has no opening hours`,
    why: 'Without them no day or time can be promised from there.',
  }),
  'no-point': ({ name }) => ({
    what: `${name} is not on the map`,
    why: 'Distances are measured from it. Its postal code or coordinates put it there.',
  }),
  'nothing-expected': () => ({
    what: 'No test order says what it should get',
    why: 'One that does warns you when a change breaks it.',
  }),
  'tests-fail': ({ count }) => ({
    what: `${countFigure(count, 'test order')} ${count === 1 ? 'does' : 'do'} not get what ${count === 1 ? 'it' : 'they'} should`,
    why: 'Either the rules or the expectations are wrong.',
  }),
  'not-published': () => ({
    what: 'Nothing is published yet',
    why: 'Customers see a shop once its draft is published.',
  }),
};

/** What is to do, in a few words, and why. */
export const toDoSentence = (todo: ToDo): { what: string; why: string } => WORDS[todo.code](todo as never);
