import type { Book } from '../model/book.ts';
import type { PaymentOption } from '../model/tax.ts';
import { makeBook, makePickup, makeRequest, makeYard, makeZone, quoted } from '../testing/book.ts';

const option = (id: string, part: Partial<PaymentOption> = {}): PaymentOption => ({
  ...{ id, name: id, kind: 'online', for: ['shipping'] },
  ...part,
});

/** The ways to pay for a pot of 10.00 that is sent for 8.45 to Nova Scotia. */
const paidFor = (
  payments: PaymentOption[],
  part: Omit<NonNullable<Parameters<typeof makeBook>[0]>, 'payments'> = {},
  destination: NonNullable<Parameters<typeof makeRequest>[0]>['destination'] = {
    ...{ country: 'CA', subdivision: 'CA-NS', postalCode: 'B2G 2L2' },
  },
): string[] | undefined =>
  quoted(makeBook({ payments, ...part }), makeRequest({ destination })).choices.find(
    ({ kind }) => kind === 'shipping',
  )?.payments;

test('an option that is switched off, or for another kind of choice, is none', () => {
  expect(
    paidFor([
      option('card'),
      option('off', { active: false }),
      option('on', { active: true }),
      option('till', { for: ['pickup', 'delivery'] }),
    ]),
  ).toEqual(['card', 'on']);
});

test('a greatest total counts the goods, their tax where it is not in the price, and what the way costs in all', () => {
  const taxes: Book['taxes'] = [
    { id: 'hst', name: 'HST', region: { country: 'CA' }, points: 1_000, on: 'goods' },
  ];
  const upTo = (maxTotal: number): PaymentOption[] => [option('card', { maxTotal })];
  expect(paidFor(upTo(1_845))).toEqual(['card']);
  expect(paidFor(upTo(1_844))).toEqual([]);
  expect(paidFor(upTo(1_945), { taxes })).toEqual(['card']);
  expect(paidFor(upTo(1_944), { taxes })).toEqual([]);
  expect(paidFor(upTo(1_845), { taxes, store: { pricesIncludeTax: true } })).toEqual(['card']);
});

test('an option of some countries goes by the destination, without one by where an order is collected', () => {
  const here = [option('here', { countries: ['CA'], for: ['shipping', 'pickup'] })];
  const zones = [makeZone('country', { includes: [{ country: 'CA' }, { country: 'US' }] })];
  expect(paidFor(here, { zones })).toEqual(['here']);
  expect(paidFor(here, { zones }, { country: 'US' })).toEqual([]);
  const collected = (address: { country: string }): string[] | undefined =>
    quoted(
      makeBook({ payments: here, locations: [makeYard({ address })], pickups: [makePickup()] }),
      makeRequest({ destination: null }),
    ).choices[0]?.payments;
  expect(collected({ country: 'CA' })).toEqual(['here']);
  expect(collected({ country: 'US' })).toEqual([]);
});

test('at the door is paid where the line of the postal list allows it, or none holds the address', () => {
  const door = [option('cash', { kind: 'on-delivery' }), option('card')];
  const listed = (pattern: string, cashOnDelivery: boolean) =>
    paidFor(door, { postalList: [{ country: 'CA', pattern, served: true, cashOnDelivery }] });
  expect(listed('B2G*', true)).toEqual(['cash', 'card']);
  expect(listed('B2G*', false)).toEqual(['card']);
  expect(listed('K1A*', false)).toEqual(['cash', 'card']);
});
