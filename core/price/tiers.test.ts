import fc from 'fast-check';
import type { Price, Step } from '../model/price.ts';
import { tiers } from '../testing/book.ts';
import { kindOf } from './kinds.ts';
import { raisedAmount, type Raise } from './raise.ts';
import { rebased } from './rebase.ts';
import { priceByTiers, sortTiers } from './tiers.ts';

const curveOf = (price: Price, reach: number) => kindOf(price).curve(price, reach);
const raisedPrice = (price: Price, raise: Raise) => kindOf(price).raised(price, raise);

const step: fc.Arbitrary<Step> = fc.record({ from: fc.nat(20), amount: fc.nat(5_000) });

describe('steps', () => {
  test('agree with a plain scan of the steps', () => {
    fc.assert(
      fc.property(
        fc.array(step, { minLength: 1, maxLength: 8 }),
        fc.nat(25),
        fc.option(fc.nat(25), { nil: undefined }),
        (steps, value, until) => {
          let best: Step | null = null;
          for (const one of steps) if (one.from <= value && (!best || one.from > best.from)) best = one;
          const priced = priceByTiers(sortTiers(tiers('units', steps, until)), value, 0);
          if (until !== undefined && value >= until)
            expect(priced).toMatchObject({ ok: false, code: 'above-last-step' });
          else if (best) expect(priced).toMatchObject({ ok: true, amount: best.amount });
          else expect(priced).toMatchObject({ ok: false, code: 'below-first-step' });
        },
      ),
    );
  });

  test('add begun sizes, or in proportion, and a share of the subtotal rounded for itself', () => {
    const each = { size: 1_000, amount: 165 };
    const by = (one: Step) => priceByTiers(sortTiers(tiers('weight', [one])), 2_001, 999);
    expect(by({ from: 0, amount: 100, each: { ...each, count: 'started' } })).toMatchObject({
      amount: 100 + 3 * 165,
    });
    expect(by({ from: 0, amount: 100, each: { ...each, count: 'exact' } })).toMatchObject({
      amount: 100 + 330,
    });
    expect(by({ from: 0, amount: 100, percent: 250 })).toMatchObject({ amount: 125 });
  });
});

describe('the curve of a price', () => {
  test('names each place where the price falls, and by how much', () => {
    const curve = curveOf(
      tiers('weight', [
        { from: 5_000, amount: 900 },
        { from: 0, amount: 1_000 },
        { from: 8_000, amount: 2_000 },
      ]),
      0,
    );
    expect(curve?.falls).toEqual([{ at: 5_000, by: 100, step: 1 }]);
    expect(curve?.dots.map((dot) => dot.at)).toEqual([0, 5_000, 8_000]);
  });

  test('counts what is added above a step when it looks for a fall', () => {
    const each = { size: 1_000, amount: 100, count: 'started' as const };
    const curve = curveOf(
      tiers('weight', [
        { from: 0, amount: 500, each },
        { from: 4_000, amount: 700 },
      ]),
      0,
    );
    expect(curve?.falls).toEqual([{ at: 4_000, by: 200, step: 1 }]);
    expect(curve?.pieces.slice(0, 4).map((piece) => piece.end)).toEqual([600, 700, 800, 900]);
  });

  test('goes on to a value that must be seen, and stops where the steps end', () => {
    expect(curveOf(tiers('weight', [{ from: 0, amount: 1 }]), 90_000)?.end).toBe(90_000);
    expect(curveOf(tiers('weight', [{ from: 0, amount: 1 }], 2_000), 90_000)?.pieces.at(-1)?.to).toBe(2_000);
    expect(curveOf({ kind: 'flat', amount: 5, per: 'order' }, 3)?.pieces).toEqual([
      { from: 0, to: 3, start: 5, end: 5 },
    ]);
    expect(curveOf({ kind: 'per-product', otherwise: 5, per: 'line' }, 3)).toBeNull();
  });
});

describe('many prices at once', () => {
  test('never become 0 by a reduction, and 0 stays 0', () => {
    fc.assert(
      fc.property(
        fc.nat(10_000),
        fc.integer({ min: -10_000, max: 10_000 }),
        fc.constantFrom(null, 5, 100),
        (amount, points, to) => {
          const raised = raisedAmount(amount, {
            by: { kind: 'percent', points },
            rounding: to ? { to, mode: 'nearest' } : null,
          });
          expect(raised === 0).toBe(amount === 0);
          expect(raised).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  test('each step is raised and rounded; what it adds follows percentages only', () => {
    const price = tiers('weight', [
      { from: 0, amount: 1_000, each: { size: 1_000, amount: 100, count: 'started' } },
    ]);
    const rounding = { to: 5, mode: 'up' } as const;
    expect(raisedPrice(price, { by: { kind: 'percent', points: 333 }, rounding })).toMatchObject({
      steps: [{ amount: 1_035, each: { amount: 103 } }],
    });
    expect(raisedPrice(price, { by: { kind: 'amount', amount: -200 }, rounding: null })).toMatchObject({
      steps: [{ amount: 800, each: { amount: 100 } }],
    });
  });

  test('keep their meaning by another measure', () => {
    const price = rebased(
      tiers(
        'weight',
        [
          { from: 0, amount: 1 },
          { from: 2_500, amount: 2 },
        ],
        30_000,
      ),
      'subtotal',
    );
    expect(price).toMatchObject({ basis: 'subtotal', steps: [{ from: 0 }, { from: 250 }], until: 3_000 });
  });
});
