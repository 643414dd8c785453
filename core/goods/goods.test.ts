import { makeGood } from '../testing/book.ts';
import { gapsOf } from './gaps.ts';
import { goodsInView, type GoodsView } from './sort.ts';

const SIZE = { length: 10, width: 10, height: 10 };

describe('what a good lacks', () => {
  test.each([
    [makeGood('a', { weight: 5, size: SIZE }), []],
    [makeGood('a', { weight: 0, size: SIZE }), ['weight']],
    [makeGood('a', { weight: 5 }), ['size']],
    [makeGood('a', { weight: 5, size: { ...SIZE, height: 0 } }), ['size']],
    [makeGood('a', { fulfilment: 'digital' }), []],
  ])('%j', (good, gaps) => expect(gapsOf(good)).toEqual(gaps));

  test('a weight that is not there is a gap', () => {
    const { weight: _, ...good } = makeGood('a', { size: SIZE });
    expect(gapsOf(good)).toEqual(['weight']);
  });
});

describe('a view of the products', () => {
  const { weight: _, ...unknown } = makeGood('pot-10', { name: 'Glazed pot', price: 300 });
  const goods = [
    makeGood('pot-9', { name: 'Clay pot', price: 200, weight: 900, size: SIZE }),
    unknown,
    makeGood('can', { name: 'Watering can', price: 100, weight: 400, size: { ...SIZE, length: 99 } }),
  ];
  const ALL: GoodsView = { find: '', only: 'all', groupId: null, order: 'listed', falling: false };
  const skus = (view: Partial<GoodsView>): string[] =>
    goodsInView(goods, { ...ALL, ...view }).map(({ sku }) => sku);

  test('finds by each word, in the name or the stock number', () => {
    expect(skus({ find: 'POT' })).toEqual(['pot-9', 'pot-10']);
    expect(skus({ find: 'glazed 10' })).toEqual(['pot-10']);
    expect(skus({ find: 'lamp' })).toEqual([]);
  });

  test('shows only those of a handling group', () => {
    const live = [makeGood('fern', { groupIds: ['live', 'tall'] }), makeGood('pot')];
    expect(goodsInView(live, { ...ALL, groupId: 'live' }).map(({ sku }) => sku)).toEqual(['fern']);
    expect(goodsInView(live, { ...ALL, groupId: 'gone' })).toEqual([]);
  });

  test('shows only what lacks something', () => expect(skus({ only: 'missing' })).toEqual(['pot-10']));

  test.each([
    ['listed', false, ['pot-9', 'pot-10', 'can']],
    ['listed', true, ['can', 'pot-10', 'pot-9']],
    ['name', false, ['pot-9', 'pot-10', 'can']],
    ['sku', false, ['can', 'pot-9', 'pot-10']],
    ['price', true, ['pot-10', 'pot-9', 'can']],
    ['weight', false, ['can', 'pot-9', 'pot-10']],
    ['weight', true, ['pot-9', 'can', 'pot-10']],
    ['size', true, ['can', 'pot-9', 'pot-10']],
  ] as const)('sorted by %s, falling %s, what is unknown last', (order, falling, expected) =>
    expect(skus({ order, falling })).toEqual(expected),
  );

  test('leaves the list it is given as it is', () => {
    const before = [...goods];
    skus({ order: 'price' });
    expect(goods).toEqual(before);
  });
});
