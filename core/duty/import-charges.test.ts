import fc from 'fast-check';
import type { Adjustment } from '../model/adjustment.ts';
import type { DutyRules } from '../model/tax.ts';
import type { Good } from '../model/good.ts';
import type { Quote } from '../model/quote.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import {
  makeBook,
  makeCatalogue,
  makeDuties,
  makeDutyRate,
  makeGood,
  makeRate,
  makeRequest,
  makeZone,
  onlyChoice,
} from '../testing/book.ts';
import { valuedLines } from './import-charges.ts';

const toUs = makeRequest({ destination: { country: 'US', postalCode: '04401' } });
const quoted = (
  duties: DutyRules,
  goods: Partial<Good> = {},
  request = toUs,
  adjustments: Adjustment[] = [],
): Quote =>
  quote(
    compile(
      makeBook({
        zones: [makeZone('country', { includes: [{ country: 'CA' }, { country: 'US' }] })],
        rates: [makeRate({ price: { kind: 'flat', amount: 1_000, per: 'order' } })],
        duties,
        adjustments,
      }),
      makeCatalogue(makeGood('pot', { price: 10_000, hsCode: '6912.00', ...goods })),
    ),
    request,
  );

describe('import charges', () => {
  test('are duty on the value and import tax on both, shown and not charged under DAP', () => {
    const found = quoted(makeDuties());
    expect(onlyChoice(found)).toMatchObject({
      id: 'parcel-country',
      total: 1_000,
      duties: { terms: 'DAP', show: 'amount', duty: 500, importTax: 1_050, clearance: 0 },
    });
    expect(found.notices).toMatchObject([
      {
        code: 'prices-exclude-duty',
        text: 'Import charges in the United States are not part of these charges; they are paid on arrival.',
      },
    ]);
  });

  test('join the total under DDP, with the clearance fee where anything is due', () => {
    const prepaid = makeDuties({ terms: 'DDP', clearanceFee: 700 });
    expect(onlyChoice(quoted(prepaid))).toMatchObject({
      charge: 1_000,
      total: 1_000 + 500 + 1_050 + 700,
      duties: { terms: 'DDP', clearance: 700 },
    });
    const free = { ...prepaid, rates: [makeDutyRate({ freeBelow: 10_001 })] };
    expect(onlyChoice(quoted(free))).toMatchObject({ total: 1_000, duties: { duty: 0, clearance: 0 } });
    expect(onlyChoice(quoted({ ...prepaid, rates: [makeDutyRate({ freeBelow: 10_000 })] })).total).toBe(
      3_250,
    );
  });

  test('are offered both ways side by side, each under an id of its own', () => {
    const { choices } = quoted(makeDuties({ terms: 'both' }));
    expect(choices.map(({ id, total }) => [id, total])).toEqual([
      ['parcel-country:DAP', 1_000],
      ['parcel-country:DDP', 2_550],
    ]);
  });

  test('count the charge in where the country does', () => {
    const found = quoted(makeDuties({ rates: [makeDutyRate({ valueBasis: 'goods-and-shipping' })] }));
    expect(onlyChoice(found).duties).toMatchObject({ duty: 550, importTax: 1_155 });
  });

  test('are those of the longest prefix of the code', () => {
    const rates = [
      makeDutyRate(),
      makeDutyRate({ hsPrefix: '69', duty: 200 }),
      makeDutyRate({ hsPrefix: '6912', duty: 0 }),
    ];
    const duty = (hsCode?: string) => onlyChoice(quoted(makeDuties({ rates }), { hsCode })).duties?.duty;
    expect([duty('6912.00'), duty('69-01'), duty('44'), duty(undefined)]).toEqual([0, 200, 500, 500]);
  });

  test('that no rate covers withhold DDP, and make of the estimate a notice', () => {
    const { choices, withheld } = quoted(
      makeDuties({ terms: 'both', rates: [makeDutyRate({ hsPrefix: '44' })] }),
    );
    expect(choices).toMatchObject([{ id: 'parcel-country:DAP', duties: { show: 'mention', duty: 0 } }]);
    expect(withheld).toMatchObject([
      { id: 'parcel-country:DDP', code: 'duty-unknown', from: { kind: 'duty', id: 'US' } },
    ]);
  });

  test('are none at home, nor where the rules are silent', () => {
    expect(onlyChoice(quoted(makeDuties(), {}, makeRequest())).duties).toBeUndefined();
    expect(onlyChoice(quoted(makeDuties({ rates: [], show: 'nothing' }))).duties).toBeUndefined();
  });

  test('are paid by whom an adjustment says', () => {
    const prepay = (terms: DutyRules['terms']): Adjustment => ({
      id: 'prepay',
      name: 'We pay',
      active: true,
      when: [{ test: 'measure', of: 'subtotal', min: 5_000 }],
      to: {},
      effect: { do: 'terms', terms },
    });
    const choice = onlyChoice(quoted(makeDuties(), {}, toUs, [prepay('DDP')]));
    expect(choice).toMatchObject({ total: 2_550, duties: { terms: 'DDP' } });
    expect(choice.working.at(-1)).toMatchObject({ step: 'adjustment', change: 0 });
    const ids = quoted(makeDuties(), {}, toUs, [prepay('both')]).choices.map(({ id }) => id);
    expect(ids).toEqual(['parcel-country:DAP', 'parcel-country:DDP']);
  });

  test('leave the choice free to be bought, with what the goods are worth less the discount', () => {
    const found = quoted(makeDuties(), {}, { ...toUs, discount: 2_500 });
    expect(onlyChoice(found).duties).toMatchObject({ duty: 375 });
  });
});

test('a discount shared by value takes no line below 0, and about as much as was given', () => {
  const line = fc.record({
    price: fc.integer({ min: 0, max: 10_000 }),
    quantity: fc.integer({ min: 1, max: 9 }),
  });
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), fc.nat(200_000), (some, discount) => {
      const lines = some.map(({ price, quantity }, at) => ({
        good: makeGood(`g${at}`, { price }),
        quantity,
      }));
      const whole = some.reduce((sum, { price, quantity }) => sum + price * quantity, 0);
      const values = valuedLines(lines, lines, discount).map(({ value }) => value);
      expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
      const left = Math.max(0, whole - discount);
      expect(Math.abs(values.reduce((sum, value) => sum + value, 0) - left)).toBeLessThanOrEqual(
        lines.length,
      );
    }),
  );
});
