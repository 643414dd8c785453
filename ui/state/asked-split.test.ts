import { answersAtOnce } from '../../carriers/stand-ins.ts';
import type { HandlingGroup } from '../../core/model/good.ts';
import { compile } from '../../core/quote/compile.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeGroup,
  makePickup,
  makeRate,
  makeRequest,
  makeYard,
} from '../../core/testing/book.ts';
import { questionKey, type AnswersState } from './answers.ts';
import { splitWithKnown } from './asked-split.ts';

const shop = (groups: HandlingGroup[], heaviest?: number) => {
  const limits = heaviest === undefined ? {} : { limits: { weight: { max: heaviest } } };
  const compiled = compile(
    makeBook({
      locations: [makeYard()],
      carriers: [makeAccount()],
      pickups: [makePickup({ charge: 100 })],
      rates: [makeRate({ price: makeCarrierPrice(), ...limits })],
      groups,
    }),
    makeCatalogue(...groups.map(({ id }, at) => makeGood(id, { groupIds: [id], weight: 100 * 2 ** at }))),
  );
  const request = makeRequest({ lines: groups.map(({ id }) => ({ sku: id, quantity: 1 })) });
  return { compiled, request };
};
const potsAndSoil = [makeGroup('pots', { shipping: 'any' }), makeGroup('soil', { pickup: 'any' })];
const NOTHING: AnswersState = {};

test('parts that a carrier prices wait for its answer, and are had once it has come', () => {
  const { compiled, request } = shop(potsAndSoil);
  const asked = splitWithKnown(compiled, request, NOTHING);
  expect(asked).toMatchObject({ split: null, waits: true });
  expect(asked.questions.length).toBeGreaterThan(0);
  const answers = answersAtOnce(asked.questions);
  const known = Object.fromEntries(
    asked.questions.flatMap((question, at) => {
      const answer = answers[at];
      return answer ? [[questionKey(question), answer]] : [];
    }),
  );
  const { split, waits } = splitWithKnown(compiled, request, known);
  expect(waits).toBe(false);
  expect(split?.parts.map(({ choice }) => choice.kind).sort()).toEqual(['pickup', 'shipping']);
  expect(split?.charge).toBeGreaterThan(100);
});

test('parts whose carrier cannot be reached are not to be had', () => {
  const { compiled, request } = shop(potsAndSoil);
  const { questions } = splitWithKnown(compiled, request, NOTHING);
  const known = Object.fromEntries(
    questions.map((question) => [
      questionKey(question),
      { key: question.key, ok: false as const, error: 'unreachable' as const, text: 'no line' },
    ]),
  );
  expect(splitWithKnown(compiled, request, known)).toMatchObject({ split: null, waits: false });
});

test('a basket that would take too many questions asks none', () => {
  const pots = (count: number) =>
    Array.from({ length: count }, (_, at) => makeGroup(`pots-${at}`, { shipping: 'any' }));
  const few = shop(pots(4), 1_000);
  expect(splitWithKnown(few.compiled, few.request, NOTHING).questions).toHaveLength(10);
  const many = shop(pots(7), 12_000);
  expect(splitWithKnown(many.compiled, many.request, NOTHING)).toEqual({
    split: null,
    waits: false,
    questions: [],
  });
});
