import type { Step } from '../model/price.ts';
import { tiers } from '../testing/book.ts';
import { fallsOf, levelCurve, tiersCurve } from './curve.ts';
import { rebased } from './rebase.ts';
import { sortTiers } from './tiers.ts';

const started = (size: number, amount: number) => ({ size, amount, count: 'started' as const });
const exact = (size: number, amount: number) => ({ size, amount, count: 'exact' as const });
const drawn = (steps: Step[], until?: number, reach = 0) => tiersCurve(tiers('weight', steps, until), reach);
const pieces = (steps: Step[], until?: number, reach = 0) =>
  drawn(steps, until, reach).pieces.map(({ from, to, start, end }) => [from, to, start, end]);

test('one charge is one level piece', () => {
  expect(levelCurve(850, 30_000)).toEqual({
    basis: 'weight',
    pieces: [{ from: 0, to: 30_000, start: 850, end: 850 }],
    dots: [],
    falls: [],
    until: undefined,
    end: 30_000,
  });
});

describe('steps', () => {
  const two = [
    { from: 0, amount: 850 },
    { from: 5_000, amount: 1_230 },
  ];

  test('are level from where they begin to where the next does, and end where the price ends', () => {
    expect(pieces(two)).toEqual([
      [0, 5_000, 850, 850],
      [5_000, 7_500, 1_230, 1_230],
    ]);
    expect(pieces(two, 6_000)[1]).toEqual([5_000, 6_000, 1_230, 1_230]);
    expect(drawn(two, 6_000)).toMatchObject({ until: 6_000, end: 7_500 });
    expect(drawn(two, undefined, 20_000).end).toBe(20_000);
    expect(drawn(two).dots).toEqual([
      { at: 0, amount: 850 },
      { at: 5_000, amount: 1_230 },
    ]);
    expect(drawn([{ from: 0, amount: 1 }]).end).toBe(1_000);
  });

  test('that begin where the price has ended are not drawn', () => {
    expect(pieces(two, 5_000)).toEqual([[0, 5_000, 850, 850]]);
  });

  test('that add for each begun measure are stairs, for each exact one a slope', () => {
    expect(pieces([{ from: 0, amount: 100, each: started(400, 30) }])).toEqual([
      [0, 400, 130, 130],
      [400, 800, 160, 160],
      [800, 1_000, 190, 190],
    ]);
    expect(pieces([{ from: 200, amount: 100, each: exact(400, 30) }])).toEqual([[200, 1_000, 100, 160]]);
    expect(pieces([{ from: 200, amount: 100, each: started(400, 30) }])[0]).toEqual([200, 600, 130, 130]);
  });

  test('with more stairs than can be seen are a slope', () => {
    const steps = (size: number): Step[] => [{ from: 0, amount: 0, each: started(size, 1) }];
    expect(pieces(steps(100), undefined, 6_000)).toHaveLength(60);
    expect(pieces(steps(100), undefined, 6_100)).toEqual([[0, 6_100, 0, 61]]);
  });
});

test('a charge falls where a step begins below what the one before has come to', () => {
  const falls = (...steps: Step[]) => fallsOf(sortTiers(tiers('weight', steps)));
  expect(falls({ from: 0, amount: 900 }, { from: 2_000, amount: 700 })).toEqual([
    { at: 2_000, by: 200, step: 1 },
  ]);
  expect(falls({ from: 0, amount: 900 }, { from: 2_000, amount: 900 })).toEqual([]);
  expect(falls({ from: 500, amount: 900, each: started(1_000, 50) }, { from: 2_500, amount: 990 })).toEqual([
    { at: 2_500, by: 10, step: 1 },
  ]);
});

describe('the same steps by another measure', () => {
  const price = tiers('weight', [{ from: 2_000, amount: 5, each: started(200, 3) }], 8_000);

  test('begin and end at as many of what counts as one', () => {
    expect(rebased(price, 'subtotal')).toEqual({
      ...price,
      basis: 'subtotal',
      until: 800,
      steps: [{ from: 200, amount: 5, each: started(20, 3) }],
    });
    expect(rebased(price, 'volume').steps[0]?.from).toBe(2_000_000);
    expect(rebased(price, 'units')).toMatchObject({ until: 8, steps: [{ from: 2, each: { size: 1 } }] });
    expect('until' in rebased(tiers('weight', []), 'units')).toBe(false);
    expect(rebased(tiers('weight', [{ from: 0, amount: 5 }]), 'units').steps).toEqual([
      { from: 0, amount: 5 },
    ]);
  });

  test('are the very same by their own', () => expect(rebased(price, 'weight')).toBe(price));
});
