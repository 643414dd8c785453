import type { HandlingGroup } from '../model/good.ts';
import {
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeZone,
  onlyChoice,
  onlyWithheld,
  quoted,
} from '../testing/book.ts';

const group = (part: Partial<HandlingGroup> = {}): HandlingGroup => ({
  id: 'plants',
  name: 'Live plants',
  shipping: 'any',
  delivery: 'any',
  pickup: 'any',
  ...part,
});
const goods = makeCatalogue(
  makeGood('heather', { groupIds: ['plants'] }),
  makeGood('fern', { groupIds: ['plants'] }),
  makeGood('pot'),
);
const both = makeRequest({
  lines: [
    { sku: 'pot', quantity: 1 },
    { sku: 'heather', quantity: 1 },
    { sku: 'fern', quantity: 2 },
  ],
});
const bookOf = (part: Partial<HandlingGroup>) =>
  makeBook({
    zones: [makeZone('country'), makeZone('south', { includes: [{ country: 'US' }] })],
    groups: [group(part)],
  });

describe('a handling group', () => {
  test('travels by the services that may carry it, and keeps the rest of the basket back where they may not', () => {
    expect(onlyChoice(quoted(bookOf({}), both, goods)).charge).toBe(845);
    expect(onlyChoice(quoted(bookOf({ shipping: ['parcel'] }), both, goods)).charge).toBe(845);
    for (const shipping of ['none', ['pallet']] as const) {
      const book = bookOf({ shipping: shipping === 'none' ? 'none' : [...shipping] });
      expect(onlyWithheld(quoted(book, both, goods))).toMatchObject({
        code: 'goods-not-allowed',
        text: 'Live plants are not carried by Parcel: heather, fern.',
        from: { kind: 'group', id: 'plants' },
      });
    }
    const plain = makeRequest({ lines: [{ sku: 'pot', quantity: 1 }] });
    expect(onlyChoice(quoted(bookOf({ shipping: 'none' }), plain, goods)).charge).toBe(845);
  });

  test('goes only into some zones, or never into others', () => {
    expect(onlyChoice(quoted(bookOf({ onlyZones: ['country'] }), both, goods)).charge).toBe(845);
    for (const part of [{ onlyZones: ['south'] }, { neverZones: ['country'] }]) {
      expect(onlyWithheld(quoted(bookOf(part), both, goods)).text).toBe(
        'Live plants do not go to country: heather, fern.',
      );
    }
  });

  test('is looked at after the switch and before the limits', () => {
    const rates = [makeRate({ active: false, limits: { weight: { max: 1 } } })];
    expect(onlyWithheld(quoted({ ...bookOf({ shipping: 'none' }), rates }, both, goods)).code).toBe(
      'rate-off',
    );
    const on = [makeRate({ limits: { weight: { max: 1 } } })];
    expect(onlyWithheld(quoted({ ...bookOf({ shipping: 'none' }), rates: on }, both, goods)).code).toBe(
      'goods-not-allowed',
    );
  });

  test('that the book does not have lets the good travel', () => {
    const stray = makeCatalogue(makeGood('pot', { groupIds: ['gone'] }));
    expect(onlyChoice(quoted(bookOf({ shipping: 'none' }), makeRequest(), stray)).charge).toBe(845);
  });
});
