import { countFigure } from '../words/figure.ts';
import type { ToDo } from './still-to-do.ts';

type Words = { [C in ToDo['code']]: (todo: Extract<ToDo, { code: C }>) => { what: string; why: string } };

/** One by its name, several by their number. */
const named = (names: readonly string[]): string =>
  names.length === 1 ? (names[0] ?? '') : countFigure(names.length, 'product');

const WORDS: Words = {
  'no-products': () => ({
    what: 'Add your products',
    why: 'Their weights and sizes decide what an order costs to send.',
  }),
  'no-weight': ({ names }) => ({
    what: `Give ${named(names)} a weight`,
    why: 'What is charged or limited by weight is not offered without it.',
  }),
  'no-size': ({ names }) => ({
    what: `Give ${named(names)} a size`,
    why: 'What is limited by size is not offered without it.',
  }),
  'no-hours': ({ name }) => ({
    what: `Give ${name} opening hours`,
    why: 'Without them no day or time can be promised from there.',
  }),
  'no-point': ({ name }) => ({
    what: `Put ${name} on the map`,
    why: 'Distances are measured from it. A postal code or coordinates put it there.',
  }),
  'nothing-expected': () => ({
    what: 'Say what a test order should get',
    why: 'It warns you when a change breaks it.',
  }),
  'tests-fail': ({ count }) => ({
    what: `Look at ${countFigure(count, 'test order')} that ${count === 1 ? 'does' : 'do'} not get what ${count === 1 ? 'it' : 'they'} should`,
    why: 'Either the rules or the expectations are wrong.',
  }),
  'not-published': () => ({
    what: 'Publish the shop',
    why: 'Nothing is published yet: the shopfront shows the draft, with every change at once.',
  }),
};

/** What is to do, in a few words, and why. */
export const toDoSentence = (todo: ToDo): { what: string; why: string } => WORDS[todo.code](todo as never);
