import { act, screen } from '@testing-library/react-native';
import { Text } from 'react-native-paper';
import type { CarrierAnswer, CarrierQuestion } from '../../core/model/carrier.ts';
import { carrierQuestions } from '../../core/quote/questions.ts';
import { answersForgotten, questionKey, askedQuote } from '../state/answers.ts';
import { edit } from '../state/draft.ts';
import { selectCompiled, selectPreview, selectTestOrders } from '../state/selectors.ts';
import { AskForPreview } from './ask-for-preview.tsx';
import { demoStore, renderOver } from '../testing/store.tsx';
import type { AppStore } from '../state/store.ts';

const mockTalk = { asked: [] as CarrierQuestion[], aborted: 0, fails: false };

jest.mock('../carriers/reach-carriers.ts', () => {
  const { answersAtOnce } = jest.requireActual('../../carriers/stand-ins.ts');
  return {
    askCarriers: (questions: { question: CarrierQuestion }[], signal: AbortSignal) => {
      signal.addEventListener('abort', () => (mockTalk.aborted += 1));
      const asked = questions.map(({ question }) => question);
      mockTalk.asked.push(...asked);
      const failed = asked.map(({ key }) => ({ key, ok: false, error: 'unreachable', text: '' }));
      return new Promise((resolve) =>
        setTimeout(() => resolve(mockTalk.fails ? failed : answersAtOnce(asked)), 300),
      );
    },
  };
});

const open = (): AppStore => {
  Object.assign(mockTalk, { asked: [], aborted: 0, fails: false });
  const store = demoStore();
  act(() => void store.dispatch(answersForgotten(null)));
  renderOver(
    store,
    <>
      <AskForPreview />
      <Text>there</Text>
    </>,
  );
  return store;
};
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const preview = (store: AppStore) => {
  const shown = selectPreview(store.getState());
  if (!shown?.ok) throw new Error('the test order cannot be quoted');
  return shown;
};

describe('carriers are asked for the preview', () => {
  test('a little after the basket was typed, and the answers go into the quote', async () => {
    const store = open();
    expect(screen.getByText('there')).toBeTruthy();
    expect(preview(store).pending).toEqual([
      { rateId: 'express-maritimes', name: 'Express', account: 'Fulmar Parcel' },
    ]);
    await pass(100);
    expect(mockTalk.asked).toHaveLength(0);
    await pass(400);
    expect(mockTalk.asked).toHaveLength(1);
    expect(preview(store).pending).toEqual([]);
    expect(preview(store).quote.choices.map(({ id }) => id)).toContain('express-maritimes:overnight');
  });

  test('and given up when the basket changes before they answer', async () => {
    const store = open();
    await pass(200);
    act(
      () =>
        void store.dispatch(
          edit(
            'setRequest',
            { id: 'two-pots', changes: { lines: [{ sku: 'pot-18', quantity: 1 }] } },
            'basket',
          ),
        ),
    );
    await pass(0);
    expect(mockTalk.aborted).toBe(1);
    await pass(500);
    expect(mockTalk.asked).toHaveLength(2);
    expect(Object.keys(store.getState().answers)).toEqual([
      questionKey(mockTalk.asked[1] as CarrierQuestion),
    ]);
  });

  test('again a while after they failed, and meanwhile the fallback stands', async () => {
    const store = open();
    mockTalk.fails = true;
    await pass(500);
    expect(preview(store).quote.choices.map(({ id }) => id)).toContain('express-maritimes');
    mockTalk.fails = false;
    await pass(15_500);
    await pass(600);
    expect(mockTalk.asked.length).toBeGreaterThan(1);
    expect(preview(store).quote.choices.map(({ id }) => id)).toContain('express-maritimes:two-day');
  });

  test('not at all where the test order keeps its answers, until its order changes', () => {
    const store = open();
    const compiled = selectCompiled(store.getState());
    const [testOrder] = selectTestOrders(store.getState());
    const answers: CarrierAnswer[] = [
      { key: 'fulmar', ok: true, services: [{ code: 'two-day', name: 'T', amount: 500 }] },
    ];
    const kept = askedQuote(compiled, testOrder!.request, {}, answers);
    expect(kept).toMatchObject({ ok: true, value: { questions: [], pending: [] } });
    act(() => void store.dispatch(edit('setAnswers', { id: 'two-pots', answers }, 'kept')));
    expect(preview(store).quote.choices.find(({ id }) => id === 'express-maritimes:two-day')?.charge).toBe(
      525,
    );
    act(
      () => void store.dispatch(edit('setRequest', { id: 'two-pots', changes: { discount: 100 } }, 'less')),
    );
    expect(selectTestOrders(store.getState())[0]?.answers).toBeUndefined();
  });
});

test('an answer is found by its question, and by its secret, which is not in the key', () => {
  const store = demoStore();
  const [testOrder] = selectTestOrders(store.getState());
  const [question] = carrierQuestions(selectCompiled(store.getState()), testOrder!.request);
  if (!question) throw new Error('the test order asks nothing');
  const own = (secret: string) =>
    questionKey({ ...question, credentials: { kind: 'own', accountNumber: 'T7', secret } });
  expect(own('one')).toBe(own('one'));
  expect(own('one')).not.toBe(own('two'));
  expect(own('one')).not.toContain('one"');
  expect(own('one')).not.toBe(questionKey(question));
});
