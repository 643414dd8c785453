import fc from 'fast-check';
import type { Adjustment, Condition, Effect } from '../model/adjustment.ts';
import type { QuoteRequest } from '../model/request.ts';
import {
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  onlyChoice,
  onlyWithheld,
  quoted,
} from '../testing/book.ts';

const catalogue = makeCatalogue(
  makeGood('pot', { groupIds: ['pots'], weight: 9_000, size: { length: 300, width: 300, height: 300 } }),
  makeGood('seed', { groupIds: ['seeds'], weight: 12 }),
  makeGood('mystery', { weight: undefined }),
  makeGood('sample', { groupIds: ['pots'], chargeFree: true }),
);
const groups = ['pots', 'seeds'].map((id) => ({
  id,
  name: id,
  shipping: 'any' as const,
  delivery: 'any' as const,
  pickup: 'any' as const,
}));

const adjustment = (effect: Effect, when: Condition[] = [], part: Partial<Adjustment> = {}): Adjustment => ({
  id: 'rule',
  name: 'The rule',
  active: true,
  when,
  to: {},
  effect,
  ...part,
});

const book = (adjustments: Adjustment[], part: Parameters<typeof makeBook>[0] = {}) =>
  makeBook({ groups, adjustments, ...part });

const chargeWith = (
  adjustments: Adjustment[],
  request: Partial<QuoteRequest> = {},
  part: Parameters<typeof makeBook>[0] = {},
): number => onlyChoice(quoted(book(adjustments, part), makeRequest(request), catalogue)).charge;

const FREE: Effect = { do: 'free' };
const lines = (...skus: [string, number][]) => skus.map(([sku, quantity]) => ({ sku, quantity }));

describe('the effects of adjustments, on a price of 8.45', () => {
  test.each<[string, Effect, number]>([
    ['free', FREE, 0],
    ['set', { do: 'set', amount: 500 }, 500],
    ['set to nothing', { do: 'set', amount: 0 }, 0],
    ['add an order', { do: 'add', amount: 155, per: 'order' }, 1_000],
    ['take off an order', { do: 'add', amount: -45, per: 'order' }, 800],
    ['never below nothing', { do: 'add', amount: -9_000, per: 'order' }, 0],
    ['add a unit, of goods charged for', { do: 'add', amount: 100, per: 'unit' }, 845 + 500],
    ['add a line', { do: 'add', amount: 100, per: 'line' }, 845 + 200],
    ['add a parcel', { do: 'add', amount: 100, per: 'parcel' }, 845 + 100],
    [
      'add a unit of named goods',
      { do: 'add', amount: 600, per: 'unit', goods: { groupIds: ['pots'] } },
      845 + 1_200,
    ],
    [
      'add a line of named goods',
      { do: 'add', amount: 600, per: 'line', goods: { skus: ['pot', 'seed'] } },
      845 + 1_200,
    ],
    [
      'once where named goods are there',
      { do: 'add', amount: 600, per: 'order', goods: { skus: ['pot'] } },
      845 + 600,
    ],
    [
      'a parcel of named goods',
      { do: 'add', amount: 600, per: 'parcel', goods: { skus: ['pot'] } },
      845 + 600,
    ],
    [
      'nothing where they are not',
      { do: 'add', amount: 600, per: 'order', goods: { skus: ['mystery'] } },
      845,
    ],
    ['no goods are named by an empty list', { do: 'add', amount: 600, per: 'unit', goods: {} }, 845],
    ['percent of the charge', { do: 'percent', points: -1_000, of: 'charge' }, 845 - 85],
    ['percent of the subtotal', { do: 'percent', points: 250, of: 'subtotal' }, 845 + 150],
    ['bounds from below', { do: 'bounds', min: 900, max: 950 }, 900],
    ['bounds from above', { do: 'bounds', max: 700 }, 700],
    ['bounds that hold', { do: 'bounds', min: 800, max: 900 }, 845],
  ])('%s', (_, effect, charge) => {
    expect(chargeWith([adjustment(effect)], { lines: lines(['pot', 2], ['seed', 3], ['sample', 1]) })).toBe(
      charge,
    );
  });

  test('each is a line of the working that leads to its rule', () => {
    const quote = quoted(
      book([adjustment({ do: 'percent', points: -1_000, of: 'charge' })]),
      makeRequest(),
      catalogue,
    );
    expect(
      onlyChoice(quote).working.map(({ step, text, change, running, from }) => ({
        step,
        text,
        change,
        running,
        from,
      })),
    ).toEqual([
      {
        step: 'price',
        text: 'Flat price: 8.45',
        change: 845,
        running: 845,
        from: { kind: 'rate', id: 'parcel-country' },
      },
      {
        step: 'adjustment',
        text: 'The rule: 10 % of 8.45 off',
        change: -85,
        running: 760,
        from: { kind: 'adjustment', id: 'rule' },
      },
    ]);
  });

  test('withholding says who did it, and tells the customer the rule’s own words', () => {
    const withhold = adjustment({ do: 'withhold', message: 'Not while it freezes.' });
    const rates = [makeRate({ whenWithheld: 'tell', message: 'The rate’s words.' })];
    expect(onlyWithheld(quoted(book([withhold], { rates }), makeRequest(), catalogue))).toMatchObject({
      id: 'parcel-country',
      code: 'adjustment',
      text: 'Withheld by “The rule”: Not while it freezes.',
      message: 'Not while it freezes.',
      from: { kind: 'adjustment', id: 'rule' },
    });
  });
});

describe('the order of adjustments', () => {
  const half = adjustment({ do: 'percent', points: -5_000, of: 'charge' }, [], { id: 'half' });
  const more = adjustment({ do: 'add', amount: 100, per: 'order' }, [], { id: 'more' });

  test('is the list’s', () => {
    expect(chargeWith([half, more])).toBe(422 + 100);
    expect(chargeWith([more, half])).toBe(472);
  });

  test('`last` ends it for a choice that was touched, and for no other', () => {
    expect(chargeWith([{ ...half, last: true }, more])).toBe(422);
    expect(chargeWith([{ ...half, last: true, when: [{ test: 'code', in: ['X'] }] }, more])).toBe(945);
    expect(chargeWith([{ ...half, last: true, to: { kinds: ['pickup'] } }, more])).toBe(945);
  });

  test('a rule that is switched off is as if it were not there', () => {
    expect(chargeWith([{ ...half, active: false }])).toBe(845);
  });

  test('a least charge raises a charge that was set to 0, not one made free', () => {
    const part = { rates: [makeRate({ bounds: { min: 300 } })] };
    expect(chargeWith([adjustment({ do: 'set', amount: 0 })], {}, part)).toBe(300);
    expect(chargeWith([adjustment(FREE)], {}, part)).toBe(0);
    expect(
      chargeWith([adjustment(FREE), { ...more, effect: { do: 'add', amount: 10, per: 'order' } }], {}, part),
    ).toBe(300);
    expect(chargeWith([{ ...more }, adjustment(FREE, [], { last: true }), half], {}, part)).toBe(0);
  });

  test('come after handling and before a free threshold, whose hint stands only above 0', () => {
    const part = {
      store: { handling: { amount: 155, per: 'order' as const } },
      rates: [makeRate({ freeFrom: 2_000 })],
    };
    expect(chargeWith([half], {}, part)).toBe(500);
    const quote = quoted(book([adjustment(FREE)], part), makeRequest(), catalogue);
    expect(onlyChoice(quote).hint).toBeUndefined();
    expect(chargeWith([half], { lines: lines(['pot', 2]) }, part)).toBe(0);
  });
});

describe('which choices an adjustment is for', () => {
  test.each<[Adjustment['to'], boolean]>([
    [{}, true],
    [{ kinds: ['shipping'] }, true],
    [{ kinds: ['delivery', 'pickup'] }, false],
    [{ serviceIds: ['parcel'], zoneIds: ['country'] }, true],
    [{ serviceIds: [] }, false],
    [{ zoneIds: ['elsewhere'] }, false],
    [{ carrierCodes: ['ground'] }, false],
    [{ serviceIds: ['parcel'], areaIds: ['ring'] }, false],
    [{ pickupIds: ['yard'] }, false],
  ])('%j', (to, isTouched) => {
    expect(chargeWith([adjustment(FREE, [], { to })])).toBe(isTouched ? 0 : 845);
  });
});

describe('conditions', () => {
  const POT = lines(['pot', 1]);
  const BOTH = lines(['pot', 1], ['seed', 1]);
  const NOVEMBER = '2026-11-24T23:30:00-04:00';

  test.each<[Condition, Partial<QuoteRequest>, boolean]>([
    [{ test: 'measure', of: 'subtotal', min: 1_000 }, {}, true],
    [{ test: 'measure', of: 'subtotal', min: 1_000 }, { discount: 1 }, false],
    [{ test: 'measure', of: 'subtotal', max: 1_000 }, {}, false],
    [{ test: 'measure', of: 'weight', min: 9_000, max: 9_001 }, {}, true],
    [{ test: 'measure', of: 'weight', min: 9_001 }, { lines: lines(['pot', 1], ['sample', 4]) }, false],
    [{ test: 'measure', of: 'units', max: 2 }, { lines: lines(['pot', 2]) }, false],
    [{ test: 'measure', of: 'volume', min: 27_000_000 }, {}, true],
    [{ test: 'measure', of: 'distance' }, {}, false],
    [{ test: 'goods', match: 'any', groupIds: ['seeds'] }, { lines: BOTH }, true],
    [{ test: 'goods', match: 'every', groupIds: ['seeds'] }, { lines: BOTH }, false],
    [{ test: 'goods', match: 'every', groupIds: ['seeds'], skus: ['pot'] }, { lines: BOTH }, true],
    [{ test: 'goods', match: 'none', groupIds: ['seeds'] }, { lines: POT }, true],
    [{ test: 'goods', match: 'none', groupIds: ['seeds'] }, { lines: BOTH }, false],
    [{ test: 'goods', match: 'any', skus: ['sample'] }, { lines: lines(['pot', 1], ['sample', 1]) }, true],
    [{ test: 'goods', match: 'any' }, {}, false],
    [{ test: 'destination', in: [{ country: 'CA', subdivision: 'CA-NS' }] }, {}, true],
    [{ test: 'destination', in: [{ country: 'CA', postal: ['B2G*'] }], not: true }, {}, false],
    [{ test: 'destination', in: [{ country: 'US' }], not: true }, {}, true],
    [{ test: 'dates', from: '2026-11-24', to: '2026-11-24' }, { placedAt: NOVEMBER }, true],
    [{ test: 'dates', from: '2026-11-25' }, { placedAt: NOVEMBER }, false],
    [{ test: 'dates', to: '2026-11-23' }, { placedAt: NOVEMBER }, false],
    [{ test: 'dates', from: '2020-11-15', to: '2021-03-31', everyYear: true }, { placedAt: NOVEMBER }, true],
    [
      { test: 'dates', from: '2020-11-15', to: '2021-03-31', everyYear: true },
      { placedAt: '2029-03-31T12:00:00Z' },
      true,
    ],
    [
      { test: 'dates', from: '2020-11-15', to: '2021-03-31', everyYear: true },
      { placedAt: '2029-04-01T12:00:00Z' },
      false,
    ],
    [{ test: 'dates', from: '2026-03-01', to: '2026-02-01' }, { placedAt: NOVEMBER }, false],
    [{ test: 'weekday', days: [2] }, { placedAt: NOVEMBER }, true],
    [{ test: 'weekday', days: [3] }, { placedAt: NOVEMBER }, false],
    [{ test: 'customer', in: ['trade'] }, { customer: 'trade' }, true],
    [{ test: 'customer', in: ['trade'] }, {}, false],
    [{ test: 'code', in: ['Spring'] }, { code: ' SPRING ' }, true],
    [{ test: 'code', in: ['Spring'] }, { code: 'SUMMER' }, false],
    [{ test: 'code', in: ['Spring'] }, {}, false],
    [{ test: 'channel', in: ['web'] }, { channel: 'web' }, true],
    [{ test: 'channel', in: ['web'] }, {}, false],
  ])('%j with %j', (condition, request, holds) => {
    expect(chargeWith([adjustment(FREE, [condition])], request)).toBe(holds ? 0 : 845);
  });

  test('the distance is from the first location, where both points are known', () => {
    const point = { lat: 44.6592, lng: -63.5987 };
    const location = {
      id: 'yard',
      name: 'Yard',
      address: { country: 'CA', point },
      hours: [],
      closedDates: [],
    };
    const far = { country: 'CA', point: { lat: 44.6656, lng: -63.5684 } };
    const within = (min: number): number =>
      chargeWith(
        [adjustment(FREE, [{ test: 'measure', of: 'distance', min, max: min + 1 }])],
        { destination: far },
        { locations: [location] },
      );
    const metres = Array.from({ length: 200 }, (_, at) => 2_400 + at).filter((min) => within(min) === 0);
    expect(metres).toEqual([2_500]);
  });

  test('one on an unknown figure withholds where all others hold, naming the goods and the rule', () => {
    const heavy: Condition = { test: 'measure', of: 'weight', min: 20_000 };
    const request = makeRequest({ lines: lines(['mystery', 1]) });
    const rule = adjustment({ do: 'add', amount: 600, per: 'order' }, [
      heavy,
      { test: 'customer', in: ['trade'] },
    ]);
    expect(onlyChoice(quoted(book([rule]), request, catalogue)).charge).toBe(845);
    expect(onlyWithheld(quoted(book([rule]), { ...request, customer: 'trade' }, catalogue))).toMatchObject({
      code: 'weight-unknown',
      text: 'The weight of mystery is not known.',
      from: { kind: 'adjustment', id: 'rule' },
    });
    const big = adjustment(FREE, [{ test: 'measure', of: 'volume', min: 1 }]);
    expect(onlyWithheld(quoted(book([big]), request, catalogue)).code).toBe('size-unknown');
  });
});

test('the working adds up, whatever the adjustments', () => {
  const effects: fc.Arbitrary<Effect> = fc.oneof(
    fc.constant(FREE),
    fc.record({ do: fc.constant('set' as const), amount: fc.integer({ min: 0, max: 5_000 }) }),
    fc.record({
      do: fc.constant('add' as const),
      amount: fc.integer({ min: -2_000, max: 2_000 }),
      per: fc.constantFrom('order' as const, 'unit' as const, 'parcel' as const),
    }),
    fc.record({
      do: fc.constant('percent' as const),
      points: fc.integer({ min: -20_000, max: 20_000 }),
      of: fc.constantFrom('charge' as const, 'subtotal' as const),
    }),
    fc.record({ do: fc.constant('bounds' as const), min: fc.nat(3_000), max: fc.nat(3_000) }),
  );
  fc.assert(
    fc.property(fc.array(effects, { maxLength: 6 }), fc.integer({ min: 1, max: 5 }), (all, quantity) => {
      const rules = all.map((effect, at) => adjustment(effect, [], { id: `rule-${at}` }));
      const rates = [makeRate({ bounds: { min: 250, max: 4_000 } })];
      const choice = onlyChoice(
        quoted(book(rules, { rates }), makeRequest({ lines: lines(['pot', quantity]) }), catalogue),
      );
      expect(choice.working.reduce((sum, { change }) => sum + change, 0)).toBe(choice.charge);
      expect(choice.charge).toBeGreaterThanOrEqual(0);
      if (choice.charge === 0) expect(all.map((effect) => effect.do)).toContain('free');
    }),
  );
});
