import { tiers } from '../testing/book.ts';
import { measureFigure } from '../words/figure.ts';
import { inOrder, isInOrder, nextStep, ROUND_FIGURE } from './next-step.ts';

const step = (from: number, amount = 100) => ({ from, amount });

test('the next step goes on as far as the last two are apart, at the last charge, whatever their order', () => {
  const price = tiers('weight', [step(5_000, 700), step(0), step(2_000, 400)]);
  expect(nextStep(price, 'metric')).toEqual({ from: 8_000, amount: 700 });
  expect(nextStep(tiers('weight', []), 'metric')).toEqual({ from: 1_000, amount: 0 });
});

test('the first further step is a round figure in the shop’s units', () => {
  const display = (units: 'metric' | 'imperial') => ({ decimals: 2, units });
  const figures = (units: 'metric' | 'imperial') =>
    (['weight', 'volume', 'distance'] as const).map((basis) => {
      const { from } = nextStep(tiers(basis, [step(0)]), units);
      return measureFigure(basis, from, display(units));
    });
  expect(figures('metric')).toEqual(['1 kg', '1 L', '1 km']);
  expect(figures('imperial')).toEqual(['1 lb', '100 cu in', '1 mi']);
  expect(ROUND_FIGURE.imperial.subtotal).toBe(ROUND_FIGURE.metric.subtotal);
});

test('steps that begin at one place are not in order', () => {
  expect(isInOrder([step(0), step(2), step(5)])).toBe(true);
  expect(isInOrder([step(0), step(5), step(5)])).toBe(false);
  expect(inOrder([step(5), step(0)]).map(({ from }) => from)).toEqual([0, 5]);
});
