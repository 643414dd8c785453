import { addressLines, EMPTY_ADDRESS, lackingPlace } from './address-form.ts';

const regionOf = (country: string) =>
  addressLines(country)
    .flat()
    .find(({ field }) => field === 'subdivision');

test.each([
  ['BR', 'address.region-US', true],
  ['IN', 'address.region-US', true],
  ['IT', 'address.region-IT', true],
  ['AE', 'address.region-AE', true],
  ['JP', 'address.region-JP', true],
  ['CL', 'address.region', true],
])('in %s the region is called by %s', (country, label, required) => {
  expect(regionOf(country)).toEqual({ field: 'subdivision', label, required });
});

test('what a place lacks is told by its fields, until it can be offered something', () => {
  const brazil = { ...EMPTY_ADDRESS, country: 'BR', line1: 'Rua Alta 10', city: 'Recife' };
  expect(lackingPlace(brazil, 'whole')).toEqual(['address.region-US', 'address.code']);
  expect(lackingPlace({ ...brazil, postalCode: '50030-230' }, 'whole')).toEqual(['address.region-US']);
  expect(lackingPlace({ ...brazil, postalCode: '50030-230', subdivision: 'BR-PE' }, 'whole')).toEqual([]);
  expect(lackingPlace(brazil, 'name')).toEqual([]);
  expect(lackingPlace({ ...brazil, country: 'IE' }, 'whole')).toEqual(['address.code-IE']);
});
