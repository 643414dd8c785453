import type { Book } from '../model/book.ts';
import type { TaxRate } from '../model/tax.ts';
import {
  makeBook,
  makeCatalogue,
  makePickup,
  makeRate,
  makeRequest,
  makeYard,
  makeZone,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { quote } from './quote.ts';
import { taxLines } from './tax-lines.ts';

const tax = (id: string, points: number, on: TaxRate['on'], region: TaxRate['region']): TaxRate => ({
  ...{ id, name: id.toUpperCase(), points, on, region },
});
const FEDERAL = tax('gst', 500, 'both', { country: 'CA' });
const GOODS = tax('goods', 800, 'goods', { country: 'CA', subdivision: 'CA-NB' });
const CHARGES = tax('charges', 300, 'charges', { country: 'CA', subdivision: 'CA-NB' });
const YARDS = tax('yards', 1_000, 'both', { country: 'CA', subdivision: 'CA-NS' });
const TO_NB = { country: 'CA', subdivision: 'CA-NB' };

/** The taxes of a pot for 10.00 sent for 8.45 to New Brunswick, or collected in Nova Scotia for 2.00. */
const linesOf = (choiceId: string | null, part: Parameters<typeof makeBook>[0] = {}) => {
  const book: Book = makeBook({
    zones: [makeZone('country')],
    locations: [makeYard()],
    pickups: [makePickup({ charge: 200 })],
    taxes: [YARDS, FEDERAL, GOODS, CHARGES],
    ...part,
  });
  const compiled = compile(book, makeCatalogue());
  const request = makeRequest({ destination: TO_NB });
  const given = quote(compiled, request);
  const choice = given.choices.find(({ id }) => id === choiceId) ?? null;
  if (choiceId !== null && !choice) throw new Error(`no choice ${choiceId}`);
  const lines = taxLines(compiled, request, given, choice);
  const sum = lines.reduce((all, { amount }) => all + amount, 0);
  return {
    amounts: Object.fromEntries(lines.map(({ id, amount }) => [id, amount])),
    lines,
    isWhole: sum === given.goodsTax + (choice?.tax ?? 0),
  };
};

test('a tax on both has one line, with its part of the goods and of the charge', () => {
  const { lines, isWhole } = linesOf('parcel-country');
  expect(lines).toEqual([
    { id: 'gst', name: 'GST', points: 500, amount: 50 + 42 },
    { id: 'goods', name: 'GOODS', points: 800, amount: 80 },
    { id: 'charges', name: 'CHARGES', points: 300, amount: 25 },
  ]);
  expect(isWhole).toBe(true);
});

test('what is collected bears the taxes of the place where it is collected, the goods those of the destination', () => {
  const { amounts, isWhole } = linesOf('counter');
  expect(amounts).toEqual({ yards: 20, gst: 50 + 10, goods: 80 });
  expect(isWhole).toBe(true);
});

test('a charge without tax has part in none, and without a choice the goods stand alone', () => {
  expect(linesOf('parcel-country', { rates: [makeRate({ taxable: false })] }).amounts).toEqual({
    gst: 50,
    goods: 80,
  });
  expect(linesOf(null).amounts).toEqual({ gst: 50, goods: 80 });
});

test('where prices include tax, each line is the part of them that is tax', () => {
  const { amounts, isWhole } = linesOf('parcel-country', { store: { pricesIncludeTax: true } });
  // 10.00 × 5 ÷ 113 and 8.45 × 5 ÷ 108; 10.00 × 8 ÷ 113; 8.45 × 3 ÷ 108.
  expect(amounts).toEqual({ gst: 44 + 39, goods: 71, charges: 23 });
  expect(isWhole).toBe(true);
});
