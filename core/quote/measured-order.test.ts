import type { Adjustment } from '../model/adjustment.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeYard,
  onlyChoice,
  quoted,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { makeParts } from './compiled-parts.ts';
import { carrierQuestions } from './questions.ts';
import { measureOrder, quote } from './quote.ts';

const byCarrier = makeBook({
  locations: [makeYard()],
  carriers: [makeAccount()],
  rates: [makeRate({ price: makeCarrierPrice() })],
});
const answers: CarrierAnswer[] = [
  { key: 'fulmar', ok: true, services: [{ code: 'ground', name: 'Ground', amount: 1_120 }] },
];

describe('an order that is measured once', () => {
  test('asks and is quoted as one that is measured for each', () => {
    const compiled = compile(byCarrier, makeCatalogue());
    const measured = measureOrder(compiled, makeRequest());
    if (!measured.ok) throw new Error('the order is sound');
    expect(measured.value.questions()).toEqual(carrierQuestions(compiled, makeRequest()));
    expect(measured.value.questions()).toHaveLength(1);
    const json = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
    expect(json(measured.value.quote(answers))).toEqual(json(quote(compiled, makeRequest(), answers)));
    expect(measured.value.quote(answers).choices[0]?.charge).toBe(1_120);
    expect(measured.value.quote().withheld[0]?.code).toBe('carrier-error');
  });

  test('that is faulty says what is wrong, and is not quoted', () => {
    const measured = measureOrder(
      compile(byCarrier, makeCatalogue()),
      makeRequest({ lines: [{ sku: 'gone', quantity: 1 }] }),
    );
    expect(measured.ok ? [] : measured.faults).toHaveLength(1);
  });
});

test('a basket of which nothing travels has one choice, whose working says so', () => {
  const choice = onlyChoice(
    quoted(makeBook(), makeRequest(), makeCatalogue(makeGood('pot', { fulfilment: 'digital' }))),
  );
  expect(choice).toMatchObject({ id: 'nothing-to-ship', name: 'Nothing to ship', charge: 0 });
  expect(choice.working.map(({ step }) => step)).toEqual(['price']);
});

test('an adjustment that is switched off is not looked at', () => {
  const free: Adjustment = {
    ...{ id: 'free', name: 'Free', active: false, when: [], to: {} },
    effect: { do: 'free' },
  };
  expect(onlyChoice(quoted(makeBook({ adjustments: [free] }))).charge).toBe(845);
  expect(compile(makeBook({ adjustments: [free] }), makeCatalogue()).adjustments).toEqual([]);
});

test('a rate whose service is gone is passed over', () => {
  const book = makeBook({ rates: [makeRate(), makeRate({ id: 'lost', serviceId: 'gone' })] });
  expect(quoted(book).choices.map(({ id }) => id)).toEqual(['parcel-country']);
});

test('regions are called by the names that are handed in', () => {
  const book = makeBook({
    store: {
      sellsTo: {
        mode: 'everywhere',
        countries: [],
        closedRegions: [{ country: 'CA', subdivision: 'CA-NS' }],
      },
    },
  });
  const parts = makeParts({ regionName: () => 'the island' });
  const texts = (compiled: ReturnType<typeof compile>) =>
    quote(compiled, makeRequest({ destination: { country: 'CA', subdivision: 'CA-NS' } }))
      .withheld.map(({ text }) => text)
      .join();
  expect(texts(compile(book, makeCatalogue(), null, parts))).toContain('the island');
  expect(texts(compile(book, makeCatalogue()))).not.toContain('the island');
});
