import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { demoTestOrders } from '../../demo/test-orders.ts';
import { makeBook, makeCatalogue, makeRate, makeRequest } from '../testing/book.ts';
import { compile } from './compile.ts';
import { chargeOfOffered, choicesOfOneWay } from './one-way.ts';
import { orderContext, withAnswers, type OrderContext } from './order-context.ts';
import { questionsOf } from './questions.ts';
import { quote } from './quote.ts';

const demo = compile(demoBook, demoCatalogue, answersAtOnce);
const answered = (order: OrderContext): OrderContext => withAnswers(order, answersAtOnce(questionsOf(order)));

describe.each(demoTestOrders.map(({ name, request }) => [name, request] as const))('%s', (_, request) => {
  const order = answered(orderContext(demo, request));
  const { choices } = quote(demo, request);

  test('each way alone gives the choices that it has in the whole quote', () => {
    for (const choice of choices) {
      if (choice.kind === 'nothing-to-ship') continue;
      const alone = choicesOfOneWay(order, choice.of).find(({ id }) => id === choice.id);
      expect(JSON.stringify(alone)).toBe(JSON.stringify(choice));
    }
  });

  test('a rate charges alone what it charges in the whole quote', () => {
    for (const { of, charge, working } of choices) {
      if (of.rateId === undefined) continue;
      const isFallback = working.some(({ say }) => say?.code === 'fallback');
      expect(chargeOfOffered(order, of.rateId, of.serviceCode)).toBe(isFallback ? null : charge);
    }
  });
});

test('what is gone, withheld or of another zone gives nothing', () => {
  const order = orderContext(
    compile(makeBook({ rates: [makeRate({ active: false })] }), makeCatalogue()),
    makeRequest(),
  );
  expect(choicesOfOneWay(order, { rateId: 'parcel-country' })).toEqual([]);
  expect(choicesOfOneWay(order, { rateId: 'gone' })).toEqual([]);
  expect(choicesOfOneWay(order, { areaId: 'gone' })).toEqual([]);
  expect(choicesOfOneWay(order, { pickupId: 'gone' })).toEqual([]);
  expect(choicesOfOneWay(order, {})).toEqual([]);
  expect(chargeOfOffered(order, 'gone', undefined)).toBeNull();
});

test('the tax in a price is no part of what a rate charges', () => {
  const taxes = [
    { id: 'hst', name: 'HST', region: { country: 'CA' }, points: 1_500, on: 'charges' },
  ] as const;
  const charged = (pricesIncludeTax: boolean): number | null =>
    chargeOfOffered(
      orderContext(
        compile(makeBook({ store: { pricesIncludeTax }, taxes: [...taxes] }), makeCatalogue()),
        makeRequest(),
      ),
      'parcel-country',
      undefined,
    );
  // 8.45 holds 8.45 × 15 ÷ 115 = 1.10 of tax.
  expect([charged(false), charged(true)]).toEqual([845, 845 - 110]);
});
