import type { Book } from '../model/book.ts';
import type { Problem } from '../model/problem.ts';
import type { CarrierPrice } from '../model/price.ts';
import { compile, type Ask } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeRate,
} from '../testing/book.ts';
import { audit } from './audit.ts';

const ON = '2026-11-24';
const SIZE = { length: 400, width: 300, height: 300 };

const account = makeAccount({ packing: { kind: 'boxes', boxIds: ['crate'] } });
const yard = { id: 'yard', name: 'Yard', address: { country: 'CA' }, hours: [], closedDates: [] };
const crate = { id: 'crate', name: 'Crate', inside: SIZE, maxWeight: 20_000, tare: 0 };

/** A carrier that asks ten, and twenty where it is told how large a parcel is. */
const bySize: Ask = (questions) =>
  questions.map(({ key, parcels }) => ({
    key,
    ok: true,
    services: [{ code: 'ground', name: 'Ground', amount: parcels.some(({ size }) => size) ? 2_000 : 1_000 }],
  }));
const nothing: Ask = (questions) => questions.map(({ key }) => ({ key, ok: true, services: [] }));

const bookOf = (by: Partial<CarrierPrice> = {}, part: Partial<Book> = {}): Book =>
  makeBook({
    locations: [yard],
    boxes: [crate],
    carriers: [account],
    rates: [
      makeRate({
        price: makeCarrierPrice(by),
      }),
    ],
    ...part,
  });
const catalogue = makeCatalogue(
  makeGood('pot', { size: SIZE }),
  makeGood('cup', { size: { ...SIZE, height: 90 } }),
);
const found = (book: Book, ask: Ask = bySize, goods = catalogue): Problem[] =>
  audit(compile(book, goods, ask), ON);
const codes = (problems: readonly Problem[]): string[] => problems.map(({ code }) => code);

describe('what the audit says of carriers', () => {
  test('a zone whose only rate is a carrier’s that serves nothing there', () => {
    const problem = found(bookOf(), nothing).find(({ code }) => code === 'carrier-serves-nothing');
    expect(problem).toMatchObject({
      gravity: 'stops',
      where: [
        { kind: 'carrier', id: 'fulmar' },
        { kind: 'zone', id: 'country' },
      ],
    });
    const shown = quote(compile(bookOf(), catalogue, nothing), problem!.example!);
    expect(shown.choices).toEqual([]);
  });

  test('a zone with nothing to fall back on', () => {
    expect(codes(found(bookOf()))).toContain('no-fallback');
    const onError = { amount: 5_000, per: 'order' } as const;
    expect(codes(found(bookOf({ onError })))).not.toContain('no-fallback');
  });

  test('a fallback below what the carrier usually asks, with both figures', () => {
    const at = (amount: number) => found(bookOf({ onError: { amount, per: 'order' } }));
    const problem = at(1_500).find(({ code }) => code === 'fallback-below-usual');
    expect(problem?.text).toBe(
      'The fallback of Parcel to country, 15.00, is below what its carrier usually asks, 20.00.',
    );
    expect(codes(at(2_000))).not.toContain('fallback-below-usual');
  });

  test('a fallback of nothing leaks, and is shown by an order that goes free', () => {
    const book = bookOf({ onError: { amount: 0, per: 'order' } });
    const problem = found(book).find(({ code }) => code === 'free-fallback');
    expect(problem?.gravity).toBe('leaks');
    expect(quote(compile(book, catalogue), problem!.example!).choices[0]?.charge).toBe(0);
  });

  test('a sandbox that prices rates, and room that counts for more than weight', () => {
    const sandbox = found(bookOf({}, { carriers: [{ ...account, mode: 'sandbox' }] }));
    expect(codes(sandbox)).toEqual(expect.arrayContaining(['sandbox-account', 'room-above-weight']));
    const flat: Ask = (questions) =>
      questions.map(({ key }) => ({ key, ok: true, services: [{ code: 'ground', name: 'G', amount: 900 }] }));
    expect(codes(found(bookOf(), flat))).not.toContain('room-above-weight');
    expect(codes(found(bookOf()))).not.toContain('sandbox-account');
  });

  test('goods that fit no box, and boxes that no plan packs into', () => {
    const goods = makeCatalogue(makeGood('cane', { size: { length: 1_800, width: 20, height: 20 } }));
    const problems = found(
      bookOf({}, { boxes: [crate, { ...crate, id: 'spare', name: 'Spare' }] }),
      bySize,
      goods,
    );
    expect(problems.filter(({ gravity }) => gravity === 'data').map(({ text }) => text)).toEqual(
      expect.arrayContaining(['cane goes into none of the boxes of Fulmar.', 'No plan packs into Spare.']),
    );
    expect(codes(found(bookOf()))).not.toContain('fits-no-box');
  });
});
