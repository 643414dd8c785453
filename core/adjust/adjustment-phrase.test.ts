import { neverActs } from '../audit/never-acts.ts';
import type { Adjustment, Condition, Effect } from '../model/adjustment.ts';
import { makeBook, makeGood, makeZone } from '../testing/book.ts';
import { adjustmentSentence } from './adjustment-phrase.ts';
import { idleSentence } from '../audit/idle-sentence.ts';

const book = makeBook({
  zones: [makeZone('country', { name: 'Country' }), makeZone('far', { name: 'Far' })],
  groups: [{ id: 'plants', name: 'Live plants', shipping: 'any', delivery: 'any', pickup: 'any' }],
});
const naming = {
  book,
  goods: new Map([['pot', makeGood('pot', { name: 'Glazed pot' })]]),
  display: { decimals: 2, units: 'metric' as const },
};
const ALWAYS: Condition[] = [];
const FREE: Effect = { do: 'free' };

describe('an adjustment as a sentence', () => {
  test.each<[Condition[], Adjustment['to'], Effect, string]>([
    [ALWAYS, {}, FREE, 'Always: every choice is free.'],
    [
      [{ test: 'measure', of: 'subtotal', min: 8_500 }],
      { serviceIds: ['parcel'], zoneIds: ['country'] },
      FREE,
      'When the order value is 85.00 or more and the zone is Country: Parcel is free.',
    ],
    [
      [{ test: 'measure', of: 'weight', min: 2_000, max: 5_000 }],
      { kinds: ['shipping', 'delivery'] },
      { do: 'set', amount: 500 },
      'When the products weigh 2 kg or more, less than 5 kg: shipping or local delivery costs 5.00.',
    ],
    [
      [
        { test: 'measure', of: 'units', max: 3 },
        { test: 'customer', in: ['trade', 'staff'] },
      ],
      {},
      { do: 'percent', points: -1_000, of: 'charge' },
      'When the basket has less than 3 units and the customer is trade or staff: every choice costs 10 % less.',
    ],
    [
      [{ test: 'destination', in: [{ country: 'CA', subdivision: 'CA-NS' }], not: true }],
      { carrierCodes: ['ground'] },
      { do: 'percent', points: 250, of: 'subtotal' },
      'When the address is not in CA-NS: every choice by ground costs 2.5 % of the subtotal more.',
    ],
    [
      [
        { test: 'goods', match: 'any', groupIds: ['plants'] },
        { test: 'dates', from: '2026-11-15', to: '2026-03-31', everyYear: true },
      ],
      { zoneIds: ['far'] },
      { do: 'withhold' },
      'When the basket contains Live plants and the order is placed from 15 November to 31 March of any year and the zone is Far: every choice is not offered.',
    ],
    [
      [
        { test: 'dates', from: '2026-12-01' },
        { test: 'weekday', days: [7, 6] },
      ],
      {},
      { do: 'bounds', min: 100, max: 900 },
      'When the order is placed on 1 December 2026 or later and the order is placed on Saturday or Sunday: every choice costs at least 1.00 and at most 9.00.',
    ],
    [
      [
        { test: 'code', in: ['MOSS'] },
        { test: 'channel', in: ['web'] },
      ],
      {},
      { do: 'add', amount: -200, per: 'order' },
      'When the code is MOSS and the order comes from web: every choice costs 2.00 less.',
    ],
    [
      [{ test: 'goods', match: 'every', skus: ['pot'] }],
      {},
      { do: 'add', amount: 600, per: 'unit', goods: { skus: ['pot'] } },
      'When every product is Glazed pot: every choice costs 6.00 more for each unit of Glazed pot.',
    ],
    [
      [{ test: 'goods', match: 'none', groupIds: ['plants'] }],
      {},
      { do: 'add', amount: 600, per: 'parcel', goods: { groupIds: ['plants'] } },
      'When the basket contains no Live plants: every choice costs 6.00 more for each parcel with Live plants.',
    ],
  ])('%#', (when, to, effect, sentence) => {
    expect(adjustmentSentence({ when, to, effect }, naming)).toBe(sentence);
  });
});

describe('an adjustment that can never act says why', () => {
  const rule = (part: Partial<Adjustment>): Adjustment => ({
    id: 'rule',
    name: 'Rule',
    active: true,
    when: [],
    to: {},
    effect: FREE,
    ...part,
  });
  const whyOf = (part: Partial<Adjustment>, before: Adjustment[] = []): string => {
    const one = rule(part);
    const idle = neverActs(one, { ...book, adjustments: [...before, one] }, '2026-11-25');
    return idle ? idleSentence(idle) : 'It may act.';
  };

  test.each<[Partial<Adjustment>, string]>([
    [{}, 'It may act.'],
    [{ active: false }, 'It is switched off.'],
    [{ to: { serviceIds: [] } }, 'Its list of services is empty, so it never applies.'],
    [{ to: { kinds: [] } }, 'Its list of kinds is empty, so it never applies.'],
    [
      { to: { zoneIds: ['far'] } },
      'No rate that is switched on is among those it is for, so it never applies.',
    ],
    [{ to: { kinds: ['pickup'] } }, 'The book has no choice of the kind it is for, so it never applies.'],
    [
      { when: [{ test: 'measure', of: 'weight', min: 5, max: 5 }] },
      'Its minimum is not below its maximum, so it never applies.',
    ],
    [{ when: [{ test: 'measure', of: 'weight', min: 5, max: 6 }] }, 'It may act.'],
    [
      { when: [{ test: 'dates', from: '2026-12-02', to: '2026-12-01' }] },
      'It ends before it begins, so it never applies.',
    ],
    [{ when: [{ test: 'dates', to: '2026-11-24' }] }, 'It ended on 2026-11-24, so it never applies again.'],
    [{ when: [{ test: 'dates', to: '2026-11-25' }] }, 'It may act.'],
    [{ when: [{ test: 'dates', from: '2026-12-02', to: '2026-01-01', everyYear: true }] }, 'It may act.'],
    [{ when: [{ test: 'customer', in: [] }] }, 'Its list of codes is empty, so it never applies.'],
    [{ when: [{ test: 'weekday', days: [] }] }, 'Its list of days is empty, so it never applies.'],
    [{ when: [{ test: 'goods', match: 'any' }] }, 'Its list of products is empty, so it never applies.'],
    [{ when: [{ test: 'goods', match: 'none' }] }, 'It may act.'],
    [{ when: [{ test: 'destination', in: [] }] }, 'Its list of places is empty, so it never applies.'],
    [{ effect: { do: 'add', amount: 0, per: 'order' } }, 'It changes nothing: give it an amount.'],
    [{ effect: { do: 'bounds' } }, 'It changes nothing: give it an amount.'],
  ])('%j', (part, sentence) => {
    expect(whyOf(part)).toBe(sentence);
  });

  test('after one that skips it for everything it is for', () => {
    const trade: Condition = { test: 'customer', in: ['trade'] };
    const ends = rule({ id: 'first', name: 'First', last: true, when: [trade] });
    expect(whyOf({ when: [trade, { test: 'code', in: ['X'] }] }, [ends])).toBe(
      '“First” above it skips it for everything it is for, so it never applies.',
    );
    expect(whyOf({}, [ends])).toBe('It may act.');
    expect(whyOf({ when: [trade] }, [{ ...ends, to: { serviceIds: ['parcel'] } }])).toBe('It may act.');
    expect(whyOf({ when: [trade] }, [{ ...ends, active: false }])).toBe('It may act.');
  });

  test('calls places by the names that are given', () => {
    const regionName = (code: string): string => (code === 'CA-NS' ? 'Nova Scotia' : code);
    const when: Adjustment['when'] = [
      { test: 'destination', in: [{ country: 'CA', subdivision: 'CA-NS' }, { country: 'FR' }] },
    ];
    const one = { when, to: {}, effect: { do: 'free' } } as const;
    expect(adjustmentSentence(one, { ...naming, display: { ...naming.display, regionName } })).toMatch(
      /^When the address is in Nova Scotia, France: /,
    );
    expect(adjustmentSentence(one, naming)).toMatch(/^When the address is in CA-NS, France: /);
  });
});
