import { addressText } from './address-text.ts';

test('an address is written as it stands in a link', () => {
  expect(addressText('/shop')).toBe('/shop');
  expect(addressText({ pathname: '/goods' })).toBe('/goods');
  expect(addressText({ pathname: '/goods', params: { good: 'a&b', panel: undefined } })).toBe(
    '/goods?good=a%26b',
  );
});
